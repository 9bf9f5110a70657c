import { useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useWidth } from '@/strip/useWidth';
import { moved, scaleLength, showing, spot, type Lying, type Shown } from './map';

const HEIGHT = 320;
const ZOOM = 1.6;
const STEP = 0.2;

/** What is drawn on a map is told where things lie on it. */
export interface Drawn {
    at: (one: Lying) => [number, number];
    width: number;
    height: number;
    /** The same while the map is dragged: where names stand is not thought over with every move. */
    still: Shown;
}

interface Props {
    label: string;
    /** What it opens on. */
    home: readonly Lying[];
    /** All there is: a press shows it. */
    all: readonly Lying[];
    /** Something is put where the cross in the middle is. */
    onHere?: (where: Lying) => void;
    /** Beside its keys. */
    beside?: (drawn: Drawn) => ReactNode;
    children: (drawn: Drawn) => ReactNode;
}

/** A map without tiles, north up: moved by mouse, finger and arrows, its scale in the corner. */
export function MapFrame({ label, home, all, onHere, beside, children }: Props) {
    const frame = useRef<HTMLDivElement>(null);
    const width = useWidth(frame);
    const [moves, setMoves] = useState<Shown | null>(null);
    const [held, setHeld] = useState<{ x: number; y: number; from: Shown } | null>(null);
    const tall = width > 0 ? HEIGHT / width : 0.4;
    const shown = moves ?? showing(home, tall);
    const zoom = (by: number) => setMoves({ ...shown, wide_m: Math.min(20_000_000, Math.max(50, shown.wide_m * by)) });
    const key = (event: KeyboardEvent) => {
        const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, STEP], ArrowDown: [0, -STEP] }[event.key];
        if (by) setMoves(moved(shown, by[0]!, by[1]! * tall));
        else if (event.key === '+' || event.key === '=') zoom(1 / ZOOM);
        else if (event.key === '-') zoom(ZOOM);
        else return;
        event.preventDefault();
    };
    const drawn: Drawn = { at: (one) => spot(one, shown, width, HEIGHT), width, height: HEIGHT, still: held?.from ?? shown };
    const scale = scaleLength(shown.wide_m);
    const here = () => onHere?.({ latitude_deg: Number(shown.latitude.toFixed(6)), longitude_deg: Number(shown.longitude.toFixed(6)) });
    return (
        <div className="grid gap-2">
            <div ref={frame} className="bg-raised border-hair w-full min-w-0 overflow-hidden rounded-xl border-2">
                {width > 0 && (
                    <svg
                        width={width}
                        height={HEIGHT}
                        className="block cursor-move touch-pan-y select-none"
                        role="group"
                        tabIndex={0}
                        aria-label={label}
                        onKeyDown={key}
                        onPointerDown={(event) => setHeld({ x: event.clientX, y: event.clientY, from: shown })}
                        onPointerMove={(event) => {
                            if (!held || event.buttons === 0) return;
                            setMoves(moved(held.from, (held.x - event.clientX) / width, (event.clientY - held.y) / width));
                        }}
                        onPointerUp={() => setHeld(null)}
                        onPointerLeave={() => setHeld(null)}
                    >
                        {children(drawn)}
                        {onHere && (
                            <path
                                aria-hidden="true"
                                d={`M${width / 2 - 14},${HEIGHT / 2} h28 M${width / 2},${HEIGHT / 2 - 14} v28`}
                                fill="none"
                                stroke="var(--now)"
                                strokeWidth={3}
                            />
                        )}
                        <g aria-hidden="true" transform={`translate(12,${HEIGHT - 12})`}>
                            <path d={`M0,-6 V0 H${((scale / shown.wide_m) * width).toFixed(1)} V-6`} fill="none" stroke="var(--ink)" strokeWidth={2} />
                            <text x={4} y={-8} fontSize={13} fill="var(--ink)" stroke="var(--raised)" strokeWidth={4} paintOrder="stroke">
                                {scale >= 1000 ? `${scale / 1000} km` : `${scale} m`}
                            </text>
                        </g>
                    </svg>
                )}
            </div>
            <div className="screen-only flex flex-wrap items-center gap-2">
                {onHere && (
                    <button type="button" className="key" data-tone="main" onClick={here}>
                        Put it at the cross
                    </button>
                )}
                <button type="button" className="key !px-4 text-xl" aria-label="Zoom in" onClick={() => zoom(1 / ZOOM)}>
                    +
                </button>
                <button type="button" className="key !px-4 text-xl" aria-label="Zoom out" onClick={() => zoom(ZOOM)}>
                    −
                </button>
                {all.length > 0 && (
                    <button type="button" className="key" onClick={() => setMoves(showing(all, tall))}>
                        Show all
                    </button>
                )}
                {home.length < all.length && (
                    <button type="button" className="key" onClick={() => setMoves(null)}>
                        The town
                    </button>
                )}
                {beside?.(drawn)}
            </div>
        </div>
    );
}
