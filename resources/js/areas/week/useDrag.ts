import { useRef, useState, type CSSProperties, type PointerEvent } from 'react';
import { STEP } from '@/diary/week';

/** Less than this is a press that shook, px. */
const SHAKE = 6;

/** Minutes, and days, by which each arrow key moves what is on a line. */
const KEYS: Record<string, [number, number]> = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** How an arrow key moves what is on a line; undefined for every other key. */
export const movedBy = (key: string): [number, number] | undefined => KEYS[key];

export interface Dragged {
    /** Undefined where it is not to be moved. */
    onDrop: ((day: string, minute: number) => void) | undefined;
    minutesPerPixel: (width: number) => number;
    /** Minute of the day at which it begins. */
    from: number;
}

/** Takes something along the lines of a week by hand: where it is let go, the day under it and the quarter of an hour are told. */
export function useDrag({ onDrop, minutesPerPixel, from }: Dragged) {
    const began = useRef<{ x: number; y: number } | null>(null);
    const [by, setBy] = useState<{ x: number; y: number } | null>(null);
    const drop = (event: PointerEvent<HTMLButtonElement>) => {
        const line = event.currentTarget.parentElement!;
        // Which day it was let go over: the lines are as high as they are, so that the rows themselves are asked.
        const under = document
            .elementsFromPoint(event.clientX, event.clientY)
            .find((one): one is HTMLElement => one instanceof HTMLElement && !!one.dataset.day);
        const minute = from + Math.round(((event.clientX - began.current!.x) * minutesPerPixel(line.getBoundingClientRect().width)) / STEP) * STEP;
        onDrop?.(under?.dataset.day ?? line.dataset.day!, minute);
    };
    return {
        isDragged: by !== null,
        style: (by ? { transform: `translate(${by.x}px, ${by.y}px)` } : {}) satisfies CSSProperties,
        handlers: {
            onPointerDown: (event: PointerEvent<HTMLButtonElement>) => {
                if (!onDrop || event.button !== 0) return;
                began.current = { x: event.clientX, y: event.clientY };
                event.currentTarget.setPointerCapture(event.pointerId);
            },
            onPointerMove: (event: PointerEvent<HTMLButtonElement>) => {
                if (!began.current) return;
                const to = { x: event.clientX - began.current.x, y: event.clientY - began.current.y };
                if (by || Math.hypot(to.x, to.y) > SHAKE) setBy(to);
            },
            onPointerUp: (event: PointerEvent<HTMLButtonElement>) => {
                if (by) drop(event);
                began.current = null;
                // The press that ends a drag is none: it is over once the click has passed.
                if (by) setTimeout(() => setBy(null));
            },
            onPointerCancel: () => {
                began.current = null;
                setBy(null);
            },
        },
    };
}
