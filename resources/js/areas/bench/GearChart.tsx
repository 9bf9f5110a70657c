import { useId, useRef } from 'react';
import type { EngineAnswer, Rules } from '@/api/types';
import { unitWords } from '@/rules/speed';
import { inMps } from '@/rules/speed';
import { useWidth } from '@/strip/useWidth';

const HEIGHT = 360;
const LEFT = 46;
const BOTTOM = 28;
const FASTEST = 33;

/** Speed along, engine speed up: a line for each gear from idle to the red line, the change drawn between two of them. */
export function GearChart({ answer, from, to, unit }: { answer: EngineAnswer; from: number; to: number | null; unit: Rules['speed_unit'] }) {
    const frame = useRef<HTMLDivElement>(null);
    const width = useWidth(frame);
    const id = useId();
    const { red_line_rpm: redLine, idle_rpm: idle } = answer;
    const most = Math.ceil((redLine * 1.08) / 500) * 500;
    const x = (mps: number) => LEFT + (mps / FASTEST) * (width - LEFT - 34);
    const y = (rpm: number) => HEIGHT - BOTTOM - (rpm / most) * (HEIGHT - BOTTOM - 12);
    const now = x(answer.speed_mps);
    const dot = (gear: number) => answer.gears[gear - 1]?.rpm ?? 0;
    const step = most > 8000 ? 2000 : most > 3500 ? 1000 : 500;
    return (
        <div ref={frame} className="min-w-0">
            {width > 0 && (
                <svg
                    width={width}
                    height={HEIGHT}
                    viewBox={`0 0 ${width} ${HEIGHT}`}
                    className="block print:h-auto print:max-w-full"
                    role="img"
                    aria-label={`Engine speed by gear at this speed: ${answer.gears.map((gear) => `${gear.gear} ${Math.round(gear.rpm)}`).join(', ')} rpm`}
                >
                    <defs>
                        <pattern id={id} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                            <line x1={0} x2={0} y1={0} y2={6} stroke="var(--ink)" strokeWidth={1.3} />
                        </pattern>
                        <clipPath id={`${id}-clip`}>
                            <rect x={LEFT} y={0} width={width - LEFT} height={HEIGHT - BOTTOM} />
                        </clipPath>
                    </defs>
                    {Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step).map((rpm) => (
                        <g key={rpm} fontSize={13} fill="var(--quiet)">
                            <line x1={LEFT} x2={width - 34} y1={y(rpm)} y2={y(rpm)} stroke="var(--hair)" />
                            <text x={LEFT - 6} y={y(rpm) + 4} textAnchor="end">
                                {rpm}
                            </text>
                        </g>
                    ))}
                    {(unit === 'mph' ? [0, 10, 20, 30, 40, 50, 60, 70] : [0, 20, 40, 60, 80, 100]).map((mark, i, marks) => (
                        <text key={mark} x={x(inMps(mark, unit))} y={HEIGHT - 8} fontSize={13} textAnchor="middle" fill="var(--quiet)">
                            {i === marks.length - 1 ? `${mark} ${unitWords(unit)}` : mark}
                        </text>
                    ))}
                    <rect x={LEFT} y={y(most)} width={width - LEFT - 34} height={y(redLine) - y(most)} fill={`url(#${id})`} opacity={0.8} />
                    <text x={LEFT + 6} y={y(redLine) + 16} fontSize={13} fill="var(--ink)">
                        red line
                    </text>
                    {idle > 0 && <rect x={LEFT} y={y(idle)} width={width - LEFT - 34} height={y(0) - y(idle)} fill="var(--wash)" />}
                    <g clipPath={`url(#${id}-clip)`}>
                        {answer.gears.map((gear) => {
                            const active = gear.gear === from || gear.gear === to;
                            const end = Math.min(gear.top_speed_mps, FASTEST);
                            return (
                                <g key={gear.gear}>
                                    <line
                                        x1={x(gear.speed_at_idle_mps)}
                                        y1={y((gear.speed_at_idle_mps / gear.speed_per_1000_rpm_mps) * 1000)}
                                        x2={x(end)}
                                        y2={y((end / gear.speed_per_1000_rpm_mps) * 1000)}
                                        stroke={active ? 'var(--ink)' : 'var(--line)'}
                                        strokeWidth={active ? 3.5 : 2}
                                    />
                                    <text
                                        x={x(end) + 5}
                                        y={y((end / gear.speed_per_1000_rpm_mps) * 1000) + (end < FASTEST ? -4 : 5)}
                                        fontSize={15}
                                        fontWeight={active ? 800 : 600}
                                        fill="var(--ink)"
                                    >
                                        {gear.gear}
                                    </text>
                                </g>
                            );
                        })}
                        <line x1={now} x2={now} y1={0} y2={HEIGHT - BOTTOM} stroke="var(--now)" strokeWidth={2} strokeDasharray="2 4" />
                        {to !== null && to !== from && (
                            <g stroke="var(--now)" strokeWidth={4} fill="none" strokeLinecap="round" strokeLinejoin="round">
                                <line x1={now} x2={now} y1={y(dot(from))} y2={y(dot(to))} />
                                <path
                                    d={`M${now - 8},${y(dot(to)) + (dot(to) > dot(from) ? 12 : -12)} L${now},${y(dot(to))} L${now + 8},${y(dot(to)) + (dot(to) > dot(from) ? 12 : -12)}`}
                                />
                            </g>
                        )}
                        {[from, ...(to === null ? [] : [to])].map((gear) => (
                            <circle key={gear} cx={now} cy={y(dot(gear))} r={7} fill="var(--paper)" stroke="var(--ink)" strokeWidth={3} />
                        ))}
                    </g>
                </svg>
            )}
        </div>
    );
}
