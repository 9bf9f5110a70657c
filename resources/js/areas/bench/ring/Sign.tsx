import type { Side } from '@/api/types';
import { geometry, type Point } from './geometry';
import { bend, type RingState } from '@/bench/ring';

interface Props {
    kind: 'direction-sign' | 'lane-sign' | 'markings' | 'line';
    state: RingState;
    /** Our approach lane. */
    lane: number;
    keeps: Side;
}

const NAME = 10;

/** A sign as it stands at the road: the junction as a plan, the lanes with their arrows, the arrows on the road, the line. */
export function Sign({ kind, state, lane, keeps }: Props) {
    return (
        <svg viewBox="-60 -48 120 96" width={120} height={96} aria-hidden="true">
            {kind === 'direction-sign' ? (
                <Plan state={state} keeps={keeps} />
            ) : kind === 'line' ? (
                <GiveWay />
            ) : (
                <Lanes state={state} lane={lane} keeps={keeps} onRoad={kind === 'markings'} />
            )}
        </svg>
    );
}

const short = (name: string, most: number) => (name.length > most ? `${name.slice(0, most - 1)}…` : name);

/** The plan of the junction with the names at its arms; the way we want is the bold one. */
function Plan({ state, keeps }: { state: RingState; keeps: Side }) {
    const { at, seen, ring } = geometry(state, keeps);
    const radius = ring ? 9 : 0;
    const spoke = (angle: number, length: number): [Point, Point] => [at(radius, angle), at(length, angle)];
    return (
        <g>
            <rect x={-58} y={-46} width={116} height={92} rx={6} fill="var(--paper)" stroke="var(--ink)" strokeWidth={2} />
            {ring && <circle r={radius} fill="none" stroke="var(--ink)" strokeWidth={5} />}
            {state.arms.map((arm) => {
                const [[x1, y1], [x2, y2]] = spoke(seen(arm.angle), 22);
                return <line key={arm.name} x1={x1} y1={y1} x2={x2} y2={y2} stroke="var(--ink)" strokeWidth={arm.name === state.to ? 7 : 4} />;
            })}
            {state.arms
                .filter((arm) => arm.name !== state.from)
                .map((arm) => {
                    const [x, y] = at(27, seen(arm.angle));
                    return (
                        <text
                            key={arm.name}
                            x={x > 12 ? 55 : x < -12 ? -55 : 0}
                            y={Math.abs(x) > 12 ? y - 7 : Math.min(42, Math.max(-34, y))}
                            fontSize={NAME}
                            fontWeight={arm.name === state.to ? 800 : 500}
                            textAnchor={x > 12 ? 'end' : x < -12 ? 'start' : 'middle'}
                            fill="var(--ink)"
                            stroke="var(--paper)"
                            strokeWidth={3}
                            paintOrder="stroke"
                        >
                            {short(arm.name, Math.abs(x) > 12 ? 8 : 16)}
                        </text>
                    );
                })}
        </g>
    );
}

/** Our lanes side by side with the arrows for what is painted on them; ours is framed. */
function Lanes({ state, lane, keeps, onRoad }: { state: RingState; lane: number; keeps: Side; onRoad: boolean }) {
    const { zero, flip } = geometry(state, keeps);
    const own = state.arms.find((arm) => arm.name === state.from)!;
    const width = 112 / own.lanes.length;
    return (
        <g>
            <rect
                x={-58}
                y={-46}
                width={116}
                height={92}
                rx={onRoad ? 0 : 6}
                fill={onRoad ? 'var(--road)' : 'var(--paper)'}
                stroke="var(--ink)"
                strokeWidth={onRoad ? 0 : 2}
            />
            {own.lanes.map((drawn, i) => {
                // Lane 1 is at the nearside: on the left where traffic keeps left.
                const x = flip * (-56 + width * (i + 0.5));
                const bends = [
                    ...new Set((drawn.to.length ? drawn.to : []).map((name) => bend(zero, state.arms.find((arm) => arm.name === name)?.angle ?? 0))),
                ];
                return (
                    <g key={i} transform={`translate(${x},0)`}>
                        {i + 1 === lane && !onRoad && (
                            <rect x={-width / 2 + 3} y={-42} width={width - 6} height={84} rx={4} fill="var(--wash)" stroke="var(--now)" strokeWidth={2.5} />
                        )}
                        {i > 0 && (
                            <line
                                x1={(flip * -width) / 2}
                                x2={(flip * -width) / 2}
                                y1={-42}
                                y2={42}
                                stroke={onRoad ? 'var(--paper)' : 'var(--ink)'}
                                strokeDasharray={onRoad ? '8 6' : undefined}
                            />
                        )}
                        <g stroke={onRoad ? 'var(--paper)' : 'var(--ink)'} strokeWidth={4} fill="none" strokeLinecap="round" strokeLinejoin="round">
                            {bends.length === 0 && <path d="M0,38 V-10" />}
                            {bends.map((to) => {
                                const side = to * flip;
                                return (
                                    <path
                                        key={to}
                                        d={
                                            to === 0
                                                ? 'M0,38 V-14 M-6,-7 L0,-15 L6,-7'
                                                : `M0,38 V8 Q0,-2 ${side * 10},-2 H${side * 14} M${side * 9},-9 L${side * 16},-2 L${side * 9},5`
                                        }
                                    />
                                );
                            })}
                        </g>
                        {!onRoad &&
                            drawn.to.slice(0, 3).map((name, n) => (
                                <text key={name} y={-32 + n * 10} fontSize={9} textAnchor="middle" fontWeight={name === state.to ? 800 : 500} fill="var(--ink)">
                                    {short(name, Math.max(4, Math.floor(width / 6)))}
                                </text>
                            ))}
                    </g>
                );
            })}
        </g>
    );
}

function GiveWay() {
    return <path d="M-40,-34 H40 L0,36 Z" fill="var(--paper)" stroke="var(--ink)" strokeWidth={9} strokeLinejoin="round" />;
}
