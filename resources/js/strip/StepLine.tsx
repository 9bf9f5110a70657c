import { useRef } from 'react';
import type { Drawable, StripStep } from './plan';
import { Glyph } from './glyphs';
import { freeSide, wantedFrom } from './layout';
import { makeScale, ticks } from './scale';
import { useWidth } from './useWidth';
import { inUnit, spoken } from './words';

/** The strip folded into one line: windows and glyphs on the axis, the figure of the current step. */
export function StepLine({ plan, current, onStep }: { plan: Drawable; current: StripStep; onStep: (step: StripStep) => void }) {
    const frame = useRef<HTMLDivElement>(null);
    const width = useWidth(frame);
    const scale = makeScale(width - 18, wantedFrom(plan), 0, 4);
    const at = (step: { best: number }) => scale.x(Math.min(step.best, scale.from));
    // The current one last: what it says lies over its neighbours.
    const inDrawingOrder = [...plan.steps].sort((a, b) => Number(a.step === current) - Number(b.step === current));
    return (
        <div ref={frame} className="w-full">
            {width > 0 && (
                <svg
                    width={width}
                    height={66}
                    role="img"
                    aria-label={plan.steps.map((step) => `${step.step} ${spoken(step.best, plan.unit)}`).join(', ')}
                    className="block"
                >
                    <line x1={4} x2={scale.x(0)} y1={46} y2={46} stroke="var(--line)" strokeWidth={1.5} />
                    {ticks(scale.from, width < 500 ? 5 : 10, 1 / inUnit(1, plan.unit)).map(({ at, metres }) => (
                        <text
                            key={at}
                            x={scale.x(metres)}
                            y={64}
                            fontSize={13}
                            fill="var(--quiet)"
                            textAnchor={at === 0 ? 'end' : scale.x(metres) < 14 ? 'start' : 'middle'}
                        >
                            {at === 0 ? 'line' : at}
                        </text>
                    ))}
                    {inDrawingOrder.map((step) => {
                        const x = at(step);
                        const from = scale.x(Math.min(step.earliest, scale.from));
                        const now = step.step === current;
                        const side = now ? freeSide(x, plan.steps.map(at), width) : 'right';
                        return (
                            <g key={step.step} onClick={() => onStep(step.step)} className="cursor-pointer">
                                <rect
                                    x={from}
                                    y={42}
                                    width={Math.max(3, scale.x(step.latest) - from)}
                                    height={8}
                                    rx={2}
                                    fill={now ? 'var(--now-fill)' : 'none'}
                                    stroke={now ? 'var(--now)' : 'none'}
                                />
                                <circle cx={x} cy={24} r={16} fill="var(--paper)" stroke={now ? 'var(--now)' : 'var(--line)'} strokeWidth={now ? 3 : 1.5} />
                                <g transform={`translate(${x},24)`} color="var(--ink)">
                                    <Glyph step={step.step} side={plan.turn_side ?? 'right'} />
                                </g>
                                <line x1={x} x2={x} y1={40} y2={46} stroke="var(--ink)" strokeWidth={2} />
                                {now && (
                                    <text
                                        x={side === 'left' ? x - 22 : x + 22}
                                        y={18}
                                        fontSize={16}
                                        fontWeight={700}
                                        fill="var(--ink)"
                                        textAnchor={side === 'left' ? 'end' : 'start'}
                                        stroke="var(--paper)"
                                        strokeWidth={5}
                                        paintOrder="stroke"
                                    >
                                        {spoken(step.best, plan.unit)}
                                    </text>
                                )}
                            </g>
                        );
                    })}
                </svg>
            )}
        </div>
    );
}
