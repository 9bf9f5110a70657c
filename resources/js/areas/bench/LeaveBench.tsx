import { useCompute } from '@/compute/useCompute';
import { spoken } from '@/strip/words';
import { DataTable } from '@/ui/DataTable';
import { Field } from '@/ui/Field';
import { Slider } from '@/ui/Slider';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { MetresSlider, SlopeSlider, SpeedSlider, SurfaceSelect } from './sliders';
import { useSay } from '@/rules/rules';
import { useBench } from './useBench';
import { LeavePicture } from '@/road/LeavePicture';
import { MomentKeys } from '@/road/MomentKeys';
import type { LeaveAnswer, LeaveAsked } from '@/api/types';
import { useMoment } from '@/road/useMoment';
import { inMps, speedWords } from '@/rules/speed';

const HEADS = { even: 'One even brake does', firm: 'A firm brake, from the beginning', harsh: 'Harsh: too short for this speed' };

/** As much of the main road is shown as the picture is long, m. */
const SHOWN = 320;

/** Signs, signal, brake, lane and gear on the way off, in their places. */
export function LeaveBench() {
    const { rules, say, state, set, vehicle, field } = useBench('leave');
    const inputs: LeaveAsked = {
        pack: rules.pack,
        practice: rules.practice,
        vehicle,
        [field('main_speed')]: state.main,
        [field('end_speed')]: Math.min(state.end, state.main),
        slip_length_m: state.slip,
        gradient: state.slope / 100,
        lanes: state.lanes,
        surface: state.surface as LeaveAsked['surface'],
        ...(state.turn === 'left' || state.turn === 'right' ? { next_turn: state.turn } : {}),
        ...(state.radius > 0 ? { bend_radius_m: state.radius, bend_from_m: Math.min(state.bend, state.slip) } : {}),
        ...(state.lower > 0 ? { lower_limit_m: Math.min(state.lower, state.slip) } : {}),
    };
    const { data, error } = useCompute('leave', inputs);
    const onIt = data ? -data.profile.time_s[data.profile.time_s.length - 1]! : 10;
    const before = SHOWN / Math.max(3, inMps(state.main, rules.speed_unit));
    const longest = Math.ceil(before + onIt);
    const moment = useMoment(longest);
    return (
        <BenchPage
            verdict={data && { head: HEADS[data.verdict], says: data.message }}
            asked={{ tool: 'leave', inputs }}
            answer={data && { ...data, warnings: data.warnings.filter(({ message }) => message !== data.message) }}
            error={error}
            controls={
                <>
                    <SpeedSlider label="Main road" value={state.main} onChange={(main) => set({ main })} />
                    <MetresSlider label={say('{Slip road}')} value={state.slip} min={50} max={600} onChange={(slip) => set({ slip })} />
                    <SpeedSlider label="At its end" from={0} value={state.end} onChange={(end) => set({ end })} />
                    <Field label="Then">
                        <select value={state.turn} onChange={(event) => set({ turn: event.target.value })}>
                            <option value="none">Straight on</option>
                            <option value="left">Left</option>
                            <option value="right">Right</option>
                        </select>
                    </Field>
                    <MetresSlider label="Bend" value={state.radius} min={0} max={200} none="none" onChange={(radius) => set({ radius })} />
                    {state.radius > 0 && <MetresSlider label="Bend begins" value={state.bend} min={20} max={500} onChange={(bend) => set({ bend })} />}
                </>
            }
            rarely={{
                said: state.slope !== 0 || state.lanes !== 2 || state.lower > 0 || state.surface !== 'dry',
                controls: (
                    <>
                        <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} />
                        <SlopeSlider value={state.slope} onChange={(slope) => set({ slope })} />
                        <Slider
                            label={say('Lanes of the {slip road}')}
                            value={state.lanes}
                            min={1}
                            max={3}
                            step={1}
                            words={String}
                            onChange={(lanes) => set({ lanes })}
                        />
                        <MetresSlider label="Lower limit after" value={state.lower} min={0} max={500} none="none" onChange={(lower) => set({ lower })} />
                        <SurfaceSelect value={state.surface} onChange={(surface) => set({ surface })} />
                    </>
                ),
            }}
        >
            {data && (
                <div className="grid gap-4">
                    <LeavePicture
                        answer={data}
                        slip={state.slip}
                        keeps={rules.keeps}
                        unit={rules.length_unit}
                        toGo={before - moment.seconds}
                        words={(value) => speedWords(value, rules.speed_unit)}
                    />
                    <MomentKeys moment={moment} longest={longest} play="Drive it" label="Since the view begins" />
                    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
                        <div className="grid content-start gap-3">
                            <dl className="grid grid-cols-2 gap-3">
                                <Big label="Even brake" value={data.decel_mps2.toFixed(1)} unit="m/s²" />
                                <Big label="Its hardest" value={data.peak_decel_mps2.toFixed(1)} unit="m/s²" />
                                <Big label="Left to the second half" value={data.late_half_decel_mps2.toFixed(1)} unit="m/s²" />
                                {data.bend_speed_mps !== null && <Big label="Before the bend" value={speedWords(data.bend_speed_mps, rules.speed_unit)} />}
                                <Big label={say('Lane of the {slip road}')} value={String(data.slip_lane)} />
                            </dl>
                            <p>{data.slip_lane_reason}</p>
                            <p className="text-quiet text-sm">
                                {say('Slowing on the main road impedes those behind: its speed is kept until on the {slip road}.')}
                            </p>
                        </div>
                        <Events answer={data} unit={rules.length_unit} words={(value) => speedWords(value, rules.speed_unit)} />
                    </div>
                </div>
            )}
        </BenchPage>
    );
}

function Events({ answer, unit, words }: { answer: LeaveAnswer; unit: 'm' | 'ft'; words: (speed: number) => string }) {
    const say = useSay();
    return (
        <DataTable
            label="In their order"
            least={30}
            heads={['What', 'Where', 'When', 'Speed']}
            rows={answer.events.map((event, i) => ({
                key: i,
                head: (
                    <>
                        <span className="font-semibold">{say(NAMES[event.kind] ?? event.kind)}</span>{' '}
                        <span className="text-quiet">{event.side ?? event.text}</span>
                    </>
                ),
                cells: [
                    event.at_m === 0 ? 'beginning' : `${spoken(Math.abs(event.at_m), unit)} ${event.at_m > 0 ? 'before' : 'on it'}`,
                    `${Math.abs(event.time_s).toFixed(1)} s`,
                    words(event.speed_mps),
                ],
            }))}
        />
    );
}

const NAMES: Record<string, string> = {
    sign: 'First sign',
    'near-lane': 'Lane',
    marker: '{Marker}',
    mirrors: 'Mirrors',
    signal: 'Signal',
    slip: '{Slip road}',
    cancel: 'Cancel',
    brake: 'Brake',
    'lower-limit': 'Lower limit',
    bend: 'Bend',
    'next-mirrors': 'Mirrors',
    'next-signal': 'Signal',
    gear: 'Gear',
    end: 'End',
};
