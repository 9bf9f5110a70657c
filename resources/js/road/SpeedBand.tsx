import type { RoadScale } from './RoadFrame';

interface Props {
    scale: RoadScale;
    /** Columns of a drive along the axis. */
    distances: number[];
    speeds: number[];
    gears?: number[];
    top: number;
    bottom: number;
    words: (metresPerSecond: number) => string;
}

/** The speed over the same axis, its first and last value said, and where a gear is changed. */
export function SpeedBand({ scale, distances, speeds, gears, top, bottom, words }: Props) {
    const fastest = Math.max(...speeds, 1);
    const y = (speed: number) => bottom - (speed / fastest) * (bottom - top);
    const points = distances.map((metres, i) => [scale.x(metres), y(speeds[i]!)] as const).filter(([x]) => x >= -2 && x <= scale.width + 2);
    if (points.length < 2) return null;
    const first = distances.findIndex((metres) => scale.x(metres) >= -2);
    const changes = gears ? gears.flatMap((gear, i) => (i > first && gear !== gears[i - 1] ? [{ i, gear }] : [])) : [];
    return (
        <g fontSize={13} fill="var(--quiet)">
            <path
                d={`M${points.map(([x, at]) => `${x.toFixed(1)},${at.toFixed(1)}`).join(' L')}`}
                fill="none"
                stroke="var(--ink)"
                strokeWidth={3}
                strokeLinejoin="round"
            />
            <line x1={0} x2={scale.width} y1={bottom} y2={bottom} stroke="var(--line)" strokeWidth={1.5} />
            <text x={Math.max(6, points[0]![0] + 6)} y={points[0]![1] - 7}>
                {words(speeds[first]!)}
            </text>
            <text
                x={Math.min(scale.width - 6, points[points.length - 1]![0])}
                y={points[points.length - 1]![1] - (speeds[speeds.length - 1]! < speeds[first]! ? 18 : 7)}
                textAnchor="end"
            >
                {words(speeds[speeds.length - 1]!)}
            </text>
            {changes.map(({ i, gear }) => (
                <g key={i}>
                    <line x1={scale.x(distances[i]!)} x2={scale.x(distances[i]!)} y1={y(speeds[i]!)} y2={bottom} stroke="var(--line)" strokeDasharray="3 3" />
                    <text x={scale.x(distances[i]!) + 4} y={bottom - 5}>
                        gear {gear}
                    </text>
                </g>
            ))}
        </g>
    );
}
