import type { SweptPathAnswer } from '@/api/types';
import { useRef, useState, type ReactNode } from 'react';
import type { Point } from './ways';

/** Points as an attribute of SVG: on the screen y runs down. */
export const points = (line: Point[]) => line.map(([x, y]) => `${x.toFixed(2)},${(-y).toFixed(2)}`).join(' ');

export interface Grip {
    label: string;
    at: Point;
    onMove: (to: Point) => void;
}

interface Props {
    answer: SweptPathAnswer;
    label: string;
    /** What must be seen whole, m. */
    frame: Point[];
    /** Kerbs that can be dragged; each has a slider beside the picture for the keyboard. */
    grips: Grip[];
    children: ReactNode;
}

/** A vehicle's whole way from above and to scale: every position, the line of its front, the line of its inner wheel. */
export function Drawn({ answer, label, frame, grips, children }: Props) {
    const svg = useRef<SVGSVGElement>(null);
    const [left, right] = [Math.min(...frame.map(([x]) => x)), Math.max(...frame.map(([x]) => x)) + 1];
    const [top, bottom] = [Math.min(...frame.map(([, y]) => -y)), Math.max(...frame.map(([, y]) => -y)) + 1];
    const box = `${left} ${top} ${right - left} ${bottom - top}`;
    // While a kerb is dragged the picture stands still under the finger.
    const [held, setHeld] = useState<string | null>(null);
    const shown = answer.frames.filter((units) => units.every((unit) => unit.some(([x, y]) => x > left && x < right && -y > top && -y < bottom)));
    const middle = shown[Math.floor(shown.length / 2)];
    const move = (grip: Grip) => (event: React.PointerEvent) => {
        const matrix = svg.current?.getScreenCTM();
        if (held === null || !matrix) return;
        const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
        grip.onMove([x, -y]);
    };
    const size = Math.max(right - left, bottom - top) / 55;
    return (
        <svg
            ref={svg}
            viewBox={held ?? box}
            className="bg-raised border-hair max-h-[30rem] w-full overflow-hidden rounded-xl border-2"
            role="img"
            aria-label={label}
        >
            {children}
            {shown.map((units, i) =>
                units.map((unit, u) => (
                    <polygon key={`${i}-${u}`} points={points(unit)} fill="var(--paper)" fillOpacity={0.25} stroke="var(--line)" strokeWidth={0.07} />
                )),
            )}
            <polyline points={points(answer.traces.path)} fill="none" stroke="var(--now)" strokeWidth={0.2} strokeDasharray="0.7 0.5" />
            <polyline points={points(answer.traces.inner)} fill="none" stroke="var(--ink)" strokeWidth={0.2} />
            <polyline points={points(answer.traces.outer)} fill="none" stroke="var(--ink)" strokeWidth={0.12} />
            {middle?.map((unit, u) => (
                <polygon key={u} points={points(unit)} fill="var(--paper)" stroke="var(--ink)" strokeWidth={0.14} />
            ))}
            {grips.map((grip) => (
                <g
                    key={grip.label}
                    className="cursor-grab touch-none"
                    transform={`translate(${grip.at[0]},${-grip.at[1]})`}
                    onPointerDown={(event) => {
                        event.currentTarget.setPointerCapture(event.pointerId);
                        setHeld(box);
                    }}
                    onPointerMove={move(grip)}
                    onPointerUp={() => setHeld(null)}
                    onPointerCancel={() => setHeld(null)}
                    data-grip={grip.label}
                >
                    <title>{grip.label}: drag</title>
                    <circle r={size * 2} fill="transparent" />
                    <rect x={-size} y={-size} width={size * 2} height={size * 2} rx={size / 2} fill="var(--paper)" stroke="var(--ink)" strokeWidth={size / 3} />
                </g>
            ))}
        </svg>
    );
}
