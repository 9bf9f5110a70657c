import type { AmberAnswer, AmberAsked } from '@/api/types';
import { useSwept } from '@/compute/useCompute';
import { Draggable } from '@/road/Draggable';
import { Body, Mark, RoadFrame } from '@/road/RoadFrame';
import { speedWords } from '@/rules/speed';
import { spoken } from '@/strip/words';
import { Check } from '@/ui/Check';
import { DataTable } from '@/ui/DataTable';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { AmberSlider, MetresSlider, SlopeSlider, SpeedSlider, SurfaceSelect } from './sliders';
import { useBench } from './useBench';

const HEADS = { stop: 'Stop', go: 'Go on', neither: 'Neither fits: stop, if it is safe' };
const head = ({ verdict, beyond_line_m: beyond }: AmberAnswer) =>
    verdict === 'neither' && beyond !== 0 ? 'Too near to stop, too far to go on' : HEADS[verdict];
const FITS = { stop: 'stop', go: 'go on', neither: 'neither' };
const FARTHEST = 150;

/** A light that turns amber: stop or go on, and the stretch of road where neither fits. */
export function AmberBench() {
    const { rules, state, set, differs, vehicle, field } = useBench('amber');
    const unit = rules.length_unit;
    const inputs = {
        pack: rules.pack,
        vehicle,
        [field('speed')]: state.speed,
        surface: state.surface as NonNullable<AmberAsked['surface']>,
        gradient: state.slope / 100,
        ...(state.close ? { close_follower: true } : {}),
        ...(state.amber > 0 ? { amber_s: state.amber } : {}),
    };
    const { data, all, error } = useSwept(
        'amber',
        inputs as Omit<AmberAsked, 'sweep'>,
        { field: 'distance_m', from: 0, to: FARTHEST, step: 1 },
        state.distance,
    );
    return (
        <BenchPage
            verdict={data && { head: head(data), says: data.message }}
            asked={{ tool: 'amber', inputs: { ...inputs, distance_m: state.distance } }}
            answer={data}
            error={error}
            controls={
                <>
                    <SpeedSlider label="Speed" value={state.speed} onChange={(speed) => set({ speed })} />
                    <MetresSlider label="To the line" value={state.distance} min={0} max={FARTHEST} onChange={(distance) => set({ distance })} />
                    <SurfaceSelect value={state.surface} onChange={(surface) => set({ surface })} />
                    <Check label="Somebody close behind" checked={state.close} onChange={(close) => set({ close })} />
                </>
            }
            rarely={{
                said: differs('vehicle', 'slope', 'amber'),
                controls: (
                    <>
                        <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} />
                        <SlopeSlider value={state.slope} onChange={(slope) => set({ slope })} />
                        <AmberSlider value={state.amber} onChange={(amber) => set({ amber })} />
                    </>
                ),
            }}
        >
            {data && (
                <div className="grid gap-4">
                    <AmberPicture
                        answer={data}
                        distance={state.distance}
                        unit={unit}
                        onDistance={(distance) => set({ distance: Math.round(Math.max(0, Math.min(FARTHEST, distance))) })}
                    />
                    <dl className="grid grid-cols-2 gap-3 sm:grid-cols-4">
                        <Big label="Stop, farther than" value={data.point_of_no_return_m === null ? '–' : spoken(data.point_of_no_return_m, unit)} />
                        <Big label="Over before red, nearer than" value={spoken(data.covered_by_amber_m, unit)} />
                        <Big label="Neither, at this speed" value={stretch(data, unit)} />
                        <Big label="None of it at" value={speedWords(data.vanishing_speed_mps, rules.speed_unit)} unit="and below" />
                    </dl>
                    <p className="text-quiet">
                        {data.stretch
                            ? 'Where it has been green for long, mirror and ease off before this stretch.'
                            : 'At this speed there is always an answer: beyond one place stop, nearer go on.'}
                    </p>
                    <DataTable
                        label="Other distances"
                        heads={['To the line', 'What fits', 'To stop takes', 'Over the line']}
                        least={28}
                        rows={(all ?? [])
                            .filter(({ at }) => at % 10 === 0 && at > 0)
                            .map((one) => ({
                                key: one.at,
                                strong: one.at === state.distance,
                                head: spoken(one.at, unit),
                                cells: [
                                    FITS[one.verdict],
                                    one.beyond_line_m === 0 && one.decel_needed_mps2 !== null ? `${one.decel_needed_mps2.toFixed(1)} m/s²` : 'more than holds',
                                    one.into_red_s === 0 ? 'before red' : `${one.into_red_s.toFixed(1)} s after red`,
                                ],
                            }))}
                    />
                </div>
            )}
        </BenchPage>
    );
}

function stretch({ stretch: none }: AmberAnswer, unit: 'm' | 'ft'): string {
    if (!none) return 'nowhere';
    return none.from_m === null ? `from ${spoken(none.to_m, unit)} on` : `${spoken(none.to_m, unit)} to ${spoken(none.from_m, unit)}`;
}

/** The way to the line: where one stops, where one goes on, and where neither fits. */
function AmberPicture({
    answer,
    distance,
    unit,
    onDistance,
}: {
    answer: AmberAnswer;
    distance: number;
    unit: 'm' | 'ft';
    onDistance: (metres: number) => void;
}) {
    const { covered_by_amber_m: covered, point_of_no_return_m: noReturn } = answer;
    const far = Math.min(400, Math.max(60, (noReturn ?? covered) * 1.25, covered * 1.25, distance * 1.1));
    return (
        <RoadFrame from={far} to={-8} height={116} unit={unit} zero="line" label={`${spoken(distance, unit)} before the line: ${answer.message}`}>
            {({ x, perMetre, width }) => {
                const near = Math.min(noReturn ?? Infinity, covered);
                return (
                    <>
                        <rect x={0} y={40} width={width} height={46} fill="var(--road)" />
                        <rect x={x(near)} y={78} width={Math.max(0, x(0) - x(near))} height={8} fill="var(--now-fill)" />
                        {answer.stretch && (
                            <rect
                                x={x(Math.min(far, answer.stretch.from_m ?? far))}
                                y={40}
                                width={x(answer.stretch.to_m) - x(Math.min(far, answer.stretch.from_m ?? far))}
                                height={46}
                                fill="none"
                                stroke="var(--now)"
                                strokeWidth={3}
                                strokeDasharray="8 5"
                            />
                        )}
                        <line x1={x(0)} x2={x(0)} y1={40} y2={86} stroke="var(--paper)" strokeWidth={5} />
                        {noReturn !== null && noReturn <= far && (
                            <Mark x={x(noReturn)} top={6} bottom={86} text="stop, from here back" end={x(noReturn) > width / 2} />
                        )}
                        <Mark x={x(Math.min(far, covered))} top={22} bottom={86} text="over before red, from here on" end={x(covered) > width / 2} strong />
                        <Draggable perMetre={perMetre} onDrag={(by) => onDistance(distance - by)}>
                            <Body x={x(distance)} y={62} long={Math.max(18, answer.our_length_m * perMetre)} ours />
                        </Draggable>
                    </>
                );
            }}
        </RoadFrame>
    );
}
