import { useRef, useState } from 'react';
import type { Side } from '@/api/types';
import type { LanesAnswer, RingState } from './ring';

const LANE = 9;
const ISLAND = 26;
const LONG = 52;

interface Props {
    state: RingState;
    answer: LanesAnswer | undefined;
    keeps: Side;
    /** Another usable approach lane to be shown as a ghost. */
    ghost: number | null;
    onTurn: (name: string, angle: number) => void;
    onTo: (name: string) => void;
}

/** Degrees on the screen: our arm lies below; in driving order arms follow clockwise where traffic keeps left. */
const screen = (angle: number) => ((angle + 90) * Math.PI) / 180;

/** The roundabout from above: arms by angle, lanes by number, the chosen way with its moves out. Arms are dragged round. */
export function RingPicture({ state, answer, keeps, ghost, onTurn, onTo }: Props) {
    const svg = useRef<SVGSVGElement>(null);
    const [held, setHeld] = useState<string | null>(null);
    const zero = state.arms.find((arm) => arm.name === state.from)?.angle ?? 0;
    const lanes = Math.max(1, ...state.arms.map((arm) => arm.lanes.length));
    const outer = ISLAND + lanes * LANE;
    const flip = keeps === 'left' ? 1 : -1;
    const at = (radius: number, angle: number): [number, number] => [flip * radius * Math.cos(screen(angle)), radius * Math.sin(screen(angle))];
    /** Middle of circulating lane n, 1 outermost. */
    const ringAt = (lane: number) => outer - (lane - 0.5) * LANE;
    const seen = (angle: number) => (angle - zero + 360) % 360;
    const d = (points: [number, number][]) => points.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(1)},${y.toFixed(1)}`).join(' ');
    const sorted = [...state.arms].sort((one, other) => seen(one.angle) - seen(other.angle));
    /** Our way: in by a lane, round sector by sector, out. Traffic keeps to its own side of each arm. */
    const way = (approach: number, path: LanesAnswer['path'] | null, exitLane: number): string => {
        const to = state.to === state.from ? 360 : seen(state.arms.find((arm) => arm.name === state.to)?.angle ?? 0);
        const shift = (lane: number) => (lane - 0.5) * (LANE - 2);
        const onArm = (angle: number, radius: number, aside: number): [number, number] => {
            const [x, y] = at(radius, angle);
            const across = screen(angle) + Math.PI / 2;
            return [x + flip * aside * Math.cos(across), y + aside * Math.sin(across)];
        };
        const entry = 1 + state.arms.find((arm) => arm.name === state.from)!.lanes.length;
        const points: [number, number][] = [onArm(0, outer + LONG, shift(entry - approach)), onArm(0, outer + 4, shift(entry - approach))];
        const first = 14;
        const last = to - 14;
        for (let angle = first; angle <= last; angle += 4) {
            const sector = Math.max(0, sorted.filter((arm) => seen(arm.angle) <= angle && seen(arm.angle) > 0).length);
            const stretch = path?.[Math.min(sector, path.length - 1)];
            const begin = sector === 0 ? 0 : seen(sorted[sector]?.angle ?? 0);
            const end = sector + 1 < sorted.length ? seen(sorted[sector + 1]!.angle) : 360;
            const share = Math.min(1, Math.max(0, (angle - begin - (end - begin) * 0.35) / ((end - begin) * 0.5)));
            const from = stretch?.lane ?? approach;
            const lane = from + ((stretch?.to_lane ?? approach) - from) * share;
            points.push(at(ringAt(Math.min(lanes, lane)), angle));
        }
        points.push(onArm(to, outer + 4, -shift(exitLane)), onArm(to, outer + LONG, -shift(exitLane)));
        return d(points);
    };
    const turn = (event: React.PointerEvent) => {
        const matrix = svg.current?.getScreenCTM();
        if (held === null || !matrix) return;
        const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
        const degrees = (Math.atan2(y, flip * x) * 180) / Math.PI - 90;
        onTurn(held, Math.round(((((degrees + zero) % 360) + 360) % 360) / 5) * 5);
    };
    const size = outer + LONG + 26;
    return (
        <svg
            ref={svg}
            viewBox={`${-size} ${-size} ${size * 2} ${size * 2}`}
            className="bg-raised border-hair max-h-[34rem] w-full rounded-xl border-2"
            role="img"
            aria-label={answer ? `From ${state.from} in lane ${answer.approach_lane} to ${state.to}, out in lane ${answer.exit_lane}` : 'The roundabout'}
            onPointerMove={turn}
            onPointerUp={() => setHeld(null)}
        >
            {state.arms.map((arm) => {
                const [x1, y1] = at(ISLAND, seen(arm.angle));
                const [x2, y2] = at(outer + LONG, seen(arm.angle));
                const wide = (arm.lanes.length + Math.max(1, arm.exits)) * (LANE - 2) + 4;
                return <line key={arm.name} x1={x1} y1={y1} x2={x2} y2={y2} stroke="var(--road)" strokeWidth={wide} />;
            })}
            <circle r={outer} fill="var(--road)" />
            {Array.from({ length: lanes - 1 }, (_, i) => (
                <circle key={i} r={outer - (i + 1) * LANE} fill="none" stroke="var(--paper)" strokeWidth={0.8} strokeDasharray="5 4" />
            ))}
            <circle r={ISLAND} fill={state.mini ? 'var(--paper)' : 'var(--verge)'} stroke="var(--line)" strokeWidth={1.2} />
            {state.arms.map((arm) => {
                const [x1, y1] = at(outer + 2, seen(arm.angle));
                const [x2, y2] = at(outer + LONG, seen(arm.angle));
                return <line key={arm.name} x1={x1} y1={y1} x2={x2} y2={y2} stroke="var(--paper)" strokeWidth={1.2} />;
            })}
            {ghost !== null && <path d={way(ghost, null, 1)} fill="none" stroke="var(--quiet)" strokeWidth={2} strokeDasharray="2 3" />}
            {answer && (
                <path d={way(answer.approach_lane, answer.path, answer.exit_lane)} fill="none" stroke="var(--now)" strokeWidth={3.2} strokeLinejoin="round" />
            )}
            {state.arms.map((arm) => {
                const [x, y] = at(outer + LONG + 10, seen(arm.angle));
                const ours = arm.name === state.from;
                const wanted = arm.name === state.to;
                return (
                    <g
                        key={arm.name}
                        data-arm={arm.name}
                        className="cursor-grab touch-none"
                        onPointerDown={(event) => {
                            event.currentTarget.setPointerCapture(event.pointerId);
                            if (!ours) setHeld(arm.name);
                        }}
                        onPointerUp={() => setHeld(null)}
                        onDoubleClick={() => onTo(arm.name)}
                    >
                        <circle cx={x} cy={y} r={14} fill="transparent" />
                        <circle cx={x} cy={y} r={4} fill={wanted ? 'var(--now-fill)' : 'var(--paper)'} stroke="var(--ink)" strokeWidth={1.4} />
                        <text
                            x={x}
                            y={y + (y > 0 ? 12 : -8)}
                            textAnchor={x > size / 2 ? 'end' : x < -size / 2 ? 'start' : 'middle'}
                            fontSize={8}
                            fontWeight={ours || wanted ? 800 : 500}
                            fill="var(--ink)"
                            stroke="var(--raised)"
                            strokeWidth={2.5}
                            paintOrder="stroke"
                        >
                            {arm.name}
                        </text>
                    </g>
                );
            })}
        </svg>
    );
}
