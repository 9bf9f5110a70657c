import type { SteeringAnswer, SteeringAsked } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { Field } from '@/ui/Field';
import { Slider } from '@/ui/Slider';
import { useVehicle, VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { speedWords } from '@/rules/speed';
import { usePage } from './useBench';
import { CarFromAbove, HandWheel } from './CarShape';

/** How much wheel for a corner along the kerb, when to begin, when to straighten. */
export function SteeringBench() {
    const { rules, say, state, set } = usePage('steering');
    const vehicle = useVehicle(state.vehicle);
    const inputs: SteeringAsked = {
        pack: rules.pack,
        vehicle,
        kerb_radius_m: state.kerb,
        kerb_gap_m: state.gap,
        lane_width_m: state.lane,
        corner: state.corner as NonNullable<SteeringAsked['corner']>,
    };
    const { data, error } = useCompute('steering', inputs);
    const speed = speedWords(data?.comfortable_speed_mps ?? 0, rules.speed_unit);
    return (
        <BenchPage
            verdict={
                data && {
                    head: `${data.turns.toFixed(2)} ${data.turns === 1 ? 'turn' : 'of a turn'} of the wheel`,
                    says: `Taught there: ${data.taught_turns.map((turns) => turns.toFixed(2)).join(' to ')}. ${data.agrees_with_taught ? 'Here that fits.' : `This corner asks ${data.turns.toFixed(2)}.`}`,
                }
            }
            asked={{ tool: 'steering', inputs }}
            answer={data}
            error={error}
            controls={
                <>
                    <VehicleChoice value={state.vehicle} onChange={(vehicle) => set({ vehicle })} />
                    <Field label="Corner">
                        <select value={state.corner} onChange={(event) => set({ corner: event.target.value })}>
                            <option value="near">On our side</option>
                            <option value="far">Across</option>
                        </select>
                    </Field>
                    <Slider
                        label={say('{Kerb} radius')}
                        value={state.kerb}
                        min={2}
                        max={25}
                        step={0.5}
                        words={(value) => `${value} m`}
                        onChange={(value) => set({ kerb: value })}
                    />
                    <Slider
                        label={say('From the {kerb}')}
                        value={state.gap}
                        min={0.2}
                        max={3}
                        step={0.1}
                        words={(value) => `${value.toFixed(1)} m`}
                        onChange={(gap) => set({ gap })}
                    />
                    <Slider
                        label="Lane"
                        value={state.lane}
                        min={2.5}
                        max={8}
                        step={0.05}
                        words={(value) => `${value.toFixed(2)} m`}
                        onChange={(lane) => set({ lane })}
                    />
                </>
            }
        >
            {data && (
                <div className="grid gap-6 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
                    <CornerPicture answer={data} kerb={state.kerb} lane={state.lane} />
                    <div className="grid content-start gap-4">
                        <div className="flex flex-wrap items-center gap-6">
                            <HandWheel degrees={data.hand_wheel_deg} side="left" />
                            <dl className="grid gap-2">
                                <Big label="Hand wheel" value={data.turns.toFixed(2)} unit={data.turns === 1 ? 'turn' : 'turns'} />
                                <Big label="Comfortable" value={speed} />
                            </dl>
                        </div>
                        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
                            {(
                                [
                                    [
                                        'Begin with the bumper',
                                        `${Math.abs(data.steer_from_m).toFixed(1)} m ${data.steer_from_m < 0 ? 'before' : 'past'} the start of the curve`,
                                    ],
                                    ['Straighten with', `${Math.round(data.straighten_deg)}° still to turn`],
                                    ['Front wheels', `${data.road_wheel_deg.toFixed(1)}°`],
                                    ['Rear wheels cut in', `${data.cut_in_m.toFixed(2)} m`],
                                    ...(data.trailer_in_m === null ? [] : [['Trailer further in, up to', `${data.trailer_in_m.toFixed(1)} m`] as const]),
                                    [say('Room at the {kerb}'), `${data.inner_clearance_m?.toFixed(2) ?? '–'} m`],
                                    ['Room at the lane’s edge', `${data.outer_clearance_m?.toFixed(2) ?? '–'} m`],
                                    ['Tightest it steers', `${data.minimum_radius_m.toFixed(1)} m radius`],
                                ] as const
                            ).map(([name, value]) => (
                                <div key={name} className="contents">
                                    <dt className="text-quiet">{name}</dt>
                                    <dd className="text-right font-semibold">{value}</dd>
                                </div>
                            ))}
                        </dl>
                    </div>
                </div>
            )}
        </BenchPage>
    );
}

/** The corner from above, the kerb's middle at the lower left; the car half-way round. */
function CornerPicture({ answer, kerb, lane }: { answer: SteeringAnswer; kerb: number; lane: number }) {
    const around = kerb + lane + 3.5;
    const view = around + 7;
    // Places count x to the right and y up from the kerb's middle; on the screen y runs down.
    const arc = (radius: number) => `M${radius},7 V0 A${radius},${radius} 0 0 0 0,${-radius} H-7`;
    const turned = 45;
    const at = { x: answer.radius_m * Math.cos((turned * Math.PI) / 180), y: -answer.radius_m * Math.sin((turned * Math.PI) / 180) };
    return (
        <svg
            viewBox={`-7 ${-around} ${view} ${view}`}
            className="bg-raised border-hair max-h-[34rem] w-full rounded-xl border-2"
            role="img"
            aria-label={`The car in the corner: front wheels ${answer.road_wheel_deg.toFixed(1)} degrees`}
        >
            <path d={`${arc(kerb + lane)} V${-kerb} H0 A${kerb},${kerb} 0 0 1 ${kerb},0 V7 Z`} fill="var(--road)" />
            <path d={arc(kerb)} fill="none" stroke="var(--ink)" strokeWidth={0.18} />
            <path d={arc(kerb + lane)} fill="none" stroke="var(--line)" strokeWidth={0.12} strokeDasharray="1 0.6" />
            <path d={arc(answer.radius_m)} fill="none" stroke="var(--now)" strokeWidth={0.14} strokeDasharray="0.5 0.4" />
            <g transform={`translate(${answer.radius_m},${-answer.steer_from_m + answer.car.wheelbase_m + answer.car.front_overhang_m}) rotate(-90)`}>
                <CarFromAbove car={answer.car} steer={0} ghost />
            </g>
            <g transform={`translate(${at.x},${at.y}) rotate(${-90 - turned})`}>
                <CarFromAbove car={answer.car} steer={answer.road_wheel_deg} />
            </g>
        </svg>
    );
}
