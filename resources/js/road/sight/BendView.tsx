import { lineAlong, pointAt, type BendShape, type Point } from './geometry';

/** Of a lane, metres (assumed, as the core assumes it). */
export const LANE_M = 3.3;

interface Props {
    bend: BendShape;
    /** From our path to what stands along the inside. */
    offset: number;
    /** Ours to go to the bend, and what is seen from there; null where nothing hides the road. */
    toGo: number;
    seen: number | null;
    keeps: 'left' | 'right';
    width: number;
    height: number;
}

/** The bend from above, what stands along its inside, us, and as much of our way as is seen from there. */
export function BendView({ bend, offset, toGo, seen, keeps, width, height }: Props) {
    const eye = -toGo;
    const shown = seen ?? 120;
    const [from, to] = [eye - 12, eye + Math.max(60, shown * 1.5)];
    // Nearside bends hide most: to the left where one keeps left.
    const up = keeps === 'left' ? -1 : 1;
    const all = [...lineAlong(bend, from, to, offset + 3), ...lineAlong(bend, from, to, -LANE_M * 1.5)];
    const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => up * y)];
    const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const scale = Math.min((width - 24) / (right - left), (height - 24) / (bottom - top));
    const [dx, dy] = [(width - (right - left) * scale) / 2 - left * scale, (height - (bottom - top) * scale) / 2 - top * scale];
    const at = ([x, y]: Point): Point => [x * scale + dx, up * y * scale + dy];
    const path = (points: Point[]) =>
        `M${points
            .map(at)
            .map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`)
            .join(' L')}`;
    const us = at(pointAt(bend, eye));
    const end = at(pointAt(bend, eye + shown));
    const named = at(pointAt(bend, Math.max(from + 10, Math.min(to - 10, (bend.radius * bend.angle) / 2)), offset + 0.7 + 20 / scale));
    return (
        <>
            <path d={path(lineAlong(bend, from, to, -LANE_M / 2))} fill="none" stroke="var(--road)" strokeWidth={2 * LANE_M * scale} />
            <path d={path(lineAlong(bend, from, to, -LANE_M / 2))} fill="none" stroke="var(--paper)" strokeWidth={2} strokeDasharray="14 12" />
            <path d={path(lineAlong(bend, from, to, offset + 0.7))} fill="none" stroke="var(--ink)" strokeWidth={Math.max(5, 1.4 * scale)} />
            <path
                d={path(lineAlong(bend, eye, eye + shown))}
                fill="none"
                stroke="var(--now-fill)"
                strokeWidth={Math.max(6, 1.5 * scale)}
                strokeLinecap="round"
            />
            <line x1={us[0]} y1={us[1]} x2={end[0]} y2={end[1]} stroke="var(--now)" strokeWidth={2} strokeDasharray="6 4" />
            <circle cx={us[0]} cy={us[1]} r={7} fill="var(--paper)" stroke="var(--ink)" strokeWidth={3} />
            {seen !== null && <circle cx={end[0]} cy={end[1]} r={6} fill="var(--now)" />}
            <text x={named[0]} y={named[1]} textAnchor="middle" fontSize={13} fill="var(--ink)" stroke="var(--raised)" strokeWidth={4} paintOrder="stroke">
                hedge
            </text>
        </>
    );
}
