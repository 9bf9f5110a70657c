import type { SiteAnswer } from '@/api/types';
import { limitOf, useRules, useSay, withLimit } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { compass, leastArms, type Arm, type Draft } from '@/site/draft';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { Rarely } from '@/ui/Rarely';
import { Slider } from '@/ui/Slider';
import { Measures } from './Measures';

const CONTROLS = { none: 'None: the road goes on', 'give-way': '{Give-way} line', stop: 'Stop line', signals: 'Lights', 'all-way-stop': 'All-way stop' };
const VIEWS = { '': 'Open (assumed)', open: 'Open', restricted: 'Restricted', closed: 'Closed' };
const DIRECTIONS = { both: 'Both ways', in: 'One-way, towards the site', out: 'One-way, away from it' };
const PARKED = { none: 'None', left: 'On the left as one comes in', right: 'On the right as one comes in', both: 'On both sides' };

interface Props {
    draft: Draft;
    arm: Arm;
    /** What the core says of its measures. */
    measured: SiteAnswer['measured'];
    offers: SiteAnswer['offers'];
    /** The server's sentences, by the field of the arm. */
    errors: Record<string, string[]>;
    onChange: (part: Partial<Arm>) => void;
    onName: (name: string) => void;
    onTurn: (bearing: number) => void;
    onRemove: () => void;
}

/** One road of a site in words and numbers: whatever can be dragged can be typed here, and more. What is left empty is assumed. */
export function ArmForm({ draft, arm, measured, offers, errors, onChange, onName, onTurn, onRemove }: Props) {
    const rules = useRules();
    const say = useSay();
    const controls = offers.controls.map((control) => [control, CONTROLS[control]] as const);
    const runs = arm.lanes_out === 0 ? 'in' : arm.lanes_in === 0 ? 'out' : 'both';
    const length = (name: 'sight_left_m' | 'sight_right_m' | 'view_from_m' | 'room_m' | 'path_before_m' | 'view_beyond_m', label: string, hint?: string) =>
        measured.some((row) => `${row.of}_m` === name) ? null : (
            <Field label={label} {...(hint ? { hint } : {})} errors={errors[name] ?? []}>
                <input
                    type="number"
                    min={0}
                    max={1000}
                    step="any"
                    value={arm[name] ?? ''}
                    onChange={(event) =>
                        onChange({
                            [name]: event.target.value === '' ? undefined : event.target.valueAsNumber,
                            // One word or one figure for one view.
                            ...(name.startsWith('view') ? { view: undefined, [name === 'view_from_m' ? 'view_beyond_m' : 'view_from_m']: undefined } : {}),
                        })
                    }
                />
            </Field>
        );
    return (
        <div className="grid gap-4">
            <Field label="Name of the road" errors={errors.name ?? []}>
                <input maxLength={80} value={arm.name} onChange={(event) => onName(event.target.value)} />
            </Field>
            <Slider
                label="Lies"
                value={arm.bearing_deg}
                min={0}
                max={359}
                step={1}
                words={(bearing) => `${Math.round(bearing)}° ${compass(bearing)}`}
                onChange={onTurn}
            />
            <div className="grid gap-4 sm:grid-cols-2">
                <Field label="At its mouth" errors={errors.control ?? []}>
                    <select value={arm.control ?? controls[0]![0]} onChange={(event) => onChange({ control: event.target.value as Arm['control'] })}>
                        <Options of={Object.fromEntries(controls)} say={say} />
                    </select>
                </Field>
                <Field label={`Limit, ${unitWords(rules.speed_unit)}`} errors={errors[`limit_${rules.speed_unit}`] ?? []}>
                    <input
                        type="number"
                        min={5}
                        max={130}
                        value={arm.limit_mph === undefined && arm.limit_kmh === undefined ? '' : limitOf(arm, rules)}
                        placeholder={`${rules.town_limit} (assumed)`}
                        onChange={(event) =>
                            onChange(
                                event.target.value === ''
                                    ? { limit_mph: undefined, limit_kmh: undefined }
                                    : { limit_mph: undefined, limit_kmh: undefined, ...withLimit({}, event.target.valueAsNumber, rules) },
                            )
                        }
                    />
                </Field>
                <Field label="Traffic runs" errors={errors.lanes_in ?? []}>
                    <select
                        value={runs}
                        onChange={(event) =>
                            onChange(
                                {
                                    both: { lanes_in: arm.lanes_in || 1, lanes_out: arm.lanes_out || 1 },
                                    in: { lanes_in: arm.lanes_in || 1, lanes_out: 0 },
                                    out: { lanes_in: 0, lanes_out: arm.lanes_out || 1 },
                                }[event.target.value as 'both' | 'in' | 'out'],
                            )
                        }
                    >
                        <Options of={DIRECTIONS} />
                    </select>
                </Field>
                {runs !== 'out' && (
                    <Field label="Lanes towards the site">
                        <input
                            type="number"
                            min={1}
                            max={6}
                            value={arm.lanes_in ?? 1}
                            onChange={(event) => onChange({ lanes_in: Math.max(1, event.target.valueAsNumber || 1) })}
                        />
                    </Field>
                )}
                {runs !== 'in' && (
                    <Field label="Lanes away from it">
                        <input
                            type="number"
                            min={1}
                            max={6}
                            value={arm.lanes_out ?? 1}
                            onChange={(event) => onChange({ lanes_out: Math.max(1, event.target.valueAsNumber || 1) })}
                        />
                    </Field>
                )}
                {length('sight_left_m', 'Seen to the left from the line, m', 'Along the road met')}
                {length('sight_right_m', 'Seen to the right from the line, m', 'Along the road met')}
                {arm.view_from_m === undefined && arm.view_beyond_m === undefined && (
                    <Field label="View" errors={errors.view ?? []}>
                        <select value={arm.view ?? ''} onChange={(event) => onChange({ view: (event.target.value || undefined) as Arm['view'] })}>
                            <Options of={VIEWS} />
                        </select>
                    </Field>
                )}
                {length('view_from_m', 'View opens before the line, m')}
                <Field label="Uphill to the line, %" hint="Less than 0 is downhill" errors={errors.gradient ?? []}>
                    <input
                        type="number"
                        min={-25}
                        max={25}
                        step="any"
                        value={arm.gradient === undefined ? '' : Number((arm.gradient * 100).toFixed(2))}
                        onChange={(event) => onChange({ gradient: event.target.value === '' ? undefined : event.target.valueAsNumber / 100 })}
                    />
                </Field>
            </div>
            <Measures
                arm={arm}
                measured={measured}
                errors={errors}
                onChange={(measures, free) =>
                    onChange({
                        measures,
                        ...(free ? { [free]: undefined } : {}),
                        ...(free?.startsWith('view') ? { view: undefined, view_from_m: undefined, view_beyond_m: undefined } : {}),
                    })
                }
            />
            <Rarely said={arm.room_m !== undefined || arm.path_before_m !== undefined || arm.view_beyond_m !== undefined || arm.parked_along !== undefined}>
                <div className="grid gap-4 py-2 sm:grid-cols-2">
                    {length('view_beyond_m', 'View opens beyond the line, m')}
                    {length('room_m', 'Room before the line, m', 'Only where it is short')}
                    {length('path_before_m', 'A path crosses before the line, m')}
                    <Field label="Cars parked near its mouth">
                        <select value={arm.parked_along ?? 'none'} onChange={(event) => onChange({ parked_along: event.target.value as Arm['parked_along'] })}>
                            <Options of={PARKED} />
                        </select>
                    </Field>
                    <Check label="A drive or alley" checked={arm.alley ?? false} onChange={(alley) => onChange({ alley: alley || undefined })} />
                    {offers.centre_lane && (
                        <Check
                            label="A lane in the middle for turns"
                            checked={arm.centre_lane ?? false}
                            onChange={(on) => onChange({ centre_lane: on || undefined })}
                        />
                    )}
                </div>
            </Rarely>
            {draft.arms.length > leastArms(draft.kind) && (
                <button type="button" className="key justify-self-start" data-tone="bare" onClick={onRemove}>
                    Take this road away
                </button>
            )}
        </div>
    );
}
