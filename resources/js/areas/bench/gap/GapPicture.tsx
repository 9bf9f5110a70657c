import type { GapAnswer } from '@/api/types';
import { CarFromAbove } from '../CarShape';
import { metresAt, oursAt, type Pose } from './geometry';

interface Props {
    answer: GapAnswer;
    manoeuvre: string;
    keeps: 'left' | 'right';
    /** The other's distance and speed. */
    distance: number;
    speed: number;
    seconds: number;
}

/** Metres shown to either side; farther away is told by the bars below. */
const WIDE = 44;

/** The junction from above at one moment: our car on its way, theirs on theirs. */
export function GapPicture({ answer, manoeuvre, keeps, distance, speed, seconds }: Props) {
    const { lane_width_m: lane, lanes } = answer.path;
    const half = lanes * lane;
    const off = manoeuvre === 'turn-across';
    const isAlone = manoeuvre === 'move-off';
    const across =
        manoeuvre === 'cross' || manoeuvre === 'move-off' ? null : off || (keeps === 'left' ? manoeuvre === 'emerge-right' : manoeuvre === 'emerge-left');
    const ours = oursAt(metresAt(answer.motion, seconds), answer.path, manoeuvre, across);
    const track = Array.from({ length: 60 }, (_, i) => oursAt((i / 59) * (answer.path.straight_m + answer.path.turn_m + 14), answer.path, manoeuvre, across));
    // Drawn as traffic keeps left, mirrored where it keeps right: the first stream comes from our right.
    const others = answer.sides.map((side) => {
        const first = side.from === 'ahead' || side.from === 'behind' || side.from === (keeps === 'left' ? 'right' : 'left');
        const at = (metres: number): Pose =>
            off
                ? { x: lane / 2, y: -metres, heading: 90 }
                : first
                  ? { x: metres, y: half - lane / 2, heading: 180 }
                  : { x: -metres, y: lane / 2 - half, heading: 0 };
        return { side, at };
    });
    return (
        <svg
            viewBox={off ? `-20 -22 ${WIDE * 2} 44` : isAlone ? `-34 -${half + 5} 68 ${half * 2 + 10}` : `${-WIDE} -16 ${WIDE * 2} 36`}
            className="bg-raised border-hair max-h-[22rem] w-full rounded-xl border-2"
            role="img"
            aria-label={`After ${seconds.toFixed(1)} s: ${answer.message}`}
        >
            <g transform={off ? (keeps === 'left' ? 'rotate(90)' : 'scale(1,-1) rotate(90)') : keeps === 'left' ? undefined : 'scale(-1,1)'}>
                {off ? (
                    <>
                        <rect x={-half} y={-90} width={half * 2} height={130} fill="var(--road)" />
                        <rect x={half} y={-answer.path.radius_m - lane} width={40} height={lane * 2} fill="var(--road)" />
                        <path d="M0,-90 V40" stroke="var(--paper)" strokeWidth={0.25} strokeDasharray="2 1.4" />
                    </>
                ) : (
                    <>
                        <rect x={-WIDE} y={-half} width={WIDE * 2} height={half * 2} fill="var(--road)" />
                        {!isAlone && <rect x={-lane} y={half} width={lane * 2} height={40} fill="var(--road)" />}
                        {across === null && !isAlone && <rect x={-lane} y={-half - 30} width={lane * 2} height={30} fill="var(--road)" />}
                        <path d={`M${-WIDE},0 H${WIDE}`} stroke="var(--paper)" strokeWidth={0.25} strokeDasharray="2 1.4" />
                        {!isAlone && <path d={`M${-lane},${half} H0`} stroke="var(--paper)" strokeWidth={0.4} strokeDasharray="0.8 0.5" />}
                    </>
                )}
                <polyline
                    points={track.map(({ x, y }) => `${x.toFixed(2)},${y.toFixed(2)}`).join(' ')}
                    fill="none"
                    stroke="var(--now)"
                    strokeWidth={0.3}
                    strokeDasharray="1 0.7"
                />
                {others.map(({ side, at }) => (
                    <Placed key={side.from} pose={at(distance - speed * seconds)}>
                        {/* Their front is what their distance is said of. */}
                        <g transform={`translate(${-answer.car.wheelbase_m - answer.car.front_overhang_m},0)`}>
                            <CarFromAbove car={answer.car} steer={0} ghost />
                        </g>
                    </Placed>
                ))}
                <Placed pose={ours}>
                    <g transform={`translate(${-answer.car.wheelbase_m - answer.car.front_overhang_m},0)`}>
                        <CarFromAbove car={answer.car} steer={0} />
                    </g>
                </Placed>
            </g>
        </svg>
    );
}

function Placed({ pose, children }: { pose: Pose; children: React.ReactNode }) {
    return <g transform={`translate(${pose.x.toFixed(2)},${pose.y.toFixed(2)}) rotate(${pose.heading.toFixed(1)})`}>{children}</g>;
}

const BAR = 1000;

/** One side as a bar of distance: where they are, and the place from which go becomes wait. */
export function GapBar({
    side,
    distance,
    speed,
    seconds,
    most,
}: {
    side: GapAnswer['sides'][number];
    distance: number;
    speed: number;
    seconds: number;
    most: number;
}) {
    const x = (metres: number) => 10 + (Math.max(0, metres) / most) * (BAR - 20);
    const enough = side.time_needed_s * speed;
    const now = distance - speed * seconds;
    return (
        <figure className="grid gap-1">
            <figcaption className="text-sm">
                <span className="font-semibold">{side.from === 'ahead' || side.from === 'behind' ? `From ${side.from}` : `From the ${side.from}`}</span>
                <span className="text-quiet"> · enough from {enough.toFixed(0)} m</span>
            </figcaption>
            <svg
                viewBox={`0 0 ${BAR} 44`}
                className="w-full"
                role="img"
                aria-label={`${side.from}: at ${Math.max(0, now).toFixed(0)} m, enough from ${enough.toFixed(0)} m`}
            >
                <rect x={x(0)} y={14} width={BAR - 20} height={16} fill="var(--road)" />
                <rect x={x(enough)} y={14} width={Math.max(0, x(most) - x(enough))} height={16} fill="none" stroke="var(--ink)" strokeWidth={2} />
                <path d={`M${x(enough)},4 V40`} stroke="var(--ink)" strokeWidth={4} strokeDasharray="7 5" />
                <g transform={`translate(${x(now)},22)`}>
                    <path d="M-14,0 L12,-11 V11 Z" fill={now < 0 ? 'var(--line)' : 'var(--now-fill)'} stroke="var(--ink)" strokeWidth={2.5} />
                </g>
            </svg>
        </figure>
    );
}
