import { useState, type KeyboardEvent } from 'react';
import { drawnOn, movedBy, type Line } from './picture';

interface Drawn {
    drawing: Line | null;
    setDrawing: (line: Line | null) => void;
    /** A line that is done. */
    onLine: (line: Line) => void;
}

/** By how much an arrow moves the pen, shares of the picture; with Shift finely. */
const STEP = 0.04;
const FINE_STEP = 0.01;
const WAYS: Record<string, readonly [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** A pen that is moved by key: Space or Enter puts it down and takes it up again, Backspace lets the line go that is being drawn. */
export function usePen({ drawing, setDrawing, onLine }: Drawn) {
    const [at, setAt] = useState<Line[number] | null>(null);
    const onKeyDown = (event: KeyboardEvent) => {
        const way = WAYS[event.key];
        const isPress = event.key === ' ' || event.key === 'Enter';
        if (!way && !isPress && !(event.key === 'Backspace' && drawing)) return;
        event.preventDefault();
        const now = at ?? [0.5, 0.5];
        if (event.key === 'Backspace') return setDrawing(null);
        if (isPress) {
            setAt(now);
            if (drawing && drawing.length > 1) onLine(drawing);
            return setDrawing(drawing ? null : [now]);
        }
        const step = event.shiftKey ? FINE_STEP : STEP;
        const next = movedBy(now, [way![0] * step, way![1] * step]);
        setAt(next);
        if (drawing) setDrawing(drawnOn(drawing, next));
    };
    return {
        /** Where the pen is; null as long as nobody moves it by key. */
        at,
        keys: {
            onKeyDown,
            onBlur: () => {
                setAt(null);
                setDrawing(null);
            },
        },
    };
}
