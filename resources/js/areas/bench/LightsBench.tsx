import type { LightsAnswer, LightsAsked, WayOut } from '@/api/types';
import { ARROWS, askedHeads, MOST_HEADS, readHeads, SHOWN, type Arrow, type Head, type Shows } from '@/bench/heads';
import { WAYS } from '@/bench/lines';
import { useCompute } from '@/compute/useCompute';
import { HeadsPicture } from '@/road/HeadsPicture';
import { SecondsPicture } from '@/road/SecondsPicture';
import { useSay } from '@/rules/rules';
import { Check } from '@/ui/Check';
import { DataTable } from '@/ui/DataTable';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { Slider } from '@/ui/Slider';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { AmberSlider, SpeedSlider } from './sliders';
import { useBench } from './useBench';

const HEADS = { go: 'Go', enter: 'Over the line, and wait inside', wait: 'Wait' };
const STANDS = { line: 'before the line', inside: 'inside, over the line' };
const metres = (value: number) => `${value.toFixed(1)} m`;
const seconds = (value: number) => `${value.toFixed(1)} s`;

/** A crossroads under lights: which head is ours, and how the seconds after the change are spent by who waits inside to turn across. */
export function LightsBench() {
    const { rules, say, state, set, vehicle, field, differs } = useBench('lights');
    const goes = (state.goes || (rules.keeps === 'left' ? 'right' : 'left')) as WayOut;
    const heads = readHeads(state.heads);
    const inputs: LightsAsked = {
        pack: rules.pack,
        goes,
        stands: state.stands === 'inside' ? 'inside' : 'line',
        ...askedHeads(heads),
        ...(state.seen ? { seen_to_stop: true } : {}),
        ...(state.people ? { people: true } : {}),
        ...(state.inside > 0 ? { inside: state.inside } : {}),
        [field('other_speed')]: state.other,
        ...(state.amber > 0 ? { amber_s: state.amber } : {}),
        ...{ all_red_s: state.red, room_m: state.room, across_m: state.across, side_m: state.side },
        vehicle,
    };
    const { data, error } = useCompute('lights', inputs);
    const metre = (label: string, name: 'room' | 'across' | 'side', min: number, max: number) => (
        <Slider label={label} value={state[name]} min={min} max={max} step={1} fine={0.5} words={metres} onChange={(value) => set({ [name]: value })} />
    );
    return (
        <BenchPage
            verdict={data && { head: HEADS[data.verdict], says: data.message }}
            asked={{ tool: 'lights', inputs }}
            answer={data}
            error={error}
            controls={
                <>
                    <Field label="We go">
                        <select value={goes} onChange={(event) => set({ goes: event.target.value })}>
                            <Options of={WAYS} />
                        </select>
                    </Field>
                    <Field label="We stand">
                        <select value={inputs.stands} onChange={(event) => set({ stands: event.target.value })}>
                            <Options of={STANDS} />
                        </select>
                    </Field>
                    <Check label="Those who come towards us are seen to stop" checked={state.seen} onChange={(seen) => set({ seen })} />
                    <Check label="Somebody on foot crosses our way" checked={state.people} onChange={(people) => set({ people })} />
                    <Slider
                        label="Inside before us"
                        value={state.inside}
                        min={0}
                        max={5}
                        step={1}
                        words={(cars) => (cars === 0 ? 'nobody' : `${cars}`)}
                        onChange={(inside) => set({ inside })}
                    />
                    <HeadsForm heads={heads} onChange={(next) => set({ heads: JSON.stringify(next) })} />
                </>
            }
            rarely={{
                said: differs('vehicle', 'other', 'amber', 'red', 'room', 'across', 'side'),
                controls: (
                    <>
                        <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} />
                        <SpeedSlider label="They come at" value={state.other} onChange={(other) => set({ other })} />
                        <AmberSlider value={state.amber} onChange={(amber) => set({ amber })} />
                        <Slider
                            label="Then all have red for"
                            value={state.red}
                            min={0}
                            max={6}
                            step={0.5}
                            fine={0.1}
                            words={seconds}
                            onChange={(red) => set({ red })}
                        />
                        {metre('Room inside, from our line', 'room', 0, 30)}
                        {metre('From their line to past us', 'across', 4, 40)}
                        {metre('From the line at the side to our way', 'side', 1, 30)}
                    </>
                ),
            }}
        >
            {data && (
                <div className="grid gap-4">
                    {data.head && <HeadsPicture heads={heads} ours={data.head.ours} say={say} />}
                    {data.head && <p className="text-lg">{data.head.message}</p>}
                    {data.budget ? <Budget budget={data.budget} answer={data} /> : <p>Nobody waits inside for this way: on and out, once it is clear.</p>}
                    <section aria-label="Watched together" className="grid gap-1">
                        <h2 className="text-xl">Watched together</h2>
                        <ol className="list-inside list-decimal">
                            {data.watch.map((one) => (
                                <li key={one}>{one}</li>
                            ))}
                        </ol>
                        {data.red_is && <p className="text-quiet">{data.red_is}</p>}
                    </section>
                </div>
            )}
        </BenchPage>
    );
}

/** The seconds after the change, drawn and in a table. */
function Budget({ budget, answer }: { budget: NonNullable<LightsAnswer['budget']>; answer: LightsAnswer }) {
    const say = useSay();
    const spare = budget.spare_s;
    return (
        <div className="grid gap-4">
            <SecondsPicture
                label={`From the change: the last of them has passed after ${seconds(budget.last_passes_s)}, we are out after ${seconds(budget.out_s)}, the first from the side is there after ${seconds(budget.they_come_s)}`}
                upTo={Math.max(budget.out_s, budget.they_come_s) + 1}
                rows={[
                    { name: 'Our light, and theirs', parts: [{ from: 0, to: budget.red_s, said: say('{amber}'), strong: false }], after: 'red' },
                    { name: 'Towards us', parts: [{ from: 0, to: budget.last_passes_s, said: 'still pass', strong: false }], after: 'stopped' },
                    { name: 'We', parts: [{ from: budget.last_passes_s, to: budget.out_s, said: 'go', strong: true }], after: 'out' },
                    { name: 'From the side', parts: [{ from: budget.green_s, to: budget.they_come_s, said: 'green', strong: false }], after: 'are there' },
                ]}
            />
            <dl className="grid grid-cols-2 gap-3 sm:grid-cols-4">
                <Big
                    label="Room inside for"
                    value={answer.holds === null ? '–' : `${answer.holds}`}
                    unit={answer.holds === 1 ? 'car like ours' : 'cars like ours'}
                />
                <Big label="The last has passed" value={budget.last_passes_s.toFixed(1)} unit="s" />
                <Big label="We are out" value={budget.out_s.toFixed(1)} unit="s" />
                <Big label={spare < 0 ? 'Too late by' : 'In hand'} value={Math.abs(spare).toFixed(1)} unit="s" />
            </dl>
            <DataTable
                label="From the change"
                least={20}
                heads={['What', 'After']}
                rows={[
                    { head: say('{Amber} is over'), s: budget.red_s },
                    { head: 'The last who cannot stop has passed', s: budget.last_passes_s },
                    { head: 'Green for those from the side', s: budget.green_s },
                    { head: 'We are out', s: budget.out_s },
                    { head: 'The first from the side is there', s: budget.they_come_s },
                ]
                    .sort((one, other) => one.s - other.s)
                    .map(({ head, s }) => ({ key: head, head, cells: [seconds(s)], strong: head === 'We are out' }))}
            />
        </div>
    );
}

/** The heads in view, one by one. */
function HeadsForm({ heads, onChange }: { heads: Head[]; onChange: (heads: Head[]) => void }) {
    const say = useSay();
    const set = (i: number, part: Partial<Head>) => onChange(heads.map((one, n) => (n === i ? { ...one, ...part } : one)));
    return (
        <fieldset className="flex w-full flex-wrap items-center gap-x-8 gap-y-2">
            <legend className="sr-only">Lights in view</legend>
            {heads.map((head, i) => (
                <div key={i} role="group" aria-label={`Light ${i + 1} of ${heads.length}`} className="flex flex-wrap items-center gap-x-3 gap-y-2">
                    <select
                        className="entry w-44"
                        aria-label={`Light ${i + 1}`}
                        value={head.arrow}
                        onChange={(event) => set(i, { arrow: event.target.value as Arrow })}
                    >
                        <Options of={ARROWS} />
                    </select>
                    <select
                        className="entry w-32"
                        aria-label={`Light ${i + 1} shows`}
                        value={head.shows}
                        onChange={(event) => set(i, { shows: event.target.value as Shows })}
                    >
                        <Options of={SHOWN} say={say} />
                    </select>
                    <Check label="other lane" checked={head.other} onChange={(other) => set(i, { other })} />
                    <button
                        type="button"
                        className="key"
                        data-tone="bare"
                        aria-label={`Take out light ${i + 1}`}
                        onClick={() => onChange(heads.filter((_, n) => n !== i))}
                    >
                        Take out
                    </button>
                </div>
            ))}
            {heads.length < MOST_HEADS && (
                <div>
                    <button
                        type="button"
                        className="key"
                        onClick={() =>
                            onChange([
                                ...heads,
                                heads.length === 0 ? { arrow: 'full', shows: 'green', other: false } : { arrow: 'left', shows: 'green', other: false },
                            ])
                        }
                    >
                        {heads.length === 0 ? 'Say which lights are in view' : 'Another light'}
                    </button>
                </div>
            )}
        </fieldset>
    );
}
