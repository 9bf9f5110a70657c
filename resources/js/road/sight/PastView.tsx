import { Body } from '@/road/RoadFrame';
import { LANE_M } from './BendView';

interface Props {
    /** From our eyes to the back of the vehicle ahead, its width, and how far we keep towards the middle of the road. */
    gap: number;
    wide: number;
    aside: number;
    seen: number | null;
    keeps: 'left' | 'right';
    width: number;
    height: number;
}

/** The eye sits so far towards the middle of the road from the middle of the car, metres: as the core assumes it. */
const EYE_M = 0.35;

/** Two lanes from above, across the road drawn larger than along it: us, the vehicle ahead, and what is seen past it of the other lane. */
export function PastView({ gap, wide, aside, seen, keeps, width, height }: Props) {
    const far = Math.max(60, Math.min(400, seen ?? 200) * 1.25);
    const x = (metres: number) => ((metres + 12) / (far + 12)) * width;
    const across = (height - 40) / (2 * LANE_M);
    // Measured from the middle of our lane towards the middle of the road.
    const y = (metres: number) => (keeps === 'left' ? height / 2 + (metres - LANE_M / 2) * across : height / 2 - (metres - LANE_M / 2) * across);
    const end = Math.min(seen ?? far, far);
    const body = (one: number) => Math.max(14, one * (width / (far + 12)));
    return (
        <>
            <rect x={0} y={20} width={width} height={height - 40} fill="var(--road)" />
            <line x1={0} x2={width} y1={height / 2} y2={height / 2} stroke="var(--paper)" strokeWidth={2} strokeDasharray="14 12" />
            <line x1={x(0)} x2={x(end)} y1={y(LANE_M)} y2={y(LANE_M)} stroke="var(--now-fill)" strokeWidth={8} strokeLinecap="round" />
            <line x1={x(0)} y1={y(aside + EYE_M)} x2={x(end)} y2={y(LANE_M)} stroke="var(--now)" strokeWidth={2} strokeDasharray="6 4" />
            <Body x={x(gap) + body(10)} y={y(0)} long={body(10)} wide={wide * across} />
            <Body x={x(2)} y={y(aside)} long={body(4.2)} wide={1.8 * across} ours />
            {seen !== null && <circle cx={x(end)} cy={y(LANE_M)} r={6} fill="var(--now)" />}
            <text x={8} y={14} fontSize={13} fill="var(--quiet)">
                across the road drawn larger
            </text>
        </>
    );
}
