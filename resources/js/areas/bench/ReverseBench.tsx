import type { Sweep } from '@/api/tools';
import type { ReverseAnswer, ReverseAsked } from '@/api/types';
import { useSwept } from '@/compute/useCompute';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { Slider } from '@/ui/Slider';
import { useVehicle, VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { usePage } from './useBench';
import { CarFromAbove } from './CarShape';
import { FlatBayPicture, KerbSpacePicture } from './reverse/RoomPicture';

const EXERCISES = {
    'pull-up-right-reverse': 'Back along the {kerb} on the {off}',
    bay: 'Into a bay',
    'nose-in': 'Into a bay, nose first',
    'out-of-bay': 'Out of a bay',
    'kerb-space': 'Forwards into a space at the {kerb}',
    ramp: 'Down or up a ramp',
};
const metres = (value: number) => `${value.toFixed(2)} m`;

/** Going back: how the kerb comes nearer, where a bay begins, the order of looks. */
export function ReverseBench() {
    const { rules, say, state, set } = usePage('reverse');
    const vehicle = useVehicle(state.vehicle);
    const kerb = state.exercise === 'pull-up-right-reverse';
    const flat = state.exercise === 'nose-in' || state.exercise === 'out-of-bay';
    const atKerb = state.exercise === 'kerb-space';
    const inBays = flat || state.exercise === 'bay';
    const inputs: ReverseAsked = {
        pack: rules.pack,
        exercise: state.exercise as ReverseAsked['exercise'],
        vehicle,
        ...(kerb ? { kerb_gap_m: state.gap } : {}),
        ...(kerb ? { gradient: state.slope / 100 } : {}),
        ...(inBays ? { bay_width_m: state.bay, aisle_m: state.aisle } : {}),
        ...(atKerb ? { space_m: state.space } : {}),
    };
    const over: Sweep<'reverse'> = kerb ? { field: 'angle_deg', from: -3, to: 6, step: 0.5 } : { field: 'gradient', from: -0.15, to: 0.15, step: 0.01 };
    const at = kerb ? state.angle : state.slope / 100;
    const { data: last, error } = useSwept('reverse', inputs, over, at);
    // The last answer may still be that of another exercise: what was said of an aisle is not said of a space.
    const data = last && belongs(last, flat, atKerb) ? last : undefined;
    return (
        <BenchPage
            verdict={
                data && {
                    head: headOf(data, flat),
                    says: data.room ? data.room.message : data.control,
                }
            }
            asked={{ tool: 'reverse', inputs: { ...inputs, [over.field ?? '']: at } }}
            answer={data}
            error={error}
            controls={
                <>
                    <Field label="Exercise">
                        <select value={state.exercise} onChange={(event) => set({ exercise: event.target.value })}>
                            <Options of={EXERCISES} say={say} />
                        </select>
                    </Field>
                    <VehicleChoice value={state.vehicle} onChange={(vehicle) => set({ vehicle })} />
                    {kerb && (
                        <Slider
                            label="Angle"
                            value={state.angle}
                            min={-3}
                            max={6}
                            step={0.5}
                            words={(value) => `${value}°`}
                            onChange={(angle) => set({ angle })}
                        />
                    )}
                    {kerb && (
                        <Slider
                            label={say('{Kerb}')}
                            value={state.gap}
                            min={0.1}
                            max={1.5}
                            step={0.05}
                            words={(value) => `${value.toFixed(2)} m`}
                            onChange={(gap) => set({ gap })}
                        />
                    )}
                    {inBays && (
                        <>
                            <Slider label="Bay, wide" value={state.bay} min={2} max={3.6} step={0.05} words={metres} onChange={(bay) => set({ bay })} />
                            <Slider label="Aisle, wide" value={state.aisle} min={4} max={14} step={0.25} words={metres} onChange={(aisle) => set({ aisle })} />
                        </>
                    )}
                    {atKerb && (
                        <Slider label="Space, long" value={state.space} min={5} max={25} step={0.25} words={metres} onChange={(space) => set({ space })} />
                    )}
                    <Slider
                        label="Slope ahead"
                        value={state.slope}
                        min={-15}
                        max={15}
                        step={1}
                        words={(value) => (value === 0 ? 'level' : `${Math.abs(value)} % ${value > 0 ? 'up' : 'down'}`)}
                        onChange={(slope) => set({ slope })}
                    />
                </>
            }
        >
            {data && (
                <div className="grid gap-6 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
                    {data.room && flat ? (
                        <FlatBayPicture answer={data} room={data.room} bay={state.bay} isIn={state.exercise === 'nose-in'} />
                    ) : data.room ? (
                        <KerbSpacePicture answer={data} room={data.room} space={state.space} keeps={rules.keeps} />
                    ) : data.bay ? (
                        <BayPicture answer={data} />
                    ) : (
                        <KerbPicture answer={data} kerb={kerb} gap={state.gap} angle={kerb ? state.angle : 0} />
                    )}
                    <div className="grid content-start gap-4">
                        <dl className="grid grid-cols-2 gap-3">
                            <Big label="Distance" value={data.length_m.toFixed(1)} unit="m" />
                            <Big label="Time" value={Math.round(data.time_s).toString()} unit="s" />
                            {data.end_gap_m !== null && <Big label={say('{Kerb} at the end')} value={data.end_gap_m.toFixed(2)} unit="m" />}
                            {data.correct_turns !== null && data.correct_turns > 0 && (
                                <Big label="Straightened by" value={data.correct_turns.toFixed(2)} unit="turn" />
                            )}
                            {data.room && data.room.straight_m !== null && <Big label="Straight first" value={data.room.straight_m.toFixed(1)} unit="m" />}
                            {data.room && data.room.view_after_m !== null && (
                                <Big label="View opens after" value={data.room.view_after_m.toFixed(1)} unit="m" />
                            )}
                            {data.room && <Big label={flat ? 'Aisle needed' : say('{Kerb} needed')} value={data.room.needed_m.toFixed(1)} unit="m" />}
                            {data.room && <Big label="Wheel" value={data.room.hand_wheel_turns.toFixed(2)} unit="turns" />}
                            {data.bay && <Big label="Past the bay’s middle" value={data.bay.past_m.toFixed(1)} unit="m" />}
                            {data.bay && <Big label="From its opening" value={data.bay.off_m.toFixed(1)} unit="m" />}
                            {data.bay && <Big label="Aisle needed" value={data.bay.aisle_needed_m.toFixed(1)} unit="m" />}
                            {data.bay && <Big label="Wheel" value={data.bay.hand_wheel_turns.toFixed(2)} unit="turns" />}
                        </dl>
                        <div>
                            <h2 className="text-lg">Looks before moving</h2>
                            <ol className="list-inside list-decimal">
                                {data.looks.map((look) => (
                                    <li key={look}>{look.replace('-', ' ')}</li>
                                ))}
                            </ol>
                            {data.room && <p>{data.control}</p>}
                            <p className="text-quiet">
                                {data.looks.includes('rear')
                                    ? 'Then mainly out of the rear window; all round again after any stop.'
                                    : 'Then both front corners in turn; stop for anybody near.'}
                            </p>
                        </div>
                        {data.gap_by_angle.length > 0 && (
                            <table className="w-full text-left">
                                <caption className="text-left font-semibold">{say('{Kerb} at the end, by the angle at the start')}</caption>
                                <tbody>
                                    <tr className="border-hair border-b">
                                        {data.gap_by_angle.map((row) => (
                                            <th key={row.angle_deg} scope="col" className="font-semibold">
                                                {row.angle_deg}°
                                            </th>
                                        ))}
                                    </tr>
                                    <tr>
                                        {data.gap_by_angle.map((row) => (
                                            <td key={row.angle_deg}>{row.end_gap_m < 0 ? 'on it' : row.end_gap_m.toFixed(2)}</td>
                                        ))}
                                    </tr>
                                </tbody>
                            </table>
                        )}
                    </div>
                </div>
            )}
        </BenchPage>
    );
}

/** Whether an answer is of such an exercise. */
const belongs = ({ room }: ReverseAnswer, flat: boolean, atKerb: boolean): boolean =>
    room === null ? !flat && !atKerb : atKerb ? room.straight_m === null : flat && room.straight_m !== null;

/** What it takes, against what there is. */
function headOf({ room, bay, length_m: length, time_s: seconds }: ReverseAnswer, flat: boolean): string {
    const fits = room ? room.fits : bay?.fits;
    if (fits === null || fits === undefined) return `${length.toFixed(1)} m back, about ${Math.round(seconds)} s`;
    const needed = `${(room?.needed_m ?? bay?.aisle_needed_m ?? 0).toFixed(1)} m of ${room && !flat ? 'space' : 'aisle'} needed`;
    return fits ? `Fits: ${needed}` : `${room && !flat ? 'Too short' : 'Not in one go'}: ${needed}`;
}

const FRAME = 'bg-raised border-hair w-full rounded-xl border-2';

/** The car along the kerb on its right, the way back drawn; the kerb at the foot. */
function KerbPicture({ answer, kerb, gap, angle }: { answer: ReverseAnswer; kerb: boolean; gap: number; angle: number }) {
    const { car, length_m: length } = answer;
    const front = car.wheelbase_m + car.front_overhang_m;
    const kerbY = gap + car.track_m / 2;
    // The kerb stays where it is; the car stands at the angle to it, its tail turned away from it where that is positive.
    const at = (gone: number) => ({
        x: -gone,
        y: kerbY - (answer.path.kerb_gap_m[Math.round((gone / length) * (answer.path.x_m.length - 1))] ?? gap) - car.track_m / 2,
    });
    const end = at(length);
    return (
        <svg
            viewBox={`${-length - 3} -4.2 ${length + front + 4.5} 7.2`}
            className={FRAME}
            role="img"
            aria-label={`Back ${length.toFixed(1)} m; ${answer.end_gap_m === null ? '' : `${answer.end_gap_m.toFixed(2)} m from it at the end`}`}
        >
            <rect x={-length - 4} y={-5} width={length + front + 8} height={5 + kerbY} fill="var(--road)" />
            {kerb && <line x1={-length - 4} x2={front + 4} y1={kerbY} y2={kerbY} stroke="var(--ink)" strokeWidth={0.14} />}
            <line x1={0} y1={0} x2={end.x} y2={end.y} stroke="var(--now)" strokeWidth={0.12} strokeDasharray="0.4 0.3" />
            <g transform={`rotate(${angle})`}>
                <CarFromAbove car={car} steer={0} />
            </g>
            <g transform={`translate(${end.x},${end.y}) rotate(${angle})`}>
                <CarFromAbove car={car} steer={0} ghost />
            </g>
        </svg>
    );
}

/** The bay above, the car driving past it to the right and going back into it. */
function BayPicture({ answer }: { answer: ReverseAnswer }) {
    const { car, path } = answer;
    const bay = answer.bay!;
    const { width_m: width, depth_m: depth } = bay;
    const mouth = -bay.off_m;
    const middle = -bay.past_m;
    const shown = [0, 6, 12, path.x_m.length - 1];
    const reach = bay.aisle_needed_m - bay.off_m;
    return (
        <svg
            viewBox={`${middle - 5} ${mouth - depth - 0.8} ${bay.past_m + 11} ${depth + 0.8 + bay.off_m + reach + 1.5}`}
            className={FRAME}
            role="img"
            aria-label={`Into the bay: begin ${bay.past_m.toFixed(1)} m past its middle, ${bay.off_m.toFixed(1)} m off its mouth`}
        >
            <rect x={middle - 6} y={mouth} width={bay.past_m + 14} height={bay.aisle_needed_m} fill="var(--road)" />
            {[-1.5, -0.5, 0.5, 1.5, 2.5].map((n) => (
                <line key={n} x1={middle + n * width} x2={middle + n * width} y1={mouth} y2={mouth - depth} stroke="var(--line)" strokeWidth={0.12} />
            ))}
            <line
                x1={middle - 6}
                x2={middle + bay.past_m + 9}
                y1={mouth + bay.aisle_needed_m}
                y2={mouth + bay.aisle_needed_m}
                stroke="var(--ink)"
                strokeWidth={0.1}
                strokeDasharray="0.5 0.3"
            />
            <path
                d={`M${path.x_m.map((x, i) => `${x},${-path.y_m[i]!}`).join(' L')}`}
                fill="none"
                stroke="var(--now)"
                strokeWidth={0.12}
                strokeDasharray="0.4 0.3"
            />
            {shown.map((i, n) => (
                <g key={i} transform={`translate(${path.x_m[i]},${-path.y_m[i]!}) rotate(${path.heading_deg[i]})`}>
                    <CarFromAbove car={car} steer={n === 0 || n === 3 ? 0 : -bay.road_wheel_deg} ghost={n !== 3} />
                </g>
            ))}
        </svg>
    );
}
