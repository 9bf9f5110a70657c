import type { GapAnswer, GapAsked, Side } from '@/api/types';
import { useSwept } from '@/compute/useCompute';
import { Check } from '@/ui/Check';
import { DataTable } from '@/ui/DataTable';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { Slider } from '@/ui/Slider';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { useSay } from '@/rules/rules';
import { SlopeSlider, SpeedSlider, SurfaceSelect } from './sliders';
import { useBench } from './useBench';
import { GapBar, GapPicture } from './gap/GapPicture';
import { MomentKeys } from '@/road/MomentKeys';
import { useMoment } from '@/road/useMoment';

const MANOEUVRES = {
    'emerge-left': 'Emerge left',
    'emerge-right': 'Emerge right',
    cross: 'Straight over',
    'turn-across': 'Turn off across oncoming',
    'move-off': 'Move off from the {kerb}',
};
/** What has a line to roll over and a road to meet. */
const EMERGES: readonly string[] = ['emerge-left', 'emerge-right', 'cross'];
/** Where somebody long may have to go first, or somebody opposite turns in. */
const MEETS_OTHERS: readonly string[] = [...EMERGES, 'turn-across'];
const RUNS = { '': 'Both ways', left: 'One way, to the left', right: 'One way, to the right' };
const ASKS = { '': 'As in force', nothing: 'Nothing', 'off-gas': 'That they ease off', design: 'What road designers use' };
type Asks = Exclude<keyof typeof ASKS, ''>;
/** What is asked of them, in one or two words. */
const ASKED: Record<GapAnswer['asked'], string> = { nothing: 'Nothing', 'off-gas': 'Ease off', brake: 'Brake', cannot: 'Too late' };
const HEADS = { go: 'Go', marginal: 'Marginal: let it go', wait: 'Wait' };
/** A crawl over the line, m/s. */
const CRAWL = 2;

/** Is it long enough: both cars on one time slider, the place where go becomes wait, and what the other driver would have to do. */
export function GapBench() {
    const { rules, state, set, differs, vehicle, field } = useBench('gap');
    const say = useSay();
    const manoeuvre = state.manoeuvre in MANOEUVRES ? (state.manoeuvre as keyof typeof MANOEUVRES) : 'emerge-right';
    const emerges = EMERGES.includes(manoeuvre);
    const meetsOthers = MEETS_OTHERS.includes(manoeuvre);
    const inputs: GapAsked = {
        pack: rules.pack,
        manoeuvre,
        vehicle,
        [field('other_speed')]: state.speed,
        surface: state.surface as GapAsked['surface'],
        practice: { ...rules.practice, ...(state.asks ? { asks_of_others: state.asks as Asks } : {}) },
        gradient: state.slope / 100,
        ...(state.rolling && emerges ? { rolling_mps: CRAWL } : {}),
        ...(state.people > 0 ? { people_s: state.people } : {}),
        ...(state.long && meetsOthers ? { long_vehicle_first: true } : {}),
        ...(state.turner && meetsOthers ? { oncoming_turner: true, entry_lanes: state.entry } : {}),
        ...(!meetsOthers && state.waited > 0 ? { waited_s: state.waited } : {}),
        ...(!emerges ? { lanes: state.lanes } : { road_met: { lanes: state.lanes, ...(state.runs ? { runs_to: state.runs as Side } : {}) } }),
        ...(state.sight > 0 ? { sight_m: state.sight } : {}),
    };
    const { data, error } = useSwept('gap', inputs, { field: 'other_distance_m', from: 10, to: 300, step: 5 }, state.distance);
    const speed = data?.other_speed_mps ?? 0;
    const longest = data ? Math.min(14, Math.max(6, Math.ceil(data.critical_gap_s + 2))) : 10;
    const moment = useMoment(longest);
    const { seconds } = moment;
    const metres = (value: number) => `${value} m`;
    return (
        <BenchPage
            verdict={data && { head: HEADS[data.verdict], says: data.message }}
            asked={{ tool: 'gap', inputs: { ...inputs, other_distance_m: state.distance } }}
            answer={data}
            error={error}
            controls={
                <>
                    <Field label="To do">
                        <select value={inputs.manoeuvre} onChange={(event) => set({ manoeuvre: event.target.value })}>
                            <Options of={MANOEUVRES} say={say} />
                        </select>
                    </Field>
                    <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} />
                    <SpeedSlider label="They come at" value={state.speed} onChange={(speed) => set({ speed })} />
                    {data?.ask && (
                        <Slider
                            label="Waited already"
                            value={state.waited}
                            min={0}
                            max={60}
                            step={5}
                            fine={1}
                            words={(value) => `${value} s`}
                            onChange={(waited) => set({ waited })}
                        />
                    )}
                    <Slider label="From" value={state.distance} min={10} max={300} step={5} words={metres} onChange={(distance) => set({ distance })} />
                </>
            }
            rarely={{
                said: differs('lanes', 'slope', 'people', 'sight', 'rolling', 'long', 'turner', 'runs', 'surface', 'asks'),
                controls: (
                    <>
                        <Slider label="Lanes each way" value={state.lanes} min={1} max={3} step={1} words={String} onChange={(lanes) => set({ lanes })} />
                        <SlopeSlider value={state.slope} onChange={(slope) => set({ slope })} />
                        <Slider
                            label="Somebody on foot"
                            value={state.people}
                            min={0}
                            max={20}
                            step={1}
                            words={(value) => (value === 0 ? '–' : `for ${value} s`)}
                            onChange={(people) => set({ people })}
                        />
                        <Slider
                            label="Seen"
                            value={state.sight}
                            min={0}
                            max={300}
                            step={10}
                            words={(value) => (value === 0 ? 'not measured' : `${value} m`)}
                            onChange={(sight) => set({ sight })}
                        />
                        {emerges && <Check label="Rolling over the line" checked={state.rolling} onChange={(rolling) => set({ rolling })} />}
                        {meetsOthers && (
                            <>
                                <Check label="A long vehicle first" checked={state.long} onChange={(long) => set({ long })} />
                                <Check label="Somebody opposite turns in too" checked={state.turner} onChange={(turner) => set({ turner })} />
                            </>
                        )}
                        {meetsOthers && state.turner && (
                            <Slider
                                label="Lanes of the road entered"
                                value={state.entry}
                                min={1}
                                max={3}
                                step={1}
                                words={String}
                                onChange={(entry) => set({ entry })}
                            />
                        )}
                        {emerges && (
                            <Field label="The road met runs">
                                <select value={state.runs} onChange={(event) => set({ runs: event.target.value })}>
                                    <Options of={RUNS} />
                                </select>
                            </Field>
                        )}
                        <SurfaceSelect value={state.surface} onChange={(surface) => set({ surface })} />
                        <Field label="A gap may ask">
                            <select value={state.asks} onChange={(event) => set({ asks: event.target.value })}>
                                <Options of={ASKS} />
                            </select>
                        </Field>
                    </>
                ),
            }}
        >
            {data && (
                <div className="grid gap-4">
                    <div className="grid gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
                        <div className="grid content-start gap-3">
                            <GapPicture answer={data} manoeuvre={manoeuvre} keeps={rules.keeps} distance={state.distance} speed={speed} seconds={seconds} />
                            <MomentKeys moment={moment} longest={longest} play="If we went" label="After the decision" />
                            {data.sides.map((side) => (
                                <GapBar
                                    key={side.from}
                                    side={side}
                                    distance={state.distance}
                                    speed={speed}
                                    seconds={seconds}
                                    most={Math.max(state.distance, ...data.sides.map((each) => each.time_needed_s * speed)) * 1.15}
                                />
                            ))}
                            <p className="text-quiet text-sm">The dashed mark is where “go” becomes “wait”: in the outlined part it is enough.</p>
                        </div>
                        <div className="grid content-start gap-4">
                            {data.ask && <p className="font-semibold">{data.ask.message}</p>}
                            <p>{data.figures}</p>
                            <dl className="grid grid-cols-2 gap-3">
                                <Big label="Enough from" value={data.critical_gap_m.toFixed(0)} unit="m" />
                                <Big label="that is" value={data.critical_gap_s.toFixed(1)} unit="s" />
                                <Big label="To spare" value={data.margin_s.toFixed(1)} unit="s" />
                                <Big label="Asked of them" value={ASKED[data.asked]} />
                                <Big
                                    label="They would slow by"
                                    value={data.other_decel_needed_mps2 === null ? '–' : data.other_decel_needed_mps2.toFixed(1)}
                                    unit={data.other_decel_needed_mps2 === null ? 'too late' : 'm/s²'}
                                />
                                {data.headway_at_end_s !== null && <Big label="Behind us at the end" value={data.headway_at_end_s.toFixed(1)} unit="s" />}
                                <Big label="Green Book says" value={data.published_gap_s.toFixed(1)} unit="s" />
                                <Big label="Half of all drivers go at" value={data.accepted_headway_s.toFixed(1)} unit="s" />
                                <Big label="Sight needed" value={data.sight_distance_m.toFixed(0)} unit="m" />
                            </dl>
                            <p className="text-quiet text-sm">Feeling gaps is learned at the roadside: call them, then count them.</p>
                        </div>
                    </div>
                    <Sides answer={data} />
                </div>
            )}
        </BenchPage>
    );
}

function Sides({ answer }: { answer: GapAnswer }) {
    return (
        <DataTable
            label="Side by side"
            least={34}
            heads={['From the', 'Our move', 'Needed', 'There is', 'To spare', 'They would slow by', 'Verdict']}
            rows={answer.sides.map((side) => ({
                key: side.from,
                head: side.from,
                cells: [
                    side.joined ? 'join it' : 'cross it',
                    `${side.time_needed_s.toFixed(1)} s`,
                    `${side.time_available_s.toFixed(1)} s`,
                    `${side.margin_s.toFixed(1)} s`,
                    side.other_decel_needed_mps2 === null ? 'too late' : `${side.other_decel_needed_mps2.toFixed(1)} m/s²`,
                    side.verdict,
                ],
            }))}
        />
    );
}
