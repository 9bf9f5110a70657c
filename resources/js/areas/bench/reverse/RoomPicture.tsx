import type { ReverseAnswer, Side } from '@/api/types';
import { CarFromAbove } from '../CarShape';

const FRAME = 'bg-raised border-hair max-h-[22rem] w-full rounded-xl border-2';

interface Props {
    answer: ReverseAnswer;
    room: NonNullable<ReverseAnswer['room']>;
}

/** Bays above, the aisle below them: out of the middle one backwards, or into it nose first. */
export function FlatBayPicture({ answer, room, bay, isIn }: Props & { bay: number; isIn: boolean }) {
    const { car, path } = answer;
    const long = car.wheelbase_m + car.front_overhang_m + car.rear_overhang_m;
    const last = path.x_m.length - 1;
    const shown = [0, Math.round(last / 3), Math.round((2 * last) / 3), last];
    return (
        <svg
            viewBox={`${-bay * 1.6} ${-long - 0.8} ${bay * 1.6 + room.radius_m + long + 1} ${long + room.needed_m + 1.6}`}
            className={FRAME}
            role="img"
            aria-label={`${isIn ? 'Into' : 'Out of'} the bay: ${room.message}`}
        >
            <rect x={-30} y={0} width={60} height={room.needed_m} fill="var(--road)" />
            {[-1.5, -0.5, 0.5, 1.5, 2.5].map((n) => (
                <line key={n} x1={n * bay} x2={n * bay} y1={-long - 0.4} y2={0} stroke="var(--line)" strokeWidth={0.1} />
            ))}
            {[-bay, bay].map((x) => (
                <rect
                    key={x}
                    x={x - car.width_m / 2}
                    y={-long}
                    width={car.width_m}
                    height={long}
                    rx={0.4}
                    fill="var(--wash)"
                    stroke="var(--line)"
                    strokeWidth={0.1}
                />
            ))}
            <line x1={-30} x2={30} y1={room.needed_m} y2={room.needed_m} stroke="var(--ink)" strokeWidth={0.12} strokeDasharray="0.5 0.3" />
            <path
                d={`M${path.y_m.map((y, i) => `${y},${path.x_m[i]}`).join(' L')}`}
                fill="none"
                stroke="var(--now)"
                strokeWidth={0.14}
                strokeDasharray="0.4 0.3"
            />
            {shown.map((i) => (
                <g key={i} transform={`translate(${path.y_m[i]},${path.x_m[i]}) rotate(${-90 - path.heading_deg[i]!})`}>
                    <CarFromAbove car={car} steer={0} ghost={i !== last} />
                </g>
            ))}
        </svg>
    );
}

/** Between two parked cars at the kerb, to the right on the screen; the kerb lies on the side traffic keeps to. */
export function KerbSpacePicture({ answer, room, space, keeps }: Props & { space: number; keeps: Side }) {
    const { car, path } = answer;
    const long = car.wheelbase_m + car.front_overhang_m + car.rear_overhang_m;
    const last = path.x_m.length - 1;
    const shown = [0, Math.round(last / 2), last];
    const far = Math.max(space, room.needed_m);
    return (
        <svg
            viewBox={`${-long - 2} ${keeps === 'left' ? -0.8 : -6.2} ${far + 2 * long + 3} 7`}
            className={FRAME}
            role="img"
            aria-label={`Forwards to the kerb: ${room.message}`}
        >
            <g transform={keeps === 'left' ? undefined : 'scale(1,-1)'}>
                <rect x={-40} y={0} width={100} height={6.2} fill="var(--road)" />
                <line x1={-40} x2={60} y1={0} y2={0} stroke="var(--ink)" strokeWidth={0.14} />
                {[-long, space].map((x) => (
                    <rect
                        key={x}
                        x={x}
                        y={(room.parked_m ?? car.width_m) - car.width_m}
                        width={long}
                        height={car.width_m}
                        rx={0.4}
                        fill="var(--wash)"
                        stroke="var(--line)"
                        strokeWidth={0.1}
                    />
                ))}
                <path
                    d={`M${path.x_m.map((x, i) => `${x},${path.y_m[i]}`).join(' L')}`}
                    fill="none"
                    stroke="var(--now)"
                    strokeWidth={0.12}
                    strokeDasharray="0.4 0.3"
                />
                {shown.map((i) => (
                    <g key={i} transform={`translate(${path.x_m[i]},${path.y_m[i]}) rotate(${-path.heading_deg[i]!})`}>
                        <CarFromAbove car={car} steer={0} ghost={i !== last} />
                    </g>
                ))}
            </g>
        </svg>
    );
}
