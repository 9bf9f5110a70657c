import type { GapAnswer } from '@/api/types';

/** The outline of a car as the core tells it, m. */
export type Shape = GapAnswer['car'];

/** A car from above with its rear axle's middle at the origin, pointing along x; front wheels turned by so many degrees, + to its left. */
export function CarFromAbove({ car, steer, ghost = false }: { car: Shape; steer: number; ghost?: boolean }) {
    const half = car.width_m / 2;
    const front = car.wheelbase_m + car.front_overhang_m;
    const wheel = (x: number, y: number, turned: number) => (
        <rect key={`${x}${y}`} x={-0.32} y={-0.1} width={0.64} height={0.2} rx={0.06} fill="var(--ink)" transform={`translate(${x},${y}) rotate(${turned})`} />
    );
    return (
        <g opacity={ghost ? 0.45 : 1}>
            <rect
                x={-car.rear_overhang_m}
                y={-half}
                width={car.rear_overhang_m + front}
                height={car.width_m}
                rx={0.35}
                fill="var(--paper)"
                stroke="var(--ink)"
                strokeWidth={0.09}
                strokeDasharray={ghost ? '0.3 0.2' : undefined}
            />
            <line x1={car.wheelbase_m * 0.72} x2={car.wheelbase_m * 0.72} y1={-half + 0.25} y2={half - 0.25} stroke="var(--ink)" strokeWidth={0.08} />
            {[-1, 1].map((side) => wheel(0, (side * car.track_m) / 2, 0))}
            {/* On the screen y runs down: a turn to the left is a negative angle. */}
            {[-1, 1].map((side) => wheel(car.wheelbase_m, (side * car.track_m) / 2, -steer))}
        </g>
    );
}

/** The hand wheel turned, seen as the driver sees it: one spoke marks where the top has gone. */
export function HandWheel({ degrees, side }: { degrees: number; side: 'left' | 'right' }) {
    const turned = side === 'left' ? -degrees : degrees;
    return (
        <svg viewBox="-60 -60 120 120" className="w-40" role="img" aria-label={`Hand wheel ${Math.round(degrees)} degrees to the ${side}`}>
            <circle r={48} fill="none" stroke="var(--ink)" strokeWidth={9} />
            <path d="M0,-58 L5,-48 L-5,-48 Z" fill="var(--quiet)" />
            <g transform={`rotate(${turned})`}>
                <path d="M0,0 V-44 M0,0 L-40,18 M0,0 L40,18" stroke="var(--ink)" strokeWidth={7} />
                <circle cy={-48} r={8} fill="var(--now-fill)" stroke="var(--ink)" strokeWidth={2.5} />
            </g>
            <circle r={11} fill="var(--ink)" />
        </svg>
    );
}
