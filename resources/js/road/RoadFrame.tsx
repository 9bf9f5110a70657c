import { useRef, type ReactNode } from 'react';
import { inUnit } from '@/strip/words';
import { useWidth } from '@/strip/useWidth';
import { axisTicks } from './axis';

export interface RoadScale {
    width: number;
    /** Place on the screen of so many metres on the axis. */
    x: (metres: number) => number;
    perMetre: number;
}

interface Props {
    /** Metres at the left and at the right end of the axis, whichever is the larger. */
    from: number;
    to: number;
    height: number;
    label: string;
    unit: 'm' | 'ft';
    zero: string;
    children: (scale: RoadScale) => ReactNode;
}

/** A road from above on one axis of metres, as wide as the page: we drive to the right. */
export function RoadFrame({ from, to, height, label, unit, zero, children }: Props) {
    const frame = useRef<HTMLDivElement>(null);
    const width = useWidth(frame);
    const scale: RoadScale = { width, perMetre: width / Math.abs(from - to), x: (metres) => ((from - metres) / (from - to)) * width };
    const marks = axisTicks({ from, to, width, x: scale.x, zero, unit, metresInAUnit: 1 / inUnit(1, unit) });
    return (
        <div ref={frame} className="bg-raised border-hair w-full min-w-0 overflow-hidden rounded-xl border-2">
            {width > 0 && (
                <svg
                    width={width}
                    height={height + 22}
                    viewBox={`0 0 ${width} ${height + 22}`}
                    className="block print:h-auto print:max-w-full"
                    role="img"
                    aria-label={label}
                >
                    {children(scale)}
                    <g fontSize={13} fill="var(--quiet)" textAnchor="middle">
                        {marks.map(({ metres, label }) => (
                            <g key={metres}>
                                <line x1={scale.x(metres)} x2={scale.x(metres)} y1={height - 4} y2={height + 2} stroke="var(--line)" />
                                {label && (
                                    <text x={label.x} y={height + 16}>
                                        {label.words}
                                    </text>
                                )}
                            </g>
                        ))}
                    </g>
                </svg>
            )}
        </div>
    );
}

/** A vehicle from above with its front at x, driving to the right; or to the left, coming towards us. */
export function Body({ x, y, long, wide = Math.min(16, Math.max(8, long * 0.55)), ours = false, towards = false, turned = 0 }: BodyProps) {
    return (
        <g transform={`translate(${x.toFixed(1)},${y.toFixed(1)}) rotate(${towards ? 180 + turned : turned})`}>
            <rect x={-long} y={-wide / 2} width={long} height={wide} rx={4} fill={ours ? 'var(--paper)' : 'var(--line)'} stroke="var(--ink)" strokeWidth={2} />
            <line x1={-long * 0.28} x2={-long * 0.28} y1={-wide / 2 + 3} y2={wide / 2 - 3} stroke="var(--ink)" strokeWidth={1.5} />
            {ours && <circle cx={-long * 0.62} r={3} fill="var(--now-fill)" stroke="var(--ink)" />}
        </g>
    );
}

interface BodyProps {
    x: number;
    y: number;
    /** On the screen. */
    long: number;
    wide?: number;
    ours?: boolean;
    towards?: boolean;
    turned?: number;
}

/** A place across the road with its name: where something is decided, ends, or must be done. */
export function Mark({
    x,
    top,
    bottom,
    text,
    strong = false,
    end = false,
}: {
    x: number;
    top: number;
    bottom: number;
    text: string;
    strong?: boolean;
    end?: boolean;
}) {
    return (
        <g>
            <line
                x1={x}
                x2={x}
                y1={top}
                y2={bottom}
                stroke={strong ? 'var(--now)' : 'var(--ink)'}
                strokeWidth={strong ? 3 : 1.5}
                strokeDasharray={strong ? undefined : '5 4'}
            />
            <text
                x={end ? x - 5 : x + 5}
                y={top + 11}
                fontSize={13}
                fontWeight={strong ? 700 : 500}
                textAnchor={end ? 'end' : 'start'}
                fill="var(--ink)"
                stroke="var(--raised)"
                strokeWidth={4}
                paintOrder="stroke"
            >
                {text}
            </text>
        </g>
    );
}
