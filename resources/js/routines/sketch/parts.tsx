import type { ReactNode } from 'react';

/** What sketches are drawn from: roads, lines, cars, people, lamps, and ways with an arrow. Traffic keeps left. */

/** Half the width of an ordinary road. */
export const HALF = 32;
export const MID = 100;
/** The middle of our lane, and of the other one. */
export const OURS = MID - HALF / 2;
export const THEIRS = MID + HALF / 2;

export const Road = ({ upTo = 0, from = 200 }: { upTo?: number; from?: number }) => (
    <rect x={MID - HALF} y={upTo} width={HALF * 2} height={from - upTo} fill="var(--road)" />
);
export const Across = ({ y = 70, from = 0, to = 200 }: { y?: number; from?: number; to?: number }) => (
    <rect x={from} y={y - HALF} width={to - from} height={HALF * 2} fill="var(--road)" />
);
export const Dash = ({ d }: { d: string }) => <path d={d} stroke="var(--paper)" strokeWidth={2.5} strokeDasharray="9 7" fill="none" />;
export const Line = ({ d, dashed = false }: { d: string; dashed?: boolean }) => (
    <path d={d} stroke="var(--paper)" strokeWidth={4} strokeDasharray={dashed ? '7 4' : undefined} fill="none" />
);
export const Way = ({ d, end }: { d: string; end: [number, number, number] }) => (
    <g>
        <path d={d} stroke="var(--now)" strokeWidth={5} fill="none" strokeLinejoin="round" />
        <path d="M-8,6 L0,-8 L8,6" transform={`translate(${end[0]},${end[1]}) rotate(${end[2]})`} stroke="var(--now)" strokeWidth={5} fill="none" />
    </g>
);
export const Car = ({ x, y, turned = 0, ours = false, long = 34 }: { x: number; y: number; turned?: number; ours?: boolean; long?: number }) => (
    <g transform={`translate(${x},${y}) rotate(${turned})`}>
        <rect x={-8} y={-long / 2} width={16} height={long} rx={4} fill={ours ? 'var(--paper)' : 'var(--line)'} stroke="var(--ink)" strokeWidth={2} />
        <line x1={-5} x2={5} y1={-long / 2 + 9} y2={-long / 2 + 9} stroke="var(--ink)" strokeWidth={1.5} />
    </g>
);
export const Us = ({ y = 172, x = OURS }: { y?: number; x?: number }) => <Car x={x} y={y} ours />;
export const Person = ({ x, y }: { x: number; y: number }) => (
    <g fill="var(--ink)">
        <circle cx={x} cy={y - 5} r={4} />
        <path d={`M${x - 5},${y + 9} Q${x},${y - 6} ${x + 5},${y + 9} Z`} />
    </g>
);
export const Lamp = ({ x, y }: { x: number; y: number }) => (
    <g>
        <rect x={x - 6} y={y - 16} width={12} height={32} rx={4} fill="var(--ink)" />
        {[-9, 0, 9].map((dy) => (
            <circle key={dy} cx={x} cy={y + dy} r={3.4} fill={dy === 0 ? 'var(--now-fill)' : 'var(--paper)'} />
        ))}
    </g>
);

/** Round the corner at a cross road whose middle is at `y`: towards our own side, across, or straight over. */
export function through(near: boolean | null, y = 70): { d: string; end: [number, number, number] } {
    const from = `M${OURS},156 V`;
    if (near === null) return { d: `${from}14`, end: [OURS, 12, 0] };
    if (near) return { d: `${from}${y + HALF} Q${OURS},${y + HALF / 2} ${OURS - 30},${y + HALF / 2} H16`, end: [14, y + HALF / 2, -90] };
    return { d: `${from}${y + 6} Q${OURS + 4},${y - HALF / 2} ${OURS + 44},${y - HALF / 2} H184`, end: [186, y - HALF / 2, 90] };
}
export const Round = ({ near, island }: { near: boolean | null; island: number }) => {
    const way: { d: string; end: [number, number, number] } = near
        ? { d: `M${OURS},156 V138 Q${OURS - 2},112 44,${MID + 16} H14`, end: [12, MID + 16, -90] }
        : near === null
          ? { d: `M${OURS},156 V146 C60,128 56,72 ${OURS},52 V14`, end: [OURS, 12, 0] }
          : { d: `M${OURS},156 V146 C52,124 58,60 100,52 C130,46 138,74 158,84 H184`, end: [186, 84, 90] };
    return (
        <>
            <Road />
            <Across y={MID} />
            <circle cx={MID} cy={MID} r={58} fill="var(--road)" />
            <circle cx={MID} cy={MID} r={island} fill={island > 16 ? 'var(--verge)' : 'var(--paper)'} stroke="var(--line)" strokeWidth={2} />
            <Line d={`M${MID - HALF + 2},158 H${MID}`} dashed />
            <Us y={180} />
            <Way {...way} />
        </>
    );
};
export const Straight = ({
    children,
    way = `M${OURS},150 V16`,
    end = [OURS, 14, 0],
}: {
    children?: ReactNode;
    way?: string;
    end?: [number, number, number];
}) => (
    <>
        <Road />
        <Dash d={`M${MID},0 V200`} />
        {children}
        <Us />
        <Way d={way} end={end} />
    </>
);
/** Out round something on our side and in again. */
export const OUT = `M${OURS},150 V138 C${OURS},120 ${MID + 4},122 ${MID + 4},106 V60 C${MID + 4},40 ${OURS},44 ${OURS},24 V16`;
