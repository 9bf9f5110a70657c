import { readAt } from '@/ui/columns';
import { Body, Mark, RoadFrame } from './RoadFrame';
import type { OvertakeAnswer } from '@/api/types';

interface Props {
    answer: OvertakeAnswer;
    keeps: 'left' | 'right';
    unit: 'm' | 'ft';
    seconds: number;
    /** How far the road is seen, and how fast somebody may come; null where nobody comes the other way. */
    sight: number | null;
    oncoming: number | null;
}

const LANE = 34;
const HEIGHT = 150;
const TOP = 34;

/** Both lanes from above: us, the passed one, whoever may come where the view ends; where the view ends, and where there is no going back. */
export function OvertakePicture({ answer, keeps, unit, seconds, sight, oncoming }: Props) {
    const { profile } = answer;
    const ours = readAt(profile.time_s, profile.ours_m, seconds);
    const other = readAt(profile.time_s, profile.other_m, seconds);
    const coming = sight === null || oncoming === null ? null : sight - oncoming * seconds;
    const far = Math.max(answer.sight_needed_m ?? 0, sight ?? 0, profile.ours_m[profile.ours_m.length - 1]! + 20) * 1.04;
    const ownLane = keeps === 'left' ? TOP + LANE / 2 : TOP + LANE * 1.5;
    const theirLane = keeps === 'left' ? TOP + LANE * 1.5 : TOP + LANE / 2;
    const end = answer.time_s;
    const out = Math.min(1, Math.max(0, seconds / 1.5));
    const back = end === null ? 0 : Math.min(1, Math.max(0, (seconds - (end - 1.5)) / 1.5));
    const y = ownLane + (theirLane - ownLane) * Math.min(out, 1 - back);
    const noReturn = answer.point_of_no_return_s === null ? null : readAt(profile.time_s, profile.ours_m, answer.point_of_no_return_s);
    return (
        <RoadFrame from={-30} to={far} height={HEIGHT} unit={unit} zero="start" label={`After ${seconds.toFixed(1)} s: ${answer.message}`}>
            {(scale) => {
                const { x } = scale;
                return (
                    <>
                        <rect x={0} y={TOP} width={scale.width} height={2 * LANE} fill="var(--road)" />
                        <line x1={0} x2={scale.width} y1={TOP + LANE} y2={TOP + LANE} stroke="var(--paper)" strokeWidth={2} strokeDasharray="14 12" />
                        {sight !== null && (
                            <>
                                <rect x={x(0)} y={TOP - 8} width={Math.max(0, x(sight) - x(0))} height={4} fill="var(--ink)" opacity={0.35} />
                                <Mark x={x(sight)} top={4} bottom={TOP + 2 * LANE} text="seen to here" end={x(sight) > scale.width - 110} />
                            </>
                        )}
                        {answer.sight_needed_m !== null && (
                            <Mark
                                x={x(answer.sight_needed_m)}
                                top={TOP + 2 * LANE - 6}
                                bottom={TOP + 2 * LANE + 24}
                                text="view needed"
                                strong
                                end={x(answer.sight_needed_m) > scale.width - 110}
                            />
                        )}
                        {noReturn !== null && <Mark x={x(noReturn)} top={16} bottom={TOP + 2 * LANE} text="no return" />}
                        {coming !== null && coming > -20 && <Body x={x(coming)} y={theirLane} long={Math.max(12, 4.5 * scale.perMetre)} towards />}
                        <Body x={x(other)} y={ownLane} long={Math.max(12, answer.other_length_m * scale.perMetre)} />
                        <Body x={x(ours)} y={y} long={Math.max(12, answer.our_length_m * scale.perMetre)} ours />
                    </>
                );
            }}
        </RoadFrame>
    );
}
