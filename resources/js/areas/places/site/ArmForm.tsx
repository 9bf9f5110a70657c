import type { SiteAnswer } from '@/api/types';
import { useRules, useSay } from '@/rules/rules';
import { compass, isMet, leastArms, type Arm, type Draft } from '@/site/draft';
import { OnTheWay } from '@/places/OnTheWay';
import { Pictures } from '@/site/Pictures';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { Rarely } from '@/ui/Rarely';
import { Slider } from '@/ui/Slider';
import { HoldsField, LaneFields, LengthField, LimitField, SlopeField, type OfAnArm } from './armFields';
import { BesideForm } from './BesideForm';
import { measuredAt, Measures } from './Measures';
import { PaintForm } from './PaintForm';
import { SlipFields } from './SlipFields';

const CONTROLS = { none: 'None: the road goes on', 'give-way': '{Give-way} line', stop: 'Stop line', signals: 'Lights', 'all-way-stop': 'All-way stop' };
const VIEWS = { '': 'Open (assumed)', open: 'Open', restricted: 'Restricted', closed: 'Closed' };
const PARKED = { none: 'None', left: 'On the left as one comes in', right: 'On the right as one comes in', both: 'On both sides' };
const LIGHTS = { '': 'Not said', green: 'Just turned green', 'green-long': 'Green for long', changing: 'Changing', red: 'Red' };

interface Props extends OfAnArm {
    draft: Draft;
    /** What the core says of its measures. */
    measured: SiteAnswer['measured'];
    offers: SiteAnswer['offers'];
    onName: (name: string) => void;
    onTurn: (bearing: number) => void;
    onRemove: () => void;
    /** Where the site is kept: on its roads pictures can hang. */
    site: string | null;
}

/** One road of a site in words and numbers: whatever can be dragged can be typed here, and more. What is left empty is assumed. */
export function ArmForm({ draft, arm, site, measured, offers, errors, onChange, onName, onTurn, onRemove }: Props) {
    const rules = useRules();
    const say = useSay();
    const of: OfAnArm = { arm, errors, onChange };
    const comesIn = arm.lanes_in !== 0;
    const isDriven = arm.slip || (comesIn && draft.kind !== 'slip');
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
            {offers.features.length > 0 && comesIn && <HoldsField {...of} offered={offers.features} say={say} />}
            <div className="grid gap-4 sm:grid-cols-2">
                {isMet(draft.kind) && (
                    <Field label="At its mouth" errors={errors.control ?? []}>
                        <select value={arm.control ?? offers.controls[0]} onChange={(event) => onChange({ control: event.target.value as Arm['control'] })}>
                            <Options of={Object.fromEntries(offers.controls.map((control) => [control, CONTROLS[control]]))} say={say} />
                        </select>
                    </Field>
                )}
                {!arm.slip && <LimitField {...of} assumed={draft.kind === 'slip' ? 'as usual (assumed)' : `${rules.town_limit} (assumed)`} />}
                <LaneFields {...of} kind={draft.kind} />
                {isMet(draft.kind) && (
                    <>
                        <LengthField {...of} measured={measured} name="sight_left_m" label="Seen to the left from the line" hint="Along the road met" />
                        <LengthField {...of} measured={measured} name="sight_right_m" label="Seen to the right from the line" hint="Along the road met" />
                        {arm.view_from_m === undefined && arm.view_beyond_m === undefined && (
                            <Field label="View" errors={errors.view ?? []}>
                                <select value={arm.view ?? ''} onChange={(event) => onChange({ view: (event.target.value || undefined) as Arm['view'] })}>
                                    <Options of={VIEWS} />
                                </select>
                            </Field>
                        )}
                        <LengthField {...of} measured={measured} name="view_from_m" label="View opens before the line" />
                    </>
                )}
                {arm.slip && <SlipFields {...of} measured={measured} />}
                {isDriven && (
                    <SlopeField {...of} label={arm.slip ? 'Uphill as it is driven' : isMet(draft.kind) ? 'Uphill to the line' : 'Uphill as one comes in'} />
                )}
            </div>
            {isDriven && (
                <Measures
                    arm={arm}
                    site={site}
                    of={measuredAt(draft.kind)}
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
            )}
            {draft.kind !== 'slip' && comesIn && (
                <Rarely said={RARELY.some((name) => arm[name] !== undefined)}>
                    <div className="grid gap-4 py-2 sm:grid-cols-2">
                        {isMet(draft.kind) && (
                            <>
                                <LengthField {...of} measured={measured} name="view_beyond_m" label="View opens beyond the line" />
                                <LengthField {...of} measured={measured} name="path_before_m" label="A path crosses before the line" />
                                <LengthField {...of} measured={measured} name="turn_radius_m" label="How tight the turn is" hint="Radius of the car’s path" />
                            </>
                        )}
                        <LengthField {...of} measured={measured} name="sight_ahead_m" label="Seen ahead on the way" hint="A bend, a crest, a dip, a hedge" />
                        <LengthField {...of} measured={measured} name="room_m" label="Room before it" hint="Only where it is short" />
                        <LengthField {...of} measured={measured} name="road_width_m" label="Width of the road" />
                        {draft.kind === 'junction' && (arm.control === 'give-way' || arm.control === 'stop') && (
                            <LengthField
                                {...of}
                                name="stagger_m"
                                least={-60}
                                label="Its mouth lies to the right of the middle"
                                hint="As seen by who comes in; less than 0: to the left"
                            />
                        )}
                        {arm.control === 'signals' && (
                            <>
                                <LengthField {...of} name="cycle_box_m" label="Cycle box at the line" />
                                <Field label="The lights, as they come into view" errors={errors.light ?? []}>
                                    <select
                                        value={arm.light ?? ''}
                                        onChange={(event) => onChange({ light: (event.target.value || undefined) as Arm['light'] })}
                                    >
                                        <Options of={LIGHTS} />
                                    </select>
                                </Field>
                            </>
                        )}
                        {isMet(draft.kind) && (
                            <Field label="Cars parked near its mouth">
                                <select
                                    value={arm.parked_along ?? 'none'}
                                    onChange={(event) => onChange({ parked_along: event.target.value as Arm['parked_along'] })}
                                >
                                    <Options of={PARKED} />
                                </select>
                            </Field>
                        )}
                        {draft.kind === 'junction' && (
                            <Check label="A drive or alley" checked={arm.alley ?? false} onChange={(alley) => onChange({ alley: alley || undefined })} />
                        )}
                        {offers.centre_lane && (
                            <Check
                                label="A lane in the middle for turns"
                                checked={arm.centre_lane ?? false}
                                onChange={(on) => onChange({ centre_lane: on || undefined })}
                            />
                        )}
                    </div>
                    <div className="grid gap-5 py-2">
                        {isMet(draft.kind) && <PaintForm {...of} draft={draft} />}
                        <OnTheWay value={arm} errors={errors} onChange={onChange} />
                        <BesideForm {...of} of="openings" />
                        <BesideForm {...of} of="parked" />
                    </div>
                </Rarely>
            )}
            {site && <Pictures site={site} arm={arm.id} />}
            {draft.arms.length > leastArms(draft.kind) && (
                <button type="button" className="key justify-self-start" data-tone="bare" onClick={onRemove}>
                    Take this road away
                </button>
            )}
        </div>
    );
}

const RARELY = [
    'room_m',
    'path_before_m',
    'view_beyond_m',
    'parked_along',
    'sight_ahead_m',
    'road_width_m',
    'stagger_m',
    'cycle_box_m',
    'light',
    'bend',
    'crest',
    'dip',
    'openings',
    'parked',
] as const;
