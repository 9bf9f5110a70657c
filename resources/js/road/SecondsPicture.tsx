import { useRef } from 'react';
import { useWidth } from '@/strip/useWidth';

interface Row {
    name: string;
    parts: { from: number; to: number; said: string; strong: boolean }[];
    /** What is so from the end of its last part on. */
    after: string;
}

const ROW = 46;
const BAR = 26;
const FOOT = 26;

/** Who does what in which seconds, one row each, from the left. */
export function SecondsPicture({ rows, upTo, label }: { rows: Row[]; upTo: number; label: string }) {
    const frame = useRef<HTMLDivElement>(null);
    const width = useWidth(frame);
    const names = width < 500 ? 0 : 170;
    const x = (seconds: number) => names + 10 + (seconds / upTo) * (width - names - 20);
    const height = rows.length * (ROW + (names === 0 ? 18 : 0)) + FOOT;
    const y = (i: number) => i * (ROW + (names === 0 ? 18 : 0)) + (names === 0 ? 26 : 10);
    return (
        <div ref={frame} className="bg-raised border-hair w-full min-w-0 overflow-hidden rounded-xl border-2">
            {width > 0 && (
                <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} className="block" role="img" aria-label={label}>
                    {Array.from({ length: Math.floor(upTo) + 1 }, (_, second) => (
                        <g key={second}>
                            <line x1={x(second)} x2={x(second)} y1={4} y2={height - FOOT} stroke="var(--hair)" strokeWidth={1} />
                            {second % 2 === 0 && (
                                <text x={x(second)} y={height - 8} fontSize={15} textAnchor="middle" fill="var(--quiet)">
                                    {second === 0 ? '0 s' : second}
                                </text>
                            )}
                        </g>
                    ))}
                    {rows.map((row, i) => (
                        <g key={row.name}>
                            <text
                                x={names === 0 ? 10 : names - 4}
                                y={names === 0 ? y(i) - 6 : y(i) + BAR / 2 + 6}
                                textAnchor={names === 0 ? 'start' : 'end'}
                                fontSize={16}
                                fontWeight={600}
                                fill="var(--ink)"
                            >
                                {row.name}
                            </text>
                            {row.parts.map((part) => (
                                <g key={part.said}>
                                    <rect
                                        x={x(part.from)}
                                        y={y(i)}
                                        width={Math.max(2, x(part.to) - x(part.from))}
                                        height={BAR}
                                        rx={5}
                                        fill={part.strong ? 'var(--now-fill)' : 'var(--road)'}
                                        stroke="var(--ink)"
                                        strokeWidth={2}
                                    />
                                    <text x={x(part.from) + 8} y={y(i) + BAR / 2 + 6} fontSize={16} fill={part.strong ? 'var(--on-now)' : 'var(--ink)'}>
                                        {part.said}
                                    </text>
                                    <Until x={x(part.to)} y={y(i)} said={row.after} width={width} />
                                </g>
                            ))}
                        </g>
                    ))}
                </svg>
            )}
        </div>
    );
}

function Until({ x, y, said, width }: { x: number; y: number; said: string; width: number }) {
    // Nine to a letter: what would run out of the picture is left to the table beside it.
    if (x + 10 + said.length * 9 > width) return null;
    return (
        <text x={x + 8} y={y + BAR / 2 + 6} fontSize={16} fill="var(--quiet)">
            {said}
        </text>
    );
}
