import type { SiteAnswer } from '@/api/types';
import { limitOf, useRules, withLimit } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { isMet, laned, type Arm, type Draft } from '@/site/draft';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';

/** What every field of an arm is given: the arm, what the server says of it, and where a change goes. */
export interface OfAnArm {
    arm: Arm;
    /** The server's sentences, by the field of the arm. */
    errors: Record<string, string[]>;
    onChange: (part: Partial<Arm>) => void;
}

type Length =
    | 'sight_left_m'
    | 'sight_right_m'
    | 'sight_ahead_m'
    | 'view_from_m'
    | 'view_beyond_m'
    | 'room_m'
    | 'road_width_m'
    | 'path_before_m'
    | 'turn_radius_m'
    | 'cycle_box_m'
    | 'stagger_m'
    | 'slip_length_m'
    | 'limit_change_m'
    | 'solid_line_m'
    | 'bend_radius_m'
    | 'bend_from_m'
    | 'lower_limit_m';

interface LengthProps extends OfAnArm {
    name: Length;
    label: string;
    hint?: string;
    least?: number;
    /** Where it was measured its figure is the measures': it is not typed as well. */
    measured?: SiteAnswer['measured'];
}

/** A length in metres, or nothing: then it is assumed. */
export function LengthField({ arm, errors, onChange, name, label, hint, least = 0, measured = [] }: LengthProps) {
    if (measured.some((row) => `${row.of}_m` === name)) return null;
    return (
        <Field label={`${label}, m`} {...(hint ? { hint } : {})} errors={errors[name] ?? []}>
            <input
                type="number"
                min={least}
                max={2000}
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
}

export function LimitField({ arm, errors, onChange, assumed }: OfAnArm & { assumed: string }) {
    const rules = useRules();
    return (
        <Field label={`Limit, ${unitWords(rules.speed_unit)}`} errors={errors[`limit_${rules.speed_unit}`] ?? []}>
            <input
                type="number"
                min={5}
                max={130}
                value={arm.limit_mph === undefined && arm.limit_kmh === undefined ? '' : limitOf(arm, rules)}
                placeholder={assumed}
                onChange={(event) =>
                    onChange({
                        limit_mph: undefined,
                        limit_kmh: undefined,
                        ...(event.target.value === '' ? {} : withLimit({}, event.target.valueAsNumber, rules)),
                    })
                }
            />
        </Field>
    );
}

export function SlopeField({ arm, errors, onChange, label }: OfAnArm & { label: string }) {
    return (
        <Field label={`${label}, %`} hint="Less than 0 is downhill" errors={errors.gradient ?? []}>
            <input
                type="number"
                min={-25}
                max={25}
                step="any"
                value={arm.gradient === undefined ? '' : Number((arm.gradient * 100).toFixed(2))}
                onChange={(event) => onChange({ gradient: event.target.value === '' ? undefined : event.target.valueAsNumber / 100 })}
            />
        </Field>
    );
}

const DIRECTIONS = { both: 'Both ways', in: 'One-way, towards the site', out: 'One-way, away from it' };

/** Which way traffic runs and in how many lanes. */
export function LaneFields({ arm, errors, onChange, kind }: OfAnArm & { kind: Draft['kind'] }) {
    const runs = arm.lanes_out === 0 ? 'in' : arm.lanes_in === 0 ? 'out' : 'both';
    const lanes = (name: 'lanes_in' | 'lanes_out', label: string) => (
        <Field label={label}>
            <input
                type="number"
                min={1}
                max={6}
                value={arm[name] ?? 1}
                onChange={(event) => onChange(laned(arm, name, Math.max(1, event.target.valueAsNumber || 1)))}
            />
        </Field>
    );
    return (
        <>
            {/* Every road of a slip is one-way: which way, its part in it says. */}
            {kind !== 'slip' && (
                <Field label="Traffic runs" errors={errors.lanes_in ?? []}>
                    <select
                        value={runs}
                        onChange={(event) =>
                            onChange({
                                ...laned(arm, 'lanes_in', event.target.value === 'out' ? 0 : arm.lanes_in || 1),
                                ...laned(arm, 'lanes_out', event.target.value === 'in' ? 0 : arm.lanes_out || 1),
                            })
                        }
                    >
                        <Options of={DIRECTIONS} />
                    </select>
                </Field>
            )}
            {runs !== 'out' && lanes('lanes_in', isMet(kind) ? 'Lanes towards the site' : 'Lanes the way you come')}
            {runs !== 'in' && lanes('lanes_out', isMet(kind) ? 'Lanes away from it' : 'Lanes the other way')}
        </>
    );
}

type Feature = NonNullable<Arm['holds']>[number];

const FEATURES: Record<Feature, string> = {
    parked: 'Parked cars to pass',
    narrow: 'Too narrow for two',
    'bus-stop': 'A bus stop',
    crossing: 'A crossing for people',
    school: 'A school',
    humps: 'Humps',
    queue: 'A queue that stands',
    railway: 'A railway crossing',
    'long-view': 'A long view: room to overtake',
    'free-kerb': 'A free kerb to stop at',
    'kerb-space': 'A space at the kerb',
    bay: 'Bays',
    ramp: 'A ramp or barrier uphill',
};

/** What lies along a road for who comes in by this arm: each thing teaches its routine. */
export function HoldsField({ arm, errors, onChange, offered, say }: OfAnArm & { offered: readonly Feature[]; say: (text: string) => string }) {
    const holds = arm.holds ?? [];
    return (
        <fieldset className="grid gap-1">
            <legend className="font-semibold">Along it, as one comes in from here</legend>
            <div className="grid sm:grid-cols-2">
                {offered.map((feature) => (
                    <Check
                        key={feature}
                        label={say(FEATURES[feature].replace(/\bkerb\b/, '{kerb}'))}
                        checked={holds.includes(feature)}
                        onChange={(on) => onChange({ holds: on ? [...holds, feature] : holds.filter((one) => one !== feature) })}
                    />
                ))}
            </div>
            {errors.holds?.map((sentence) => (
                <p key={sentence} role="alert" className="font-semibold">
                    ▸ {sentence}
                </p>
            ))}
        </fieldset>
    );
}
