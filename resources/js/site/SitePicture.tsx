import { useRef, useState, type KeyboardEvent } from 'react';
import type { Side } from '@/api/types';
import { armWords, compass, type Arm, type Draft } from './draft';
import { acrossIn, at, bearingOf, beside, HOLD, islandRadius, line, mouth, path, REACH, sight, surface } from './geometry';

interface Props {
    draft: Draft;
    keeps: Side;
    from: string | null;
    to: string | null;
    /** Roads seen to the left and to the right from our line, where they are known. */
    met: { left?: Arm; right?: Arm };
    /** How far one sees along them from the line, m, where that is known. */
    seen: { left?: number; right?: number };
    onTurn: (id: string, bearing: number) => void;
    onChoose: (id: string) => void;
}

/** By how much a key turns an arm, degrees; with Shift by one. */
const STEP = 5;

/** A site from above, to scale, north up: its roads are turned by their ends, and pressed to say where one comes from and goes. */
export function SitePicture({ draft, keeps, from, to, met, seen, onTurn, onChoose }: Props) {
    const svg = useRef<SVGSVGElement>(null);
    // Whether the arm that is held has been turned: then letting go of it chooses nothing.
    const [held, setHeld] = useState<{ id: string; moved: boolean } | null>(null);
    const ours = draft.arms.find((arm) => arm.id === from);
    const wanted = draft.arms.find((arm) => arm.id === to);
    const out = mouth(draft);
    const drag = (event: React.PointerEvent) => {
        const matrix = svg.current?.getScreenCTM();
        if (!held || !matrix) return;
        const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
        const bearing = Math.round(bearingOf([x, y]) / STEP) * STEP;
        const arm = draft.arms.find((one) => one.id === held.id);
        if (!arm || Math.abs(((bearing - arm.bearing_deg + 540) % 360) - 180) < STEP) return;
        setHeld({ ...held, moved: true });
        onTurn(held.id, bearing);
    };
    const key = (arm: Arm) => (event: KeyboardEvent) => {
        const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
        if (by !== undefined) {
            event.preventDefault();
            onTurn(arm.id, arm.bearing_deg + by * (event.shiftKey ? 1 : STEP));
        }
        if (event.key === 'Enter' || event.key === ' ') {
            event.preventDefault();
            onChoose(arm.id);
        }
    };
    return (
        <svg
            ref={svg}
            viewBox={`${-REACH} ${-REACH} ${REACH * 2} ${REACH * 2}`}
            className="bg-raised border-hair max-h-[25rem] w-full rounded-xl border-2"
            role="group"
            aria-label="The site from above, north up"
            onPointerMove={drag}
            onPointerUp={() => setHeld(null)}
        >
            {draft.arms.map((arm) => (
                <path key={arm.id} d={surface(arm, keeps)} fill="var(--road)" />
            ))}
            {draft.kind !== 'junction' && <circle r={out} fill="var(--road)" />}
            {draft.kind !== 'junction' && <circle r={islandRadius(draft.kind)} fill={draft.kind === 'roundabout' ? 'var(--verge)' : 'var(--paper)'} />}
            {draft.arms.map((arm) => (
                <Paint key={arm.id} arm={arm} out={out} keeps={keeps} />
            ))}
            {ours &&
                (['left', 'right'] as const).map((side) => {
                    const metres = seen[side];
                    const road = met[side];
                    return metres !== undefined && road ? (
                        <path key={side} d={sight(ours, road, metres, out, keeps)} fill="var(--ink)" opacity={0.12} data-sight={side} />
                    ) : null;
                })}
            {ours && wanted && (
                <path d={path(draft, ours, wanted, keeps)} fill="none" stroke="var(--now)" strokeWidth={1.3} strokeLinejoin="round" data-way="" />
            )}
            {draft.arms.map((arm) => {
                const [x, y] = at(arm.bearing_deg, HOLD);
                const chosen = arm.id === from ? 'from' : arm.id === to ? 'to' : null;
                // Beside a road that runs up the picture, over one that runs across.
                const isAcross = Math.abs(x) > Math.abs(y);
                const anchor = !isAcross ? 'start' : x > 0 ? 'end' : 'start';
                const name = arm.name.length > 20 ? `${arm.name.slice(0, 19)}…` : arm.name;
                return (
                    <g
                        key={arm.id}
                        role="button"
                        tabIndex={0}
                        aria-label={`${armWords(arm, draft.arms)}, ${compass(arm.bearing_deg)}${chosen === 'from' ? ': where we come from' : chosen === 'to' ? ': where we go' : ''}`}
                        aria-pressed={chosen !== null}
                        data-arm={arm.id}
                        className="cursor-pointer touch-none"
                        onKeyDown={key(arm)}
                        onPointerDown={(event) => {
                            event.currentTarget.setPointerCapture(event.pointerId);
                            setHeld({ id: arm.id, moved: false });
                        }}
                        onPointerUp={() => {
                            if (held && !held.moved) onChoose(arm.id);
                            setHeld(null);
                        }}
                    >
                        <circle cx={x} cy={y} r={6} fill="transparent" />
                        <Under x={isAcross ? x + Math.sign(x) * 2 : x + 7} y={isAcross ? y - 5 : y + 1.2} long={name.length * 2} end={anchor === 'end'} />
                        <circle
                            cx={x}
                            cy={y}
                            r={2.4}
                            fill={chosen === 'to' ? 'var(--now-fill)' : chosen === 'from' ? 'var(--ink)' : 'var(--paper)'}
                            stroke="var(--ink)"
                            strokeWidth={0.7}
                        />
                        <text
                            x={isAcross ? x + Math.sign(x) * 2 : x + 7}
                            y={isAcross ? y - 5 : y + 1.2}
                            textAnchor={anchor}
                            fontSize={3.4}
                            fontWeight={chosen ? 800 : 500}
                            fill="var(--ink)"
                            stroke="var(--raised)"
                            strokeWidth={1}
                            paintOrder="stroke"
                        >
                            {name}
                        </text>
                    </g>
                );
            })}
        </svg>
    );
}

/** What is pressed beside the end itself: its name. */
const Under = ({ x, y, long, end }: { x: number; y: number; long: number; end: boolean }) => (
    <rect x={end ? x - long : x} y={y - 4} width={long} height={9} fill="transparent" />
);

/** What is painted on an arm, and what stands and opens beside it. */
function Paint({ arm, out, keeps }: { arm: Arm; out: number; keeps: Side }) {
    const lines = (arm.lanes_in ?? 1) > 0 && (arm.lanes_out ?? 1) > 0;
    return (
        <g aria-hidden="true">
            {lines && (
                <path d={line([at(arm.bearing_deg, out + 1), at(arm.bearing_deg, REACH * 2)])} stroke="var(--paper)" strokeWidth={0.35} strokeDasharray="2 2" />
            )}
            {(arm.lanes_in ?? 1) > 0 && arm.control !== undefined && arm.control !== 'none' && (
                <path
                    d={line(acrossIn(arm, out, keeps))}
                    stroke={arm.control === 'signals' ? 'var(--now-fill)' : 'var(--paper)'}
                    strokeWidth={arm.control === 'give-way' ? 0.6 : 1}
                    strokeDasharray={arm.control === 'give-way' ? '1 0.7' : undefined}
                    data-line={arm.control}
                />
            )}
            {arm.openings?.map(({ side, from_m: far, to_m: near }, i) => (
                <path
                    key={i}
                    d={line([beside(arm, far ?? 0, side ?? keeps, out, keeps, 1.5), beside(arm, near ?? 0, side ?? keeps, out, keeps, 1.5)])}
                    stroke="var(--road)"
                    strokeWidth={3.4}
                />
            ))}
            {arm.parked?.map(({ side, from_m: far, to_m: near }, i) => (
                <path
                    key={i}
                    d={line([beside(arm, far ?? 0, side ?? keeps, out, keeps, -1), beside(arm, near ?? 0, side ?? keeps, out, keeps, -1)])}
                    stroke="var(--line)"
                    strokeWidth={1.8}
                />
            ))}
        </g>
    );
}
