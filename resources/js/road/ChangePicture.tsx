import { useState } from 'react';
import { Body, Mark, RoadFrame } from './RoadFrame';
import { LORRY_M, CAR_M, nameOf, type Other } from './others';
import type { ChangeAnswer } from './types';
import { inMps } from './words';

interface Props {
    option: ChangeAnswer['options'][number];
    others: Other[];
    speed: number;
    unit: 'mph' | 'kmh';
    to: 'left' | 'right';
    seconds: number;
    /** Metres until our lane ends; 0 where it goes on. */
    room: number;
    onDrag: (which: number, by: number) => void;
}

const LANE = 40;
const HEIGHT = 150;
const REACH = 130;
const MOVE_S = 3;

/** Both lanes as seen from above, moving along with us: who closes in comes nearer, who is slower falls back. */
export function ChangePicture({ option, others, speed, unit, to, seconds, room, onDrag }: Props) {
    const [drag, setDrag] = useState<{ which: number; x: number } | null>(null);
    const v = inMps(speed, unit);
    const end = option.speed_mps;
    const a = option.accel_mps2;
    // The speed changes until it is reached, then it is held.
    const changing = a === 0 ? 0 : Math.min(option.time_s, Math.abs((end - v) / a));
    const t = Math.min(seconds, changing);
    const ours = v * t + (a * t * t) / 2 + (seconds > changing ? end * (seconds - changing) : 0);
    const over = Math.min(1, Math.max(0, (seconds - option.time_s) / MOVE_S));
    const target = to === 'left' ? 30 + LANE / 2 : 30 + LANE * 1.5;
    const own = to === 'left' ? 30 + LANE * 1.5 : 30 + LANE / 2;
    return (
        <RoadFrame
            from={-REACH}
            to={REACH}
            height={HEIGHT}
            unit="m"
            zero="us"
            label={`After ${seconds.toFixed(1)} s: ${over >= 1 ? 'in the new lane' : over > 0 ? 'moving over' : 'in our lane'}`}
        >
            {(scale) => {
                const { x } = scale;
                return (
                    <>
                        <rect x={0} y={30} width={scale.width} height={LANE * 2} fill="var(--road)" />
                        <line
                            x1={0}
                            x2={scale.width}
                            y1={30 + LANE}
                            y2={30 + LANE}
                            stroke="var(--paper)"
                            strokeWidth={2}
                            strokeDasharray="16 14"
                            strokeDashoffset={(ours * scale.perMetre) % 30}
                        />
                        {room > 0 && room - ours < REACH && <Mark x={x(room - ours)} top={10} bottom={own + LANE / 2} text="our lane ends" strong />}
                        {others.map((other, i) => {
                            const at = other.at + inMps(other.speed, unit) * seconds - ours;
                            const long = (other.long ? LORRY_M : CAR_M) * scale.perMetre;
                            return (
                                <g
                                    key={i}
                                    className="cursor-grab touch-none"
                                    onPointerDown={(event) => {
                                        event.currentTarget.setPointerCapture(event.pointerId);
                                        setDrag({ which: i, x: event.clientX });
                                    }}
                                    onPointerMove={(event) => {
                                        if (drag?.which !== i || Math.abs(event.clientX - drag.x) < scale.perMetre) return;
                                        onDrag(i, (event.clientX - drag.x) / scale.perMetre);
                                        setDrag({ which: i, x: event.clientX });
                                    }}
                                    onPointerUp={() => setDrag(null)}
                                >
                                    <Body x={x(at)} y={target} long={Math.max(14, long)} />
                                    <text
                                        x={x(at) - long / 2}
                                        y={to === 'left' ? 22 : 30 + LANE * 2 + 16}
                                        fontSize={13}
                                        textAnchor="middle"
                                        fill="var(--quiet)"
                                    >
                                        {nameOf(other, i)}
                                    </text>
                                </g>
                            );
                        })}
                        <Body x={x(0)} y={own + (target - own) * over} long={Math.max(14, 4.2 * scale.perMetre)} ours />
                    </>
                );
            }}
        </RoadFrame>
    );
}
