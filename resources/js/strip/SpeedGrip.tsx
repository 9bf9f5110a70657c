import { useRef, type PointerEvent } from 'react';

/** Pixels of drag for one step of the speed. */
const STEP = 4;

interface Props {
    x: number;
    y: number;
    /** The speed when the drag begins; the slider beside the strip is the same without a drag. */
    speed: number;
    onSpeed: (speed: number) => void;
}

/** The head of the speed curve, dragged up for faster and down for slower. */
export function SpeedGrip({ x, y, speed, onSpeed }: Props) {
    const start = useRef<{ y: number; speed: number } | null>(null);
    const move = (event: PointerEvent) => {
        if (!start.current) return;
        onSpeed(start.current.speed + Math.round((start.current.y - event.clientY) / STEP));
    };
    return (
        <g
            data-testid="speed-grip"
            aria-hidden="true"
            className="screen-only cursor-ns-resize touch-none"
            transform={`translate(${x},${y})`}
            onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                start.current = { y: event.clientY, speed };
            }}
            onPointerMove={move}
            onPointerUp={() => {
                start.current = null;
            }}
            onPointerCancel={() => {
                start.current = null;
            }}
        >
            <circle r={24} fill="transparent" />
            <rect x={-11} y={-14} width={22} height={28} rx={7} fill="var(--paper)" stroke="var(--ink)" strokeWidth={3} />
            <path d="M-4,-4 L0,-8 L4,-4 M-4,4 L0,8 L4,4" fill="none" stroke="var(--ink)" strokeWidth={2} />
        </g>
    );
}
