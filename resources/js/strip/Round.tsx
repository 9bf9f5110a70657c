import type { Drawable } from './plan';
import type { RoadLayout } from './RoadBand';

const DEGREE = Math.PI / 180;

/** Which way the ways out lie as we come along to the right of the screen, whatever side is kept: ahead is 0, to our right hand 90. */
const OUT = { ahead: 0, right: 90, back: 180, left: -90 };

/** The way round an island: from the line along the ring to the way out, on the side that traffic keeps. */
export function wayRound(plan: Pick<Drawable, 'place'>, from: { x: number; y: number }, centre: { x: number; y: number }, radius: number): string {
    const { exit, keeps } = plan.place;
    // Round the island with it on our right where traffic keeps left: then left comes first, and back last.
    const clockwise = keeps === 'left';
    const at = (degrees: number) => ({ x: centre.x + radius * Math.cos(degrees * DEGREE), y: centre.y + radius * Math.sin(degrees * DEGREE) });
    const enter = clockwise ? -160 : 160;
    const leave = OUT[exit] + (clockwise ? -25 : 25);
    const turned = clockwise ? (leave - enter + 720) % 360 : (enter - leave + 720) % 360;
    const [a, b] = [at(enter), at(leave)];
    const beyond = {
        x: b.x + Math.cos(OUT[exit] * DEGREE) * radius * 0.75,
        y: b.y + Math.sin(OUT[exit] * DEGREE) * radius * 0.75,
    };
    const round = (value: number) => value.toFixed(1);
    return `M${round(from.x)},${round(from.y)} L${round(a.x)},${round(a.y)} A${round(radius)},${round(radius)} 0 ${turned > 180 ? 1 : 0} ${clockwise ? 1 : 0} ${round(b.x)},${round(b.y)} L${round(beyond.x)},${round(beyond.y)}`;
}

/** The roundabout behind our line: its ring, its island, its ways out, and ours. */
export function Round({ plan, layout }: { plan: Drawable; layout: RoadLayout }) {
    const { road, scale } = layout;
    const half = (road.bottom - road.top) / 2;
    const centre = { x: Math.min(road.lineX + half + 4, scale.width - half - 2), y: road.top + half };
    const island = half * (plan.place.island === 'painted' ? 0.28 : 0.42);
    const stub = half * 0.7;
    return (
        <g data-island={plan.place.island}>
            <g fill="var(--road)">
                <rect x={centre.x - stub / 2} y={road.top - 16} width={stub} height={2 * half + 32} />
                <rect x={centre.x} y={centre.y - stub / 2} width={scale.width - centre.x} height={stub} />
                <circle cx={centre.x} cy={centre.y} r={half + 2} />
            </g>
            <circle
                cx={centre.x}
                cy={centre.y}
                r={island}
                fill={plan.place.island === 'painted' ? 'var(--paper)' : 'var(--verge)'}
                stroke="var(--line)"
                strokeWidth={1.5}
            />
            <path
                d={wayRound(plan, { x: road.lineX, y: road.y(plan.place.lateral_target_m) }, centre, (half + island) / 2 + 1)}
                fill="none"
                stroke="var(--ink)"
                strokeWidth={2.5}
            />
        </g>
    );
}
