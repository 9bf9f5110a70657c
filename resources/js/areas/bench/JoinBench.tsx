import { speedField, unitWords } from '@/rules/speed';
import { useCompute } from '@/compute/useCompute';
import { spoken } from '@/strip/words';
import { DataTable } from '@/ui/DataTable';
import { Slider } from '@/ui/Slider';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { GearSlider, MetresSlider, SlopeSlider, SpeedSlider, SurfaceSelect } from './sliders';
import { useBench } from './useBench';
import { JoinPicture } from '@/road/JoinPicture';
import { MomentKeys } from '@/road/MomentKeys';
import { asked, readOthers } from '@/bench/others';
import { OthersForm } from '@/road/OthersForm';
import type { JoinAnswer, JoinAsked } from '@/api/types';
import { useMoment } from '@/road/useMoment';
import { speedWords } from '@/rules/speed';

/** Does this slip road give enough room, ahead of or behind whom, and by where is it decided. */
export function JoinBench() {
    const { rules, say, state, set, differs, vehicle, field } = useBench('join');
    const others = readOthers(state.others);
    const inputs: JoinAsked = {
        pack: rules.pack,
        practice: rules.practice,
        vehicle,
        slip_length_m: state.slip,
        [field('entry_speed')]: state.entry,
        surface: state.surface as JoinAsked['surface'],
        ...(state.gear > 0 ? { gear: state.gear } : {}),
        ...(state.leader > 0 ? { leader: { distance_m: state.leader, [field('speed')]: state.leads } } : {}),
        [field('main_speed')]: state.main,
        gradient: state.slope / 100,
        limit_change_m: Math.min(state.sign, state.slip),
        slip_angle_deg: state.angle,
        solid_line_m: Math.min(state.solid, state.slip),
        vehicles: asked(others, speedField(rules.speed_unit), rules),
    };
    const { data, error } = useCompute('join', inputs);
    const longest = data ? Math.ceil(data.profile.time_s[data.profile.time_s.length - 1]!) : 10;
    const moment = useMoment(longest, data?.choice_s);
    return (
        <BenchPage
            verdict={data && { head: headline(data), says: after(headline(data), data.message) }}
            asked={{ tool: 'join', inputs }}
            // What is said beside the picture is not said again below it.
            answer={data && { ...data, warnings: data.warnings.filter(({ message }) => message !== data.message) }}
            error={error}
            controls={
                <>
                    <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} />
                    <MetresSlider label={say('{Slip road}')} value={state.slip} min={60} max={600} onChange={(slip) => set({ slip })} />
                    <SpeedSlider label={say('Speed entering the {slip road}')} value={state.entry} onChange={(entry) => set({ entry })} />
                    <SpeedSlider label="Traffic" value={state.main} onChange={(main) => set({ main })} />
                    <SlopeSlider value={state.slope} onChange={(slope) => set({ slope })} />
                </>
            }
            rarely={{
                said: differs('surface', 'gear', 'leader'),
                controls: (
                    <>
                        <MetresSlider label="Higher limit starts after" value={state.sign} min={0} max={300} onChange={(sign) => set({ sign })} />
                        <MetresSlider label="Solid line until" value={state.solid} min={0} max={300} onChange={(solid) => set({ solid })} />
                        <Slider
                            label="Angle"
                            value={state.angle}
                            min={1}
                            max={30}
                            step={1}
                            words={(value) => `${value}°`}
                            onChange={(angle) => set({ angle })}
                        />
                        <GearSlider value={state.gear} onChange={(gear) => set({ gear })} />
                        <SurfaceSelect value={state.surface} onChange={(surface) => set({ surface })} />
                        <MetresSlider label="Car ahead of us" none="nobody" value={state.leader} min={0} max={200} onChange={(leader) => set({ leader })} />
                        {state.leader > 0 && <SpeedSlider label="It drives" value={state.leads} onChange={(leads) => set({ leads })} />}
                    </>
                ),
            }}
        >
            {data && (
                <div className="grid gap-4">
                    <JoinPicture
                        answer={data}
                        slip={state.slip}
                        keeps={rules.keeps}
                        unit={rules.length_unit}
                        seconds={moment.seconds}
                        words={(value) => speedWords(value, rules.speed_unit)}
                        onDrag={(i, by) => set({ others: JSON.stringify(others.map((one, n) => (n === i ? { ...one, at: Math.round(one.at + by) } : one))) })}
                    />
                    <MomentKeys moment={moment} longest={longest} play="Drive it" label="Since the beginning" />
                    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
                        <div className="grid content-start gap-3">
                            <dl className="grid grid-cols-2 gap-3">
                                <Big label="Needed" value={data.accel_needed_mps2.toFixed(2)} unit="m/s²" />
                                <Big label="The car has" value={data.accel_available_mps2.toFixed(2)} unit="m/s²" />
                                <Big label="Joins at" value={speedWords(data.speed_at_end_mps, rules.speed_unit)} />
                                <Big
                                    label="Below the traffic"
                                    value={data.speed_short_mps < 0.25 ? 'nothing' : speedWords(data.speed_short_mps, rules.speed_unit)}
                                />
                                <Big label="The length that counts" value={spoken(data.counts_m, rules.length_unit)} />
                                <Big label="Gear" value={String(data.gear)} />
                                {data.decide_by_m !== null && <Big label="Decided by" value={spoken(data.decide_by_m, rules.length_unit)} />}
                            </dl>
                            <p className="text-quiet text-sm">
                                Joining traffic gives way, and a stop at the end is the last resort: it takes away the speed joining needs. To stop at all, the
                                brake must begin {spoken(data.stop_from_m, rules.length_unit)} before the end.
                            </p>
                        </div>
                        <Options answer={data} unit={rules.length_unit} words={(value) => speedWords(value, rules.speed_unit)} />
                    </div>
                    <section aria-label="Glances">
                        <h2 className="text-lg">Glances</h2>
                        <ol className="flex flex-wrap gap-x-8 gap-y-1">
                            {data.glances.map((glance, i) => (
                                <li key={i}>
                                    <strong>{glance.at.replace('-', ' ')}</strong> at {spoken(glance.at_m, rules.length_unit)}, {glance.time_s.toFixed(1)} s in;{' '}
                                    {spoken(glance.covers_m, rules.length_unit)} driven meanwhile <span className="text-quiet">({glance.why})</span>
                                </li>
                            ))}
                        </ol>
                    </section>
                    <OthersForm
                        intentions
                        title="On the main road, as seen where the choice begins"
                        value={others}
                        unit={unitWords(rules.speed_unit)}
                        onChange={(next) => set({ others: JSON.stringify(next) })}
                    />
                </div>
            )}
        </BenchPage>
    );
}

/** More than 10 mph below the traffic nobody joins. */
const FAULT_MPS = 4.47;

function headline(answer: JoinAnswer): string {
    const best = answer.best === null ? null : answer.options[answer.best]!;
    if (!best) return answer.fault_of_slip ? 'Not at their speed' : 'No way in: ease off now';
    if (best.where === 'free') return 'The road is free';
    const said = [best.behind_of && `behind ${best.behind_of}`, best.ahead_of && `ahead of ${best.ahead_of}`].filter(Boolean).join(', ');
    return said.charAt(0).toUpperCase() + said.slice(1);
}

function Options({ answer, unit, words }: { answer: JoinAnswer; unit: 'm' | 'ft'; words: (speed: number) => string }) {
    const away = (option: JoinAnswer['options'][number]) => option.gap_s === null && option.where !== 'free';
    return (
        <DataTable
            label="Ways to join"
            least={34}
            heads={['How', 'Acceleration', 'Joins at', 'Gap there', 'To spare', 'Open until']}
            rows={answer.options.map((option, i) => ({
                key: i,
                quiet: !option.feasible || option.short_mps > FAULT_MPS,
                strong: i === answer.best,
                head: `${i === answer.best ? '▸ ' : ''}${option.where === 'free' ? 'free road' : `${option.where === 'ahead' ? 'ahead of' : 'behind'} ${option.vehicle}`}`,
                cells: [
                    away(option) ? '–' : `${option.accel_mps2.toFixed(1)}${option.then_mps2 === null ? '' : `, then ${option.then_mps2.toFixed(1)}`} m/s²`,
                    away(option) ? 'cannot get there' : words(option.speed_mps),
                    option.gap_s === null ? '–' : `${option.gap_s.toFixed(1)} s`,
                    option.spare_m === null ? '–' : option.feasible ? spoken(option.spare_m, unit) : `${spoken(-option.spare_m, unit)} short`,
                    option.latest_m === null ? '–' : spoken(option.latest_m, unit),
                ],
            }))}
        />
    );
}

/** What a sentence adds to its own beginning, where that is said above it. */
function after(head: string, message: string): string {
    const rest = message.startsWith(`${head}: `) ? message.slice(head.length + 2) : message;
    return rest.charAt(0).toUpperCase() + rest.slice(1);
}
