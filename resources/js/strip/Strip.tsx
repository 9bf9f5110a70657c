import { useId, useRef, type KeyboardEvent } from 'react';
import type { Drawable, StripStep } from './plan';
import { Glyph } from './glyphs';
import { layOut, ROW, type StripLayout } from './layout';
import { RoadBand } from './RoadBand';
import { SpeedGrip } from './SpeedGrip';
import { StripTable } from './StripTable';
import { spoken, STEP_WORDS, wayIsKnown } from './words';
import { useWidth } from './useWidth';
import type { SpeedUnit } from '@/rules/speed';

interface Props {
    plan: Drawable;
    current: StripStep;
    onStep: (step: StripStep) => void;
    /** Keep the axis still while the plan changes under it. */
    from?: number;
    compact?: boolean;
    /** In which the curve carries its speeds; it carries none where left out. */
    speedUnit?: SpeedUnit;
    /** The speed shown, and what to do when the head of its curve is dragged; without it there is no grip. */
    speed?: number;
    onSpeed?: (speed: number) => void;
    /** Where the car is while the approach is played, metres to the line; at the current step when left out. */
    at?: number;
}

/** The approach strip: one axis in metres, the steps as windows, the speed and the road on the same scale. */
export function Strip({ plan, current, onStep, from, compact = false, speedUnit, speed, onSpeed, at }: Props) {
    const frame = useRef<HTMLDivElement>(null);
    const width = useWidth(frame);
    const id = useId();
    const layout = width > 0 ? layOut(plan, { width, from, compact, speedUnit }) : null;
    const names = plan.steps.map((step) => step.step);
    const now = plan.steps.find((step) => step.step === current) ?? plan.steps[0]!;
    const here = at ?? now.best;
    const walk = (event: KeyboardEvent) => {
        const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onStep(names[Math.min(names.length - 1, Math.max(0, names.indexOf(now.step) + by))]!);
    };
    return (
        <div ref={frame} className="w-full min-w-0">
            {layout && (
                <svg
                    width={width}
                    height={layout.height}
                    viewBox={`0 0 ${width} ${layout.height}`}
                    className="block select-none overflow-visible print:h-auto print:max-w-full"
                    role="slider"
                    tabIndex={0}
                    aria-label="Steps of the approach"
                    aria-valuemin={1}
                    aria-valuemax={names.length}
                    aria-valuenow={names.indexOf(now.step) + 1}
                    aria-valuetext={`${STEP_WORDS[now.step]} at ${spoken(now.best, plan.unit)}, ${now.best_s.toFixed(1)} seconds to go`}
                    aria-describedby={`${id}-table`}
                    onKeyDown={walk}
                >
                    <Patterns id={id} />
                    <Axes layout={layout} compact={compact} />
                    {!compact && <SayIt layout={layout} plan={plan} />}
                    <SpeedBand layout={layout} id={id} />
                    <RoadBand plan={plan} layout={layout} at={here} />
                    <line
                        x1={layout.scale.x(here)}
                        x2={layout.scale.x(here)}
                        y1={22}
                        y2={layout.road.top}
                        stroke="var(--now)"
                        strokeWidth={1.5}
                        strokeDasharray="2 4"
                    />
                    {onSpeed && speed !== undefined && <SpeedGrip x={16} y={layout.speed.headY} speed={speed} onSpeed={onSpeed} />}
                    {layout.rule && <Rule layout={layout} x={layout.rule.x} compact={compact} />}
                    {layout.rows.map((row) => (
                        <g key={row.step} onClick={() => onStep(row.step)} data-step={row.step} className="cursor-pointer">
                            <rect x={0} y={row.y - ROW / 2} width={width} height={ROW} fill="transparent" />
                            <rect
                                x={row.window.x}
                                y={row.y - 6}
                                width={row.window.width}
                                height={12}
                                rx={3}
                                fill={row.step === now.step ? 'var(--now-fill)' : 'var(--wash)'}
                                stroke={row.step === now.step ? 'var(--now)' : 'var(--line)'}
                                strokeWidth={1.5}
                            />
                            <circle
                                cx={row.best.x}
                                cy={row.y}
                                r={15}
                                fill="var(--paper)"
                                stroke={row.step === now.step ? 'var(--now)' : 'none'}
                                strokeWidth={2.5}
                            />
                            <g transform={`translate(${row.best.x},${row.y})`} color="var(--ink)">
                                <Glyph step={row.step} side={plan.turn_side ?? 'right'} />
                            </g>
                            <text x={row.label.x} y={row.y + 5} textAnchor={row.label.anchor} fontSize={16} fill="var(--ink)">
                                <tspan fontWeight={row.step === now.step ? 800 : 600}>{STEP_WORDS[row.step]}</tspan>
                                <tspan dx={8} fill="var(--quiet)">
                                    {spoken(row.best.metres, plan.unit)}
                                </tspan>
                            </text>
                        </g>
                    ))}
                </svg>
            )}
            <StripTable plan={plan} id={`${id}-table`} />
        </div>
    );
}

function Patterns({ id }: { id: string }) {
    return (
        <defs>
            {[9, 5.5, 3.2].map((gap, i) => (
                <pattern key={gap} id={`${id}-hatch-${i}`} width={gap} height={gap} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                    <line x1={0} x2={0} y1={0} y2={gap} stroke="var(--ink)" strokeWidth={1.3} />
                </pattern>
            ))}
        </defs>
    );
}

function Axes({ layout, compact }: { layout: StripLayout; compact: boolean }) {
    return (
        <g fontSize={13} fill="var(--quiet)" textAnchor="middle">
            {layout.ticks.map(({ at, x }) => (
                <g key={at}>
                    <line x1={x} x2={x} y1={22} y2={layout.axisY - 14} stroke="var(--hair)" strokeWidth={at === 0 ? 2 : 1} />
                    <text x={x} y={layout.axisY + 4}>
                        {at === 0 ? (layout.unit === 's' ? 'go' : 'line') : at === layout.ticks[layout.ticks.length - 1]!.at ? `${at} ${layout.unit}` : at}
                    </text>
                </g>
            ))}
            <line x1={4} x2={layout.scale.x(0)} y1={22} y2={22} stroke="var(--line)" strokeWidth={1.5} />
            {!compact &&
                layout.unit !== 's' &&
                layout.seconds.map(({ second, x }) => (
                    <g key={second}>
                        <line x1={x} x2={x} y1={16} y2={22} stroke="var(--line)" strokeWidth={1.5} />
                        <text x={x} y={12}>
                            {second === 0 ? '0 s' : second}
                        </text>
                    </g>
                ))}
        </g>
    );
}

/** How the way is known: said by the instructor, or read from a sign. */
function SayIt({ layout, plan }: { layout: StripLayout; plan: Drawable }) {
    const { x, outside, metres: at } = layout.sayAt;
    const y = layout.speed.top - 12;
    return (
        <text x={outside ? 36 : x} y={y} fontSize={13} fill="var(--quiet)">
            {outside ? '◂ ' : '▾ '}
            {wayIsKnown(plan, at)}
        </text>
    );
}

function SpeedBand({ layout, id }: { layout: StripLayout; id: string }) {
    const { speed } = layout;
    const density = (hard: number) => (hard < 1.3 ? 0 : hard < 2 ? 1 : 2);
    return (
        <g>
            {speed.hatches.map((hatch) => (
                <path key={hatch.d} d={hatch.d} fill={`url(#${id}-hatch-${density(hatch.hard)})`} opacity={0.75} />
            ))}
            <path d={speed.line} fill="none" stroke="var(--ink)" strokeWidth={3} strokeLinejoin="round" />
            <line x1={4} x2={layout.scale.x(0)} y1={speed.bottom} y2={speed.bottom} stroke="var(--line)" strokeWidth={1.5} />
            {speed.labels.map((label) => (
                <text key={label.text} x={label.x} y={label.y} fontSize={13} fill="var(--quiet)" stroke="var(--paper)" strokeWidth={4} paintOrder="stroke">
                    {label.text}
                </text>
            ))}
            {speed.figures.map((figure) => (
                <text
                    key={figure.x}
                    x={figure.x}
                    y={figure.y}
                    fontSize={13}
                    fontWeight={700}
                    fill="var(--ink)"
                    stroke="var(--paper)"
                    strokeWidth={4}
                    paintOrder="stroke"
                >
                    {figure.text}
                </text>
            ))}
            {layout.gears.map((gear) => (
                <g key={gear.x}>
                    <rect x={gear.x} y={layout.gearTop} width={gear.width} height={20} fill="var(--wash)" stroke="var(--line)" strokeWidth={1} />
                    <text x={gear.x + gear.width / 2} y={layout.gearTop + 15} fontSize={13} textAnchor="middle" fill="var(--ink)">
                        {gear.width > 60 ? `gear ${gear.gear}` : gear.gear}
                    </text>
                </g>
            ))}
        </g>
    );
}

function Rule({ layout, x, compact }: { layout: StripLayout; x: number; compact: boolean }) {
    const row = layout.rows.find((candidate) => candidate.step === 'signal')!;
    // Beside its line, and clear of the signal's glyph where the rule and the plan agree.
    const beside = Math.abs(row.best.x - x) < 26 ? 26 : 8;
    const narrow = layout.scale.width < 560;
    const right = x < row.best.x || x > layout.scale.width - (narrow ? 90 : 190);
    return (
        <g>
            <line x1={x} x2={x} y1={row.y - 16} y2={row.y + 16} stroke="var(--ink)" strokeWidth={2} strokeDasharray="4 3" />
            {!compact && (
                <text
                    x={right ? x - beside : x + beside}
                    y={row.y + 5}
                    fontSize={13.5}
                    fill="var(--ink)"
                    textAnchor={right ? 'end' : 'start'}
                    stroke="var(--paper)"
                    strokeWidth={4}
                    paintOrder="stroke"
                >
                    {narrow ? 'rule' : 'rule of thumb'} {spoken(layout.rule!.metres, layout.unit)}
                </text>
            )}
        </g>
    );
}
