import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import type { Draft } from './draft';
import type { Point } from './geometry';
import { bounded, pulled, put, type Handle } from './handles';

/** What is changed, and to what. */
export type OnChange = (what: string, to: (draft: Draft) => Draft) => void;

interface Props {
    handle: Handle;
    /** How large the picture's writing is drawn. */
    k: number;
    onChange: OnChange;
    /** What is held, where it has a shape of its own. */
    children?: ReactNode;
}

const KEYS: Record<string, number> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 };

/** A point of the screen on the picture, m: with the scale the picture has now. */
export function under({ clientX, clientY }: Pick<PointerEvent, 'clientX' | 'clientY'>, { a, d, e, f }: Pick<DOMMatrix, 'a' | 'd' | 'e' | 'f'>): Point {
    return [(clientX - e) / a, (clientY - f) / d];
}

/** One figure of a site on its picture: pulled by hand or moved by key, with its number beside it while it is held. */
export function Held({ handle, k, onChange, children }: Props) {
    // As it was when it was taken hold of: what is pulled may change the scale of the picture.
    const taken = useRef<{ from: Point; value: number; scale: DOMMatrix; said: number } | null>(null);
    const [isHeld, setHeld] = useState(false);
    const [isFocused, setFocused] = useState(false);
    const change = (value: number) => onChange(handle.id, (draft) => put(handle, draft, value));
    const hold = (event: PointerEvent<SVGGElement>) => {
        const scale = event.currentTarget.getScreenCTM();
        if (!scale) return;
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        taken.current = { from: under(event, scale), value: handle.value, scale, said: handle.value };
        setHeld(true);
    };
    const pull = (event: PointerEvent) => {
        if (!taken.current) return;
        const { from, value, scale } = taken.current;
        const [x, y] = under(event, scale);
        const wanted = bounded(handle, value + pulled(handle, [x - from[0], y - from[1]]));
        if (wanted === taken.current.said) return;
        taken.current.said = wanted;
        change(wanted);
    };
    const release = () => {
        taken.current = null;
        setHeld(false);
    };
    const key = (event: KeyboardEvent) => {
        const by = KEYS[event.key];
        if (by === undefined) return;
        event.preventDefault();
        const wanted = bounded(handle, handle.value + by * (event.shiftKey ? 1 : handle.step));
        if (wanted !== handle.value) change(wanted);
    };
    const [x, y] = handle.at;
    const words = handle.words(handle.value);
    return (
        <g
            role="slider"
            tabIndex={0}
            aria-label={handle.label}
            aria-valuenow={handle.value}
            aria-valuemin={handle.least}
            aria-valuemax={handle.most}
            aria-valuetext={words}
            aria-orientation="vertical"
            className="cursor-grab touch-none outline-none"
            data-held={handle.id}
            onKeyDown={key}
            onPointerDown={hold}
            onPointerMove={pull}
            onPointerUp={release}
            onPointerCancel={release}
            onFocus={() => setFocused(true)}
            onBlur={() => setFocused(false)}
        >
            <title>{`${handle.label}: ${words}`}</title>
            {children ?? (
                <>
                    <circle cx={x} cy={y} r={4 * k} fill="transparent" />
                    <rect
                        x={x - 1.3 * k}
                        y={y - 1.3 * k}
                        width={2.6 * k}
                        height={2.6 * k}
                        transform={`rotate(45 ${x} ${y})`}
                        fill="var(--paper)"
                        stroke="var(--ink)"
                        strokeWidth={0.5 * k}
                    />
                </>
            )}
            {isFocused && <circle cx={x} cy={y} r={3.2 * k} fill="none" stroke="var(--now)" strokeWidth={0.9 * k} />}
            {(isHeld || isFocused) && <NumberBeside at={handle.at} k={k} words={words} />}
        </g>
    );
}

/** How wide a letter of it is, m on the smallest picture. */
const LETTER = 1.95;

/** Over what is held, not under the finger; on a ground of its own, whatever lies there. */
export function NumberBeside({ at: [x, y], k, words }: { at: Point; k: number; words: string }) {
    const wide = (words.length + 1) * LETTER * k;
    return (
        <g pointerEvents="none" aria-hidden="true" data-number="">
            <rect x={x - wide / 2} y={y - 9 * k} width={wide} height={5.4 * k} rx={1.2 * k} fill="var(--raised)" stroke="var(--ink)" strokeWidth={0.3 * k} />
            <text {...{ x, y: y - 5.1 * k }} textAnchor="middle" fontSize={3.4 * k} fontWeight={800} fill="var(--ink)">
                {words}
            </text>
        </g>
    );
}
