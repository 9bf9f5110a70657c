import type { Assumption } from '@/api/types';
import { flat, useAddress } from '@/app/useAddress';
import { useCompute } from '@/compute/useCompute';
import { Slider } from '@/ui/Slider';
import { Big, BenchPage, useVehicle, VehicleChoice } from './BenchPage';

type Point = [number, number];
interface Answer {
    off_tracking_m: { most: number };
    tail_swing_m: number;
    fits: boolean | null;
    spare_inside_m: number | null;
    spare_outside_m: number | null;
    line: { entry_from_kerb_m: number; exit_from_kerb_m: number; radius_m: number; begin_at_m: number } | null;
    frames: Point[][][];
    traces: { path: Point[]; outer: Point[]; inner: Point[] };
    assumptions: Assumption[];
    warnings: { code: string; message: string }[];
}

const address = flat({ vehicle: 'articulated-lorry', kerb: 9, entry: 4, exit: 7.3, angle: 90 });

/** Does it get round: the best line through a bend, to scale, with what is left at the kerbs. */
export function LongVehicleBench() {
    const [state, setState] = useAddress(address.read, address.write);
    const set = (part: Partial<typeof state>) => setState((before) => ({ ...before, ...part }));
    const vehicle = useVehicle(state.vehicle);
    const { data, error, isPlaceholderData } = useCompute<Answer>('swept-path', {
        vehicle,
        bend: { kerb_radius_m: state.kerb, entry_width_m: state.entry, exit_width_m: state.exit, angle_deg: state.angle },
    });
    const spare = data && Math.min(data.spare_inside_m ?? 0, data.spare_outside_m ?? 0);
    const metres = (value: number) => `${value} m`;
    return (
        <BenchPage
            title="Long vehicle"
            about="The line that leaves most room through a bend"
            answer={data}
            error={error}
            controls={
                <>
                    <VehicleChoice value={state.vehicle} onChange={(vehicle) => set({ vehicle })} />
                    <Slider label="Kerb radius" value={state.kerb} min={1} max={30} step={0.5} words={metres} onChange={(kerb) => set({ kerb })} />
                    <Slider label="Lane before" value={state.entry} min={2.75} max={12} step={0.25} words={metres} onChange={(entry) => set({ entry })} />
                    <Slider label="Lane after" value={state.exit} min={2.75} max={12} step={0.25} words={metres} onChange={(exit) => set({ exit })} />
                    <Slider label="Turns" value={state.angle} min={30} max={150} step={5} words={(value) => `${value}°`} onChange={(angle) => set({ angle })} />
                </>
            }
        >
            {data?.line && spare !== undefined && (
                <div
                    className={`grid gap-6 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] ${isPlaceholderData ? 'opacity-60' : ''}`}
                    aria-busy={isPlaceholderData}
                >
                    <BendPicture answer={data} kerb={state.kerb} entry={state.entry} exit={state.exit} angle={state.angle} />
                    <div className="grid content-start gap-4">
                        <p className="font-display text-3xl font-bold" role="status">
                            {spare >= 0 ? `Fits with ${spare.toFixed(2)} m to spare` : `Does not fit: ${(-spare).toFixed(2)} m missing`}
                        </p>
                        <dl className="grid grid-cols-2 gap-3">
                            <Big label="From the kerb before" value={data.line.entry_from_kerb_m.toFixed(2)} unit="m" />
                            <Big label="From the kerb after" value={data.line.exit_from_kerb_m.toFixed(2)} unit="m" />
                            <Big
                                label={data.line.begin_at_m < 0 ? 'Begin before the curve' : 'Begin past the curve’s start'}
                                value={Math.abs(data.line.begin_at_m).toFixed(1)}
                                unit="m"
                            />
                            <Big label="Radius of the front" value={data.line.radius_m.toFixed(1)} unit="m" />
                            <Big label="Last axle cuts in" value={data.off_tracking_m.most.toFixed(2)} unit="m" />
                            <Big label="Tail swings out" value={data.tail_swing_m.toFixed(2)} unit="m" />
                            <Big label="Left at the kerb" value={(data.spare_inside_m ?? 0).toFixed(2)} unit="m" />
                            <Big label="Left at the outer edge" value={(data.spare_outside_m ?? 0).toFixed(2)} unit="m" />
                        </dl>
                        <p className="text-quiet">
                            “From the kerb” is the middle of the front axle. Places along the way count from where the kerb begins to curve. Mirrors, signal and
                            a look along the inside before and all the way round.
                        </p>
                    </div>
                </div>
            )}
        </BenchPage>
    );
}

/** Kerbs, every position of the vehicle, the line of its front and the line of its inner wheel; the middle of the kerb's arc at the origin. */
function BendPicture({ answer, kerb, entry, exit, angle }: { answer: Answer; kerb: number; entry: number; exit: number; angle: number }) {
    const turn = (angle * Math.PI) / 180;
    const before = 16;
    const after = 16;
    const point = ([x, y]: Point): string => `${x.toFixed(2)},${(-y).toFixed(2)}`;
    // On the straight after the bend: so far from the kerb's middle, so far along.
    const exitAt = (from: number, along: number): Point => [from * Math.sin(turn) + along * Math.cos(turn), -from * Math.cos(turn) + along * Math.sin(turn)];
    const arc = Array.from({ length: 25 }, (_, i): Point => [kerb * Math.sin((turn * i) / 24), -kerb * Math.cos((turn * i) / 24)]);
    const inner: Point[] = [[-before, -kerb], ...arc, exitAt(kerb, after)];
    // The outer edges meet in a corner, as at a junction.
    const meet = (kerb + exit - (kerb + entry) * Math.cos(turn)) / Math.sin(turn);
    const outer: Point[] = [[-before, -kerb - entry], [meet, -kerb - entry], exitAt(kerb + exit, after)];
    const all = [...inner, ...outer];
    const [left, right] = [Math.min(...all.map(([x]) => x)), Math.max(...all.map(([x]) => x)) + 1];
    const [top, bottom] = [Math.min(...all.map(([, y]) => -y)), Math.max(...all.map(([, y]) => -y)) + 1];
    const shown = answer.frames.filter((frame) => frame.every((unit) => unit.some(([x, y]) => x > left && x < right && -y > top && -y < bottom)));
    const line = (points: Point[]) => points.map(point).join(' ');
    return (
        <svg
            viewBox={`${left} ${top} ${right - left} ${bottom - top}`}
            className="bg-raised border-hair max-h-[30rem] w-full overflow-hidden rounded-xl border-2"
            role="img"
            aria-label={answer.fits ? 'The vehicle stays between the kerbs' : 'The vehicle leaves the lane'}
        >
            <polygon points={`${line(outer)} ${line([...inner].reverse())}`} fill="var(--road)" />
            {shown.map((frame, i) =>
                frame.map((unit, u) => (
                    <polygon key={`${i}-${u}`} points={line(unit)} fill="var(--paper)" fillOpacity={0.25} stroke="var(--line)" strokeWidth={0.07} />
                )),
            )}
            <polyline points={line(inner)} fill="none" stroke="var(--ink)" strokeWidth={0.22} />
            <polyline points={line(outer)} fill="none" stroke="var(--ink)" strokeWidth={0.14} strokeDasharray="1 0.6" />
            <polyline points={line(answer.traces.path)} fill="none" stroke="var(--now)" strokeWidth={0.2} strokeDasharray="0.7 0.5" />
            <polyline points={line(answer.traces.inner)} fill="none" stroke="var(--ink)" strokeWidth={0.2} />
            <polyline points={line(answer.traces.outer)} fill="none" stroke="var(--ink)" strokeWidth={0.12} />
            {shown[Math.floor(shown.length / 2)]?.map((unit, u) => (
                <polygon key={u} points={line(unit)} fill="var(--paper)" stroke="var(--ink)" strokeWidth={0.14} />
            ))}
        </svg>
    );
}
