import { readAt } from '@/ui/columns';
import { Draggable } from './Draggable';
import { Body, Mark, RoadFrame } from './RoadFrame';
import { LORRY_M, CAR_M, nameOf, type Other } from '@/bench/others';
import type { LaneChangeAnswer } from '@/api/types';
import { useRules } from '@/rules/rules';
import { inMps } from '@/rules/speed';

interface Props {
    option: LaneChangeAnswer['options'][number];
    others: Other[];
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

/** Both lanes as seen from above, moving along with us: who closes in comes nearer, who is slower falls back. */
export function ChangePicture({ option, others, unit, to, seconds, room, onDrag }: Props) {
    const rules = useRules();
    const ours = readAt(option.motion.time_s, option.motion.ours_m, seconds);
    const over = readAt(option.motion.time_s, option.motion.over, seconds);
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
                            const front = other.at + inMps(other.speed, unit) * seconds - ours;
                            const long = (other.long ? LORRY_M : CAR_M) * scale.perMetre;
                            return (
                                <Draggable key={i} perMetre={scale.perMetre} onDrag={(by) => onDrag(i, by)}>
                                    <Body x={x(front)} y={target} long={Math.max(14, long)} />
                                    <text
                                        x={x(front) - long / 2}
                                        y={to === 'left' ? 22 : 30 + LANE * 2 + 16}
                                        fontSize={13}
                                        textAnchor="middle"
                                        fill="var(--quiet)"
                                    >
                                        {nameOf(other, i, rules)}
                                    </text>
                                </Draggable>
                            );
                        })}
                        <Body x={x(0)} y={own + (target - own) * over} long={Math.max(14, 4.2 * scale.perMetre)} ours />
                    </>
                );
            }}
        </RoadFrame>
    );
}
