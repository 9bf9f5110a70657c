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
    const lanes = others.some((other) => other.lane === 'beyond') ? 3 : 2;
    const top = lanes === 3 ? 14 : 30;
    /** Middle of a lane, counted from the one we leave. */
    const lane = (from: number) => top + LANE * ((to === 'left' ? lanes - 1 - from : from) + 0.5);
    const [own, target] = [lane(0), lane(1)];
    const laneOf = (other: Other) => (other.lane === 'own' ? own : other.lane === 'beyond' ? lane(2) : target);
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
                        <rect x={0} y={top} width={scale.width} height={LANE * lanes} fill="var(--road)" />
                        {Array.from({ length: lanes - 1 }, (_, i) => (
                            <line
                                key={i}
                                x1={0}
                                x2={scale.width}
                                y1={top + LANE * (i + 1)}
                                y2={top + LANE * (i + 1)}
                                stroke="var(--paper)"
                                strokeWidth={2}
                                strokeDasharray="16 14"
                                strokeDashoffset={(ours * scale.perMetre) % 30}
                            />
                        ))}
                        {room > 0 && room - ours < REACH && <Mark x={x(room - ours)} top={10} bottom={own + LANE / 2} text="our lane ends" strong />}
                        {others.map((other, i) => {
                            const front = other.at + inMps(other.speed, unit) * seconds - ours;
                            const long = (other.long ? LORRY_M : CAR_M) * scale.perMetre;
                            return (
                                <Draggable key={i} perMetre={scale.perMetre} onDrag={(by) => onDrag(i, by)}>
                                    <Body x={x(front)} y={laneOf(other)} long={Math.max(14, long)} />
                                    <text
                                        x={x(front) - long / 2}
                                        y={laneOf(other) + (lanes === 3 || other.lane === 'own' ? 4 : to === 'left' ? -28 : 36)}
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
