import { useRef } from 'react';
import type { PriorityAnswer, Side, WayOut } from '@/api/types';
import { LINES, WAYS, type AtLine, type Line } from '@/bench/lines';
import { useWidth } from '@/strip/useWidth';

const TALL = 330;
/** Half of the road, and of the crossing, on the screen. */
const HALF = 56;
/** From the middle to the nose of who stands at a line. */
const LINE = HALF + 14;
const CAR = { long: 52, wide: 26 };

/** Quarters against the clock from our own road, which comes from below. */
const QUARTERS: Record<Line | 'ours', number> = { ours: 0, right: 1, opposite: 2, left: 3 };
const TURNS: Record<WayOut, number> = { back: 0, right: 1, ahead: 2, left: 3 };

interface Props {
    answer: PriorityAnswer;
    goes: WayOut;
    others: AtLine[];
    keeps: Side;
    /** Whether lines are painted to stop at. */
    hasLines: boolean;
}

/** The crossroads from above: who is at which line, where each goes, and in which turn. */
export function TurnsPicture({ answer, goes, others, keeps, hasLines }: Props) {
    const frame = useRef<HTMLDivElement>(null);
    const width = useWidth(frame);
    const all: { line: Line | 'ours'; goes: WayOut }[] = [...others, { line: 'ours', goes }];
    const turnOf = (line: Line | 'ours') => answer.order.findIndex((group) => group.includes(line)) + 1;
    const [x, y] = [width / 2, TALL / 2];
    const road = { fill: 'var(--road)' };
    const said = all.map((one) => `${one.line === 'ours' ? 'we' : LINES[one.line].toLowerCase()}, ${WAYS[one.goes]}`).join('; ');
    return (
        <div ref={frame} className="bg-raised border-hair w-full min-w-0 overflow-hidden rounded-xl border-2">
            {width > 0 && (
                <svg
                    width={width}
                    height={TALL}
                    viewBox={`0 0 ${width} ${TALL}`}
                    className="block"
                    role="img"
                    aria-label={`At the lines: ${said}. ${answer.message}`}
                >
                    <rect x={x - HALF} y={0} width={2 * HALF} height={TALL} {...road} />
                    <rect x={0} y={y - HALF} width={width} height={2 * HALF} {...road} />
                    {Object.values(QUARTERS).map((quarter) => (
                        <g key={quarter} transform={`translate(${x} ${y}) rotate(${-90 * quarter})`}>
                            <line x1={0} x2={0} y1={LINE} y2={Math.max(width, TALL)} stroke="var(--paper)" strokeWidth={3} strokeDasharray="14 10" />
                            {hasLines && (
                                <line
                                    x1={keeps === 'left' ? -HALF : 0}
                                    x2={keeps === 'left' ? 0 : HALF}
                                    y1={HALF + 6}
                                    y2={HALF + 6}
                                    stroke="var(--paper)"
                                    strokeWidth={4}
                                />
                            )}
                        </g>
                    ))}
                    {all.map((one) => (
                        <g key={one.line} transform={`translate(${x} ${y}) rotate(${-90 * QUARTERS[one.line]})`}>
                            <path
                                d={wayFrom(one.goes, keeps)}
                                fill="none"
                                stroke={one.line === 'ours' ? 'var(--now)' : 'var(--ink)'}
                                strokeWidth={one.line === 'ours' ? 5 : 3}
                                strokeDasharray={turnOf(one.line) === 1 ? undefined : '7 6'}
                                markerEnd={`url(#end-${one.line === 'ours' ? 'ours' : 'theirs'})`}
                            />
                            <AtTheLine quarter={QUARTERS[one.line]} turn={turnOf(one.line)} ours={one.line === 'ours'} keeps={keeps} />
                        </g>
                    ))}
                    <defs>
                        {(['ours', 'theirs'] as const).map((whose) => (
                            <marker key={whose} id={`end-${whose}`} viewBox="0 0 10 10" refX={6} refY={5} markerWidth={4} markerHeight={4} orient="auto">
                                <path d="M0,0 L10,5 L0,10 z" fill={whose === 'ours' ? 'var(--now)' : 'var(--ink)'} />
                            </marker>
                        ))}
                    </defs>
                </svg>
            )}
        </div>
    );
}

/** A car at its line, its nose up, with its turn upright however it stands. */
function AtTheLine({ quarter, turn, ours, keeps }: { quarter: number; turn: number; ours: boolean; keeps: Side }) {
    const across = (keeps === 'left' ? -1 : 1) * (HALF / 2);
    const along = LINE + CAR.long / 2;
    return (
        <g transform={`translate(${across} ${along})`}>
            <rect
                x={-CAR.wide / 2}
                y={-CAR.long / 2}
                width={CAR.wide}
                height={CAR.long}
                rx={7}
                fill={ours ? 'var(--now-fill)' : 'var(--paper)'}
                stroke="var(--ink)"
                strokeWidth={3}
            />
            <text
                transform={`rotate(${90 * quarter})`}
                textAnchor="middle"
                dominantBaseline="central"
                fontSize={20}
                fontWeight={700}
                fill={ours ? 'var(--on-now)' : 'var(--ink)'}
            >
                {turn === 0 ? '?' : turn}
            </text>
        </g>
    );
}

/** From the line below over the crossing to the road it leaves by, beside its middle as traffic keeps. */
function wayFrom(goes: WayOut, keeps: Side): string {
    const side = keeps === 'left' ? -1 : 1;
    const lane = HALF / 2;
    const out = LINE + 18;
    const from = `M${side * lane},${LINE} L${side * lane},${HALF * 0.8}`;
    if (goes === 'back') return `${from} C${side * lane},-10 ${-side * lane},-10 ${-side * lane},${HALF * 0.8} L${-side * lane},${out}`;
    // Seen from the middle each way out is a quarter further on; its own lane lies on the far side of that from where it comes.
    const quarter = (TURNS[goes] * 90 * Math.PI) / 180;
    const at = (along: number, across: number) => {
        const [px, py] = [-across, along];
        return `${round(px * Math.cos(quarter) + py * Math.sin(quarter))},${round(-px * Math.sin(quarter) + py * Math.cos(quarter))}`;
    };
    const [enters, leaves] = [at(HALF * 0.8, side * lane), at(out, side * lane)];
    return `${from} C${side * lane},0 ${at(0, side * lane)} ${enters} L${leaves}`;
}

const round = (value: number): number => Math.round(value * 10) / 10;
