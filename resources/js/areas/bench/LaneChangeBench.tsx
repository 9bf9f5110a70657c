import type { LaneChangeAsked } from '@/api/types';
import { useState } from 'react';
import { unitWords } from '@/rules/speed';
import { useCompute } from '@/compute/useCompute';
import { spoken } from '@/strip/words';
import { Field } from '@/ui/Field';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { MetresSlider, SlopeSlider, SpeedSlider, SurfaceSelect } from './sliders';
import { useBench } from './useBench';
import { ChangePicture } from '@/road/ChangePicture';
import { MomentKeys } from '@/road/MomentKeys';
import { asked, readOthers } from '@/bench/others';
import { OthersForm } from '@/road/OthersForm';
import { useMoment } from '@/road/useMoment';
import { speedWords } from '@/rules/speed';

const WORDS = {
    'faster-ahead': 'Faster, into the gap ahead',
    'easier-behind': 'Easier, into the gap behind',
    wait: 'As we are, waiting for it',
    stay: 'Stay in this lane',
};

/** Faster into the gap ahead, easier into the one behind, or wait: with the gaps, the checks, and where it must be done. */
export function LaneChangeBench() {
    const { rules, say, state, set, vehicle, field } = useBench('lane-change');
    const [chosen, setChosen] = useState<string | null>(null);
    const others = readOthers(state.others);
    const to = state.to === 'left' ? 'left' : 'right';
    const inputs: LaneChangeAsked = {
        pack: rules.pack,
        practice: rules.practice,
        vehicle,
        [field('speed')]: Math.min(state.speed, state.limit),
        [field('limit')]: state.limit,
        to,
        gradient: state.slope / 100,
        surface: state.surface as LaneChangeAsked['surface'],
        vehicles: asked(others, field('speed'), rules, { lane: to }),
        ...(state.room > 0 ? { room_m: state.room } : {}),
        ...(state.junction > 0 ? { junction_m: state.junction } : {}),
        ...(state.second > 0 ? { second_junction_m: state.second } : {}),
    };
    const { data, error } = useCompute('lane-change', inputs);
    const shown = data?.options.find((option) => option.kind === (chosen ?? data.best)) ?? data?.options[0];
    const longest = shown ? Math.ceil(shown.time_s + 5) : 10;
    const moment = useMoment(longest);
    return (
        <BenchPage
            verdict={data && { head: data.message }}
            asked={{ tool: 'lane-change', inputs }}
            answer={data}
            error={error}
            controls={
                <>
                    <Field label="To the">
                        <select value={to} onChange={(event) => set({ to: event.target.value })}>
                            <option value="left">Left</option>
                            <option value="right">Right</option>
                        </select>
                    </Field>
                    <SpeedSlider label="We drive" value={state.speed} onChange={(speed) => set({ speed })} />
                    <SpeedSlider label="Limit" value={state.limit} onChange={(limit) => set({ limit })} />
                </>
            }
            rarely={{
                said: state.room > 0 || state.junction > 0 || state.second > 0 || state.slope !== 0 || state.surface !== 'dry',
                controls: (
                    <>
                        <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} />
                        <MetresSlider label="Our lane ends in" value={state.room} min={0} max={500} none="it goes on" onChange={(room) => set({ room })} />
                        <MetresSlider
                            label={say('Needed for a {junction} in')}
                            value={state.junction}
                            min={0}
                            max={500}
                            none="none"
                            onChange={(junction) => set({ junction })}
                        />
                        <MetresSlider
                            label="A second one after it by"
                            value={state.second}
                            min={0}
                            max={500}
                            none="none"
                            onChange={(second) => set({ second })}
                        />
                        <SlopeSlider value={state.slope} onChange={(slope) => set({ slope })} />
                        <SurfaceSelect value={state.surface} onChange={(surface) => set({ surface })} />
                    </>
                ),
            }}
        >
            {data && shown && (
                <div className="grid gap-4">
                    <ChangePicture
                        option={shown}
                        others={others}
                        unit={rules.speed_unit}
                        to={to}
                        seconds={moment.seconds}
                        room={state.room}
                        onDrag={(i, by) => set({ others: JSON.stringify(others.map((one, n) => (n === i ? { ...one, at: Math.round(one.at + by) } : one))) })}
                    />
                    <MomentKeys moment={moment} longest={longest} play="Drive it" label="From now" />
                    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-2">
                        <div className="grid content-start gap-3">
                            <div className="grid gap-2" role="group" aria-label="Ways to change">
                                {data.options.map((option) => (
                                    <button
                                        key={option.kind}
                                        type="button"
                                        className="key justify-start text-left"
                                        aria-pressed={option.kind === shown.kind}
                                        onClick={() => setChosen(option.kind)}
                                    >
                                        <span>
                                            {option.kind === data.best ? '▸ ' : ''}
                                            {WORDS[option.kind]}
                                            <span className="font-normal">
                                                {option.feasible
                                                    ? `: ${option.time_s.toFixed(1)} s, ${speedWords(option.speed_mps, rules.speed_unit)}`
                                                    : option.in_room
                                                      ? `: ${option.spare_m === null ? 'no gap' : `${spoken(Math.abs(option.spare_m), rules.length_unit)} short`}`
                                                      : ': no room for it'}
                                            </span>
                                        </span>
                                    </button>
                                ))}
                            </div>
                        </div>
                        <div className="grid content-start gap-3">
                            <dl className="grid grid-cols-2 gap-3">
                                <Big label="Until we move over" value={shown.time_s.toFixed(1)} unit="s" />
                                <Big label="Until we are in" value={spoken(shown.metres_m, rules.length_unit)} />
                                <Big label="Gap ahead then" value={shown.gap_ahead_s?.toFixed(1) ?? '–'} unit={shown.gap_ahead_s === null ? 'nobody' : 's'} />
                                <Big
                                    label="Gap behind then"
                                    value={shown.gap_behind_s?.toFixed(1) ?? '–'}
                                    unit={shown.gap_behind_s === null ? 'nobody' : 's'}
                                />
                            </dl>
                            <section aria-label="Checks">
                                <h2 className="text-lg">Checks, in this order</h2>
                                <ol className="flex flex-wrap gap-x-5 gap-y-1">
                                    {data.checks.map((check, i) => (
                                        <li key={i}>
                                            <strong>{check.at.replace('-', ' ')}</strong>{' '}
                                            <span className="text-quiet tabular">{check.time_s.toFixed(1)} s</span>
                                        </li>
                                    ))}
                                </ol>
                            </section>
                            {data.lane_by_m !== null && (
                                <p>{say(`For the {junction} the change begins ${spoken(data.lane_by_m, rules.length_unit)} before it at the latest.`)}</p>
                            )}
                            {data.junctions && (
                                <p>
                                    {data.junctions === 'room-between'
                                        ? say('Between the two {junctions} there is room for the change.')
                                        : say('The lane of the second {junction} is taken before the first; then cancel.')}
                                </p>
                            )}
                        </div>
                    </div>
                    <OthersForm
                        lanes
                        title="Beside us, now"
                        value={others}
                        unit={unitWords(rules.speed_unit)}
                        onChange={(next) => set({ others: JSON.stringify(next) })}
                    />
                </div>
            )}
        </BenchPage>
    );
}
