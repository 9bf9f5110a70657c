interface Props {
    /** The height of the road so far past where it begins to hide, metres. */
    road: (along: number) => number;
    long: number;
    eye: number;
    target: number;
    toGo: number;
    seen: number | null;
    width: number;
    height: number;
}

const STEPS = 160;

/** The road from the side, heights drawn larger than lengths: our eyes, the line of sight, and as much of the road as is seen. */
export function HillView({ road, long, eye, target, toGo, seen, width, height }: Props) {
    const us = -toGo;
    const shown = seen ?? 120;
    const [from, to] = [Math.min(us, 0) - 15, Math.max(long, us + shown) + 25];
    const places = Array.from({ length: STEPS + 1 }, (_, i) => from + ((to - from) * i) / STEPS);
    const heights = places.map(road);
    // From a lorry's cab one looks from higher up than any top of the road.
    const highest = Math.max(Math.max(...heights) + 1.6, road(us) + eye + 0.3, road(us + shown) + target + 0.3);
    const [low, high] = [Math.min(...heights), highest];
    const x = (along: number) => ((along - from) / (to - from)) * width;
    const y = (metres: number) => height - 20 - ((metres - low) / Math.max(high - low, 2)) * (height - 46);
    const line = (points: number[]) => points.map((along) => `${x(along).toFixed(1)},${y(road(along)).toFixed(1)}`).join(' L');
    const lit = places.filter((along) => along >= us && along <= us + shown);
    const [ex, ey] = [x(us), y(road(us) + eye)];
    const [tx, ty] = [x(us + shown), y(road(us + shown) + target)];
    return (
        <>
            <path d={`M0,${height} L${line(places)} L${width},${height} Z`} fill="var(--road)" />
            {lit.length > 1 && <path d={`M${line(lit)}`} fill="none" stroke="var(--now-fill)" strokeWidth={7} strokeLinecap="round" />}
            <line x1={ex} y1={ey} x2={tx} y2={ty} stroke="var(--now)" strokeWidth={2} strokeDasharray="6 4" />
            <line x1={x(us)} x2={x(us)} y1={y(road(us))} y2={ey} stroke="var(--ink)" strokeWidth={3} />
            <circle cx={ex} cy={ey} r={7} fill="var(--paper)" stroke="var(--ink)" strokeWidth={3} />
            {seen !== null && (
                <>
                    <line x1={tx} x2={tx} y1={y(road(us + shown))} y2={ty} stroke="var(--now)" strokeWidth={3} />
                    <circle cx={tx} cy={ty} r={6} fill="var(--now)" />
                </>
            )}
            <text x={8} y={18} fontSize={13} fill="var(--quiet)">
                heights drawn larger
            </text>
        </>
    );
}
