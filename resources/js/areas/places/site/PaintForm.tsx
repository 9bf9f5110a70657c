import { armWords, type Arm, type Draft } from '@/site/draft';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import type { OfAnArm } from './armFields';

type Lane = NonNullable<Arm['approach_lanes']>[number];

/** The last of them is the farthest from the kerb. */
const ordinal = (i: number, all: number) => (i === 0 ? 'Next to the kerb' : i === all - 1 ? 'Farthest from it' : `Lane ${i + 1}`);

/** What is painted on the lanes towards the site, from the kerb outwards, and when one is for buses. With nothing painted the rules of thumb hold. */
export function PaintForm({ draft, arm, errors, onChange }: OfAnArm & { draft: Draft }) {
    const number = arm.lanes_in ?? 1;
    if (number < 2) return null;
    const lanes = arm.approach_lanes ?? Array.from({ length: number }, (): Lane => ({}));
    const set = (i: number, part: Partial<Lane>) => onChange({ approach_lanes: lanes.map((lane, at) => (at === i ? { ...lane, ...part } : lane)) });
    const reached = draft.arms.filter((one) => one.id !== arm.id && one.lanes_out !== 0);
    return (
        <section aria-label="Painted on the lanes" className="grid gap-4">
            <h4 className="font-semibold">Painted on the lanes</h4>
            {lanes.map((lane, i) => (
                <fieldset key={i} className="grid gap-1">
                    <legend className="text-quiet">{ordinal(i, lanes.length)}</legend>
                    <div className="flex flex-wrap gap-x-6">
                        {reached.map((one) => (
                            <Check
                                key={one.id}
                                label={armWords(one, draft.arms)}
                                checked={lane.to?.includes(one.id) ?? false}
                                onChange={(on) => set(i, { to: on ? [...(lane.to ?? []), one.id] : lane.to?.filter((id) => id !== one.id) })}
                            />
                        ))}
                        <Check
                            label="Buses only"
                            checked={lane.bus ?? lane.bus_hours !== undefined}
                            onChange={(on) => set(i, { bus: on || undefined, bus_hours: undefined })}
                        />
                    </div>
                    {(lane.bus || lane.bus_hours) && (
                        <div className="grid gap-2 sm:grid-cols-2">
                            {(['from', 'until'] as const).map((end) => (
                                <Field
                                    key={end}
                                    label={end === 'from' ? 'From (empty: all day)' : 'Until'}
                                    errors={errors[`approach_lanes.${i}.bus_hours.0.${end}`] ?? []}
                                >
                                    <input
                                        type="time"
                                        value={lane.bus_hours?.[0]?.[end] ?? ''}
                                        onChange={(event) => set(i, hours(lane, end, event.target.value))}
                                    />
                                </Field>
                            ))}
                        </div>
                    )}
                    {(errors[`approach_lanes.${i}.to`] ?? []).map((sentence) => (
                        <p key={sentence} role="alert" className="font-semibold">
                            ▸ {sentence}
                        </p>
                    ))}
                </fieldset>
            ))}
        </section>
    );
}

/** One window of the day; with neither end it is for buses all day. */
function hours(lane: Lane, end: 'from' | 'until', value: string): Partial<Lane> {
    const window = { from: '', until: '', ...lane.bus_hours?.[0], [end]: value };
    return window.from === '' && window.until === '' ? { bus: true, bus_hours: undefined } : { bus: undefined, bus_hours: [window] };
}
