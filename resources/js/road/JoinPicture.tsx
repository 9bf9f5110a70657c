import { useSay } from '@/rules/rules';
import { readAt } from '@/ui/columns';
import { Draggable } from './Draggable';
import { LANE, MainRoad, turned } from './MainRoad';
import { Body, Mark, RoadFrame, type RoadScale } from './RoadFrame';
import { SpeedBand } from './SpeedBand';
import type { JoinAnswer } from '@/api/types';

interface Props {
    answer: JoinAnswer;
    slip: number;
    keeps: 'left' | 'right';
    unit: 'm' | 'ft';
    seconds: number;
    words: (speed: number) => string;
    /** One of the others was dragged so many metres along the road. */
    onDrag: (which: number, by: number) => void;
}

const HEIGHT = 290;
const BEYOND = 60;
/** The main road's two lanes; the slip comes in from the kerb's side. */
const MAIN = { top: 120, bottom: 120 + 2 * LANE };
const SLIP_FAR = 34;

/** The slip road from above with everybody on it at one moment, what is seen over the shoulder, and where it is decided. */
export function JoinPicture({ answer, slip, keeps, unit, seconds, words, onDrag }: Props) {
    const say = useSay();
    const here = readAt(answer.profile.time_s, answer.profile.distance_m, seconds);
    const near = MAIN.top - LANE / 2;
    /** Middle of the slip: far from the road at its beginning, beside it where the solid line ends, in it beyond where we join. */
    const slipY = (metres: number) => {
        // Without a solid line nothing says where the slip comes beside the road: half-way is drawn.
        const beside = answer.solid_until_m >= slip ? slip / 2 : Math.max(answer.solid_until_m, answer.join_at_m, 20);
        if (metres >= beside) return near - (near - SLIP_FAR) * Math.min(1, (metres - beside) / Math.max(1, slip - beside));
        return near;
    };
    const ourY = (metres: number) => (metres >= answer.join_at_m ? slipY(metres) : near + LANE * Math.min(1, (answer.join_at_m - metres) / 35));
    const y = turned(keeps);
    const glance = answer.glances.filter((one) => one.at.endsWith('shoulder')).find((one) => Math.abs(one.time_s - seconds) < 0.6);
    return (
        <RoadFrame
            from={slip + 20}
            to={-BEYOND}
            height={HEIGHT}
            unit={unit}
            zero="end"
            label={`${say('The {slip road}')} after ${seconds.toFixed(1)} s: ${Math.round(here)} m to its end at ${words(readAt(answer.profile.time_s, answer.profile.speed_mps, seconds))}`}
        >
            {(scale) => (
                <>
                    <path d={surface(scale, slip, slipY, y)} fill="var(--road)" />
                    <MainRoad scale={scale} top={MAIN.top} y={y} />
                    <line
                        x1={scale.x(slip)}
                        x2={scale.x(Math.min(slip, answer.solid_until_m))}
                        y1={y(MAIN.top)}
                        y2={y(MAIN.top)}
                        stroke="var(--paper)"
                        strokeWidth={3}
                    />
                    <line
                        x1={scale.x(Math.min(slip, answer.solid_until_m))}
                        x2={scale.x(0)}
                        y1={y(MAIN.top)}
                        y2={y(MAIN.top)}
                        stroke="var(--paper)"
                        strokeWidth={2.5}
                        strokeDasharray="8 6"
                    />
                    {glance && (
                        <polygon
                            points={`${scale.x(here)},${y(ourY(here))} ${scale.x(here + 150)},${y(MAIN.top)} ${scale.x(here + 90)},${y(MAIN.bottom)}`}
                            fill="var(--now-fill)"
                            opacity={0.35}
                        />
                    )}
                    <Mark x={scale.x(answer.limit_sign_m)} top={Math.min(y(4), y(40))} bottom={y(slipY(answer.limit_sign_m))} text="limit lifts" />
                    <Mark x={scale.x(answer.choose_from_m)} top={keeps === 'left' ? 22 : 180} bottom={y(MAIN.bottom)} text="seen from here" />
                    {answer.decide_by_m !== null && answer.others.length > 0 && (
                        <Mark x={scale.x(answer.decide_by_m)} top={keeps === 'left' ? 40 : 164} bottom={y(MAIN.bottom)} text="decided" strong />
                    )}
                    <Mark x={scale.x(answer.join_at_m)} top={keeps === 'left' ? 58 : 148} bottom={y(MAIN.top + LANE)} text="join" />
                    {answer.others.map((other, i) => {
                        const front = valueAt(answer.profile.time_s, other.distance_m, seconds);
                        const long = Math.max(12, other.length_m * scale.perMetre);
                        return (
                            <Draggable key={other.name} perMetre={scale.perMetre} onDrag={(by) => onDrag(i, by)}>
                                <Body x={scale.x(front)} y={y(MAIN.top + LANE / 2)} long={long} />
                                <text
                                    x={scale.x(front) - long / 2}
                                    y={y(MAIN.bottom) + (keeps === 'left' ? 16 : -6)}
                                    fontSize={13}
                                    textAnchor="middle"
                                    fill="var(--quiet)"
                                >
                                    {other.name}
                                </text>
                            </Draggable>
                        );
                    })}
                    <Body x={scale.x(here)} y={y(ourY(here))} long={Math.max(12, 4.2 * scale.perMetre)} ours />
                    <SpeedBand
                        scale={scale}
                        distances={answer.profile.distance_m}
                        speeds={answer.profile.speed_mps}
                        gears={answer.profile.gear}
                        top={222}
                        bottom={HEIGHT - 8}
                        words={words}
                    />
                    <line x1={scale.x(here)} x2={scale.x(here)} y1={206} y2={HEIGHT - 8} stroke="var(--now)" strokeWidth={1.5} strokeDasharray="2 4" />
                </>
            )}
        </RoadFrame>
    );
}

function surface(scale: RoadScale, slip: number, slipY: (metres: number) => number, y: (value: number) => number): string {
    const places = Array.from({ length: 30 }, (_, i) => slip + 20 - ((slip + 20) * i) / 29);
    const far = places.map((metres) => `${scale.x(metres).toFixed(1)},${y(slipY(metres) - LANE / 2).toFixed(1)}`);
    const near = [...places].reverse().map((metres) => `${scale.x(metres).toFixed(1)},${y(slipY(metres) + LANE / 2).toFixed(1)}`);
    return `M${far.join(' L')} L${scale.x(-25).toFixed(1)},${y(MAIN.top).toFixed(1)} L${near.join(' L')} Z`;
}

const valueAt = (times: number[], column: number[], seconds: number) => readAt(times, column, seconds);
