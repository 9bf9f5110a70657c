import { useRef, useState, type KeyboardEvent } from 'react';
import type { Side } from '@/api/types';
import { Along } from './Along';
import { BesideRoads } from './Beside';
import { armWords, compass, isRound, turned, type Arm, type Draft } from './draft';
import { acrossIn, bearingOf, halves, hold, islandRadius, line, middle, mouth, path, REACH, reaching, sight, spiralLines, surface } from './geometry';
import { handlesOf, type Drawn } from './handles';
import { Hides } from './Hides';
import { Held, NumberBeside, under, type OnChange } from './Held';

interface Props {
    draft: Draft;
    keeps: Side;
    from: string | null;
    to: string | null;
    /** Roads seen to the left and to the right from our line, where they are known. */
    met: { left?: Arm; right?: Arm };
    /** How far one sees along them from the line, m, where that is known. */
    seen: { left?: number; right?: number };
    onChange: OnChange;
    onChoose: (id: string) => void;
}

/** By how much a key turns an arm, degrees; with Shift by one. */
const STEP = 5;

/**
 * A site from above, to scale, north up: its roads are turned by their ends, and pressed to say where one comes from and goes; what stands or
 * opens beside them is moved along them; of the road one comes from its lanes, its line, what is seen from there and its bend are held too.
 */
export function SitePicture({ draft, keeps, from, to, met, seen: planned, onChange, onChoose }: Props) {
    const svg = useRef<SVGSVGElement>(null);
    // Whether the arm that is held has been turned: then letting go of it chooses nothing.
    const [held, setHeld] = useState<{ id: string; moved: boolean } | null>(null);
    const [focused, setFocused] = useState<string | null>(null);
    const onTurn = (id: string, bearing: number) => onChange(`lies ${id}`, (now) => turned(now, id, bearing));
    const ours = draft.arms.find((arm) => arm.id === from);
    const wanted = draft.arms.find((arm) => arm.id === to);
    const out = mouth(draft);
    const reach = reaching(draft);
    // What is written and held stays as large on the screen, however much of the roads is shown.
    const k = reach / REACH;
    const round = isRound(draft.kind);
    // What was said this moment counts before the answer to it comes.
    const seen = { left: ours?.sight_left_m ?? planned.left, right: ours?.sight_right_m ?? planned.right };
    const drawn: Drawn = { draft, keeps, out, reach, met, seen: said(seen) };
    const drag = (event: React.PointerEvent) => {
        const scale = svg.current?.getScreenCTM();
        if (!held || !scale) return;
        const bearing = Math.round(bearingOf(under(event, scale)) / STEP) * STEP;
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
            viewBox={`${-reach} ${-reach} ${reach * 2} ${reach * 2}`}
            className="bg-raised border-hair max-h-[25rem] w-full rounded-xl border-2"
            role="group"
            aria-label="The site from above, north up"
            onPointerMove={drag}
            onPointerUp={() => setHeld(null)}
        >
            {draft.arms.map((arm) => (
                <path key={arm.id} d={surface(arm, keeps)} fill="var(--road)" />
            ))}
            {round && <circle r={out} fill="var(--road)" />}
            {round && <circle r={islandRadius(draft.kind)} fill={draft.kind === 'mini-roundabout' ? 'var(--paper)' : 'var(--verge)'} />}
            {draft.kind === 'spiral' &&
                spiralLines(draft, keeps).map((drawn, i) => (
                    <path key={i} d={drawn} fill="none" stroke="var(--paper)" strokeWidth={0.35} strokeDasharray="2 2" data-spiral="" />
                ))}
            {draft.arms.map((arm) => (
                <Paint key={arm.id} arm={arm} out={out} keeps={keeps} />
            ))}
            {draft.arms.map((arm) => (
                <Along key={arm.id} arm={arm} keeps={keeps} />
            ))}
            {draft.arms.map((arm) => (
                <Hides key={arm.id} {...{ arm, out, keeps }} />
            ))}
            {ours &&
                (['left', 'right'] as const).map((side) => {
                    const metres = seen[side];
                    const road = met[side];
                    return metres !== undefined && road ? (
                        <path key={side} d={sight(ours, road, metres, out, keeps, reach)} fill="var(--ink)" opacity={0.12} data-sight={side} />
                    ) : null;
                })}
            {ours && wanted && (
                <path
                    d={path(draft, ours, wanted, keeps, reach)}
                    fill="none"
                    stroke="var(--now)"
                    strokeWidth={1.3 * Math.sqrt(k)}
                    strokeLinejoin="round"
                    data-way=""
                />
            )}
            {draft.arms.map((arm) => {
                const [x, y] = hold(arm, reach);
                const chosen = arm.id === from ? 'from' : arm.id === to ? 'to' : null;
                // Beside a road that runs up the picture, over one that runs across.
                const isAcross = Math.abs(x) > Math.abs(y);
                // Clear of the road under it.
                const high = Math.max(5 * k, halves(arm).in + 2 * k, halves(arm).out + 2 * k);
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
                        onFocus={() => setFocused(arm.id)}
                        onBlur={() => setFocused(null)}
                        onPointerDown={(event) => {
                            event.currentTarget.setPointerCapture(event.pointerId);
                            setHeld({ id: arm.id, moved: false });
                        }}
                        onPointerUp={() => {
                            if (held && !held.moved) onChoose(arm.id);
                            setHeld(null);
                        }}
                    >
                        <circle cx={x} cy={y} r={6 * k} fill="transparent" />
                        <Under
                            x={isAcross ? x + Math.sign(x) * 2 * k : x + 7 * k}
                            y={isAcross ? y - high : y + 1.2 * k}
                            k={k}
                            long={name.length * 2 * k}
                            end={anchor === 'end'}
                        />
                        <circle
                            cx={x}
                            cy={y}
                            r={2.4 * k}
                            fill={chosen === 'to' ? 'var(--now-fill)' : chosen === 'from' ? 'var(--ink)' : 'var(--paper)'}
                            stroke="var(--ink)"
                            strokeWidth={0.7 * k}
                        />
                        <text
                            x={isAcross ? x + Math.sign(x) * 2 * k : x + 7 * k}
                            y={isAcross ? y - high : y + 1.2 * k}
                            textAnchor={anchor}
                            fontSize={3.4 * k}
                            fontWeight={chosen ? 800 : 500}
                            fill="var(--ink)"
                            stroke="var(--raised)"
                            strokeWidth={k}
                            paintOrder="stroke"
                        >
                            {name}
                        </text>
                        {((held?.id === arm.id && held.moved) || focused === arm.id) && (
                            <NumberBeside at={[x, y]} k={k} words={`${Math.round(arm.bearing_deg)}°`} />
                        )}
                    </g>
                );
            })}
            {ours && handlesOf(ours, drawn).map((handle) => <Held key={handle.id} {...{ handle, k, onChange }} />)}
            {/* Over the names: what is small is held first. */}
            <BesideRoads {...{ draft, out, keeps, k, onChange }} />
        </svg>
    );
}

/** Only what is known. */
const said = ({ left, right }: { left: number | undefined; right: number | undefined }): Drawn['seen'] => ({
    ...(left === undefined ? {} : { left }),
    ...(right === undefined ? {} : { right }),
});

/** What is pressed beside the end itself: its name. */
const Under = ({ x, y, k, long, end }: { x: number; y: number; k: number; long: number; end: boolean }) => (
    <rect x={end ? x - long : x} y={y - 4 * k} width={long} height={9 * k} fill="transparent" />
);

/** What is painted on an arm. */
function Paint({ arm, out, keeps }: { arm: Arm; out: number; keeps: Side }) {
    const lines = (arm.lanes_in ?? 1) > 0 && (arm.lanes_out ?? 1) > 0;
    return (
        <g aria-hidden="true">
            {lines && <path d={middle(arm, out)} stroke="var(--paper)" strokeWidth={0.35} strokeDasharray="2 2" />}
            {(arm.lanes_in ?? 1) > 0 && arm.control !== undefined && arm.control !== 'none' && (
                <path
                    d={line(acrossIn(arm, out + (arm.control === 'signals' ? (arm.cycle_box_m ?? 0) : 0), keeps))}
                    stroke={arm.control === 'signals' ? 'var(--now-fill)' : 'var(--paper)'}
                    strokeWidth={arm.control === 'give-way' ? 0.6 : 1}
                    strokeDasharray={arm.control === 'give-way' ? '1 0.7' : undefined}
                    data-line={arm.control}
                />
            )}
        </g>
    );
}
