import { useRef, useState } from 'react';
import type { LanesAnswer, Side, Step } from '@/api/types';
import { glyph } from './AsMet';
import { Glyph } from '@/strip/glyphs';
import { geometry, movesOf, ISLAND, LANE, LONG } from './geometry';
import { Paint, type ChosenLane } from './Paint';
import type { RingState } from '@/bench/ring';

type Geometry = ReturnType<typeof geometry>;

/** What the marks on the way need of the geometry. */
interface DuePlaces {
    at: Geometry['at'];
    place: Pick<Geometry, 'onArm' | 'ringAt' | 'laneAt'>;
}

interface Props {
    state: RingState;
    answer: LanesAnswer | undefined;
    keeps: Side;
    /** Another usable approach lane to be shown as a ghost. */
    ghost: number | null;
    onTurn: (name: string, angle: number) => void;
    onTo: (name: string) => void;
    /** The lane taken up to be painted, if one is. */
    chosen: ChosenLane | null;
    onChoose: (chosen: ChosenLane | null) => void;
    onPaint: (name: string) => void;
}

/** The roundabout from above: arms by angle, lanes by number, the chosen way with its moves out. Arms are dragged round. */
export function RingPicture({ state, answer, keeps, ghost, onTurn, onTo, chosen, onChoose, onPaint }: Props) {
    const svg = useRef<SVGSVGElement>(null);
    const [held, setHeld] = useState<string | null>(null);
    const { at, seen, flip, lanes, outer, ring, zero, way, size, ...place } = geometry(state, keeps);
    const other = answer?.acceptable_lanes.find((lane) => lane.lane === ghost);
    const turn = (event: React.PointerEvent) => {
        const matrix = svg.current?.getScreenCTM();
        if (held === null || !matrix) return;
        const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
        const degrees = (Math.atan2(y, flip * x) * 180) / Math.PI - 90;
        onTurn(held, Math.round(((((degrees + zero) % 360) + 360) % 360) / 5) * 5);
    };
    return (
        <svg
            ref={svg}
            viewBox={`${-size} ${-size} ${size * 2} ${size * 2}`}
            className="bg-raised border-hair max-h-[34rem] w-full rounded-xl border-2"
            role="img"
            aria-label={answer ? `From ${state.from} in lane ${answer.approach_lane} to ${state.to}, leaving in lane ${answer.exit_lane}` : 'The roundabout'}
            onPointerMove={turn}
            onPointerUp={() => setHeld(null)}
        >
            {state.arms.map((arm) => {
                return <path key={arm.name} d={place.road(arm)} stroke="var(--road)" strokeWidth={3} fill="var(--road)" />;
            })}
            <circle r={outer} fill="var(--road)" />
            {ring && (
                <>
                    {Array.from({ length: lanes - 1 }, (_, i) => (
                        <circle key={i} r={outer - (i + 1) * LANE} fill="none" stroke="var(--paper)" strokeWidth={0.8} strokeDasharray="5 4" />
                    ))}
                    <circle r={ISLAND} fill={state.mini ? 'var(--paper)' : 'var(--verge)'} stroke="var(--line)" strokeWidth={1.2} />
                    {answer?.links.map((link) => (
                        <path key={`${link.sector}.${link.lane}.${link.to_lane}`} d={place.paint(link)} fill="none" stroke="var(--paper)" strokeWidth={1.8} />
                    ))}
                </>
            )}
            {other && (
                <path d={way(other.lane, place.roughly(other.path), other.exit_lane)} fill="none" stroke="var(--quiet)" strokeWidth={2} strokeDasharray="2 3" />
            )}
            {answer && (
                <path
                    d={way(answer.approach_lane, movesOf(answer.met), answer.exit_lane)}
                    fill="none"
                    stroke="var(--now)"
                    strokeWidth={3.2}
                    strokeLinejoin="round"
                />
            )}
            <Paint state={state} place={place} chosen={chosen} onChoose={onChoose} />
            {answer && <Due answer={answer} at={at} place={place} outer={outer} ring={ring} />}
            {state.arms.map((arm) => {
                const [x, y] = at(outer + LONG + 10, seen(arm.angle));
                const ours = arm.name === state.from;
                const wanted = arm.name === state.to;
                return (
                    <g
                        key={arm.name}
                        data-arm={arm.name}
                        className="cursor-grab touch-none"
                        onPointerDown={(event) => {
                            event.currentTarget.setPointerCapture(event.pointerId);
                            if (chosen) onPaint(arm.name);
                            else if (!ours) setHeld(arm.name);
                        }}
                        onPointerUp={() => setHeld(null)}
                        onDoubleClick={() => !chosen && onTo(arm.name)}
                    >
                        <circle cx={x} cy={y} r={14} fill="transparent" />
                        <circle cx={x} cy={y} r={4} fill={wanted ? 'var(--now-fill)' : 'var(--paper)'} stroke="var(--ink)" strokeWidth={1.4} />
                        <text
                            x={x}
                            y={y + (y > 0 ? 12 : -8)}
                            textAnchor={x > size / 2 ? 'end' : x < -size / 2 ? 'start' : 'middle'}
                            fontSize={8}
                            fontWeight={ours || wanted ? 800 : 500}
                            fill="var(--ink)"
                            stroke="var(--raised)"
                            strokeWidth={2.5}
                            paintOrder="stroke"
                        >
                            {arm.name}
                        </text>
                    </g>
                );
            })}
        </svg>
    );
}

/** Where looks and signals are due: on the roundabout at their place, before it on the arm in their order. */
function Due({ answer, at, place, outer, ring }: { answer: LanesAnswer; outer: number; ring: boolean } & DuePlaces) {
    const before = answer.met.filter((met) => met.at_m > 0 && (met.mirrors.length > 0 || met.kind === 'signal'));
    const round = ring ? answer.met.filter((met) => met.angle_deg !== null) : [];
    const marks: { key: string; x: number; y: number; step: Step; side: Side | null }[] = [
        ...before.map((met, i) => {
            const [x, y] = place.onArm(0, outer + LONG - 6 - (i * (LONG - 16)) / Math.max(1, before.length - 1 || 1), 26);
            return { key: `b${i}`, x, y, step: glyph(met), side: met.side };
        }),
        ...round.map((met, i) => {
            const [x, y] = at(
                place.ringAt(place.laneAt(answer.approach_lane, movesOf(answer.met), met.angle_deg!)) + (met.kind === 'signal' ? -11 : 11),
                met.angle_deg!,
            );
            return { key: `r${i}`, x, y, step: glyph(met), side: met.side };
        }),
    ];
    return (
        <g color="var(--ink)" aria-hidden="true">
            {marks.map((mark) => (
                <g key={mark.key} transform={`translate(${mark.x.toFixed(1)},${mark.y.toFixed(1)})`}>
                    <circle r={6.5} fill="var(--paper)" stroke="var(--ink)" strokeWidth={0.8} />
                    <g transform="scale(0.42)">
                        <Glyph step={mark.step} side={mark.side ?? 'right'} />
                    </g>
                </g>
            ))}
        </g>
    );
}
