import { useState, type ReactNode } from 'react';

/** Something on a road that is dragged along it, told in metres. */
export function Draggable({ perMetre, onDrag, children }: { perMetre: number; onDrag: (by: number) => void; children: ReactNode }) {
    const [from, setFrom] = useState<number | null>(null);
    return (
        <g
            className="cursor-grab touch-none"
            onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                setFrom(event.clientX);
            }}
            onPointerMove={(event) => {
                if (from === null || Math.abs(event.clientX - from) < perMetre) return;
                onDrag((event.clientX - from) / perMetre);
                setFrom(event.clientX);
            }}
            onPointerUp={() => setFrom(null)}
        >
            {children}
        </g>
    );
}
