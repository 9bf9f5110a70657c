import type { ReactNode } from 'react';
import type { Answer } from '@/api/tools';
import type { FastRoad, RoadFacts, Rules } from '@/api/types';
import { speedWords } from '@/rules/speed';
import { inWords } from '@/rules/words';
import { spoken } from '@/strip/words';
import { JoinPicture } from './JoinPicture';
import { LeavePicture } from './LeavePicture';

/** What a fast road asks, as it is told: a picture where there is one, one sentence, one number, and what is behind them. */
interface Told {
    picture: ReactNode;
    says: string;
    /** The one number and what it is of; null where there is none. */
    number: { value: string; of: string } | null;
    behind: string;
}

export function told(data: Answer<FastRoad>, road: RoadFacts, rules: Rules): Told {
    const { keeps, length_unit: unit } = rules;
    const far = (metres: number) => spoken(metres, unit);
    const fast = (speed: number) => speedWords(speed, rules.speed_unit);
    if (data.tool === 'join') {
        const short = data.speed_short_mps >= 0.25 ? `, ${fast(data.speed_short_mps)} below the traffic` : '';
        return {
            picture: (
                <JoinPicture answer={data} slip={road.slip_length_m ?? 0} {...{ keeps, unit, words: fast }} seconds={data.choice_s} onDrag={() => undefined} />
            ),
            says: data.message,
            number: { value: fast(data.speed_at_end_mps), of: inWords('at the end of the {slip road}', rules) },
            behind: `In gear ${data.gear}${short}. The ${far(data.counts_m)} that count need ${data.accel_needed_mps2.toFixed(1)} m/s², the car can do ${data.accel_available_mps2.toFixed(1)}. The main road is seen from ${far(data.view_from_m)} before the end.`,
        };
    }
    if (data.tool === 'leave') {
        const signal = data.events.find((event) => event.kind === 'signal')?.at_m ?? 0;
        const bend = data.bend_speed_mps === null ? '' : ` ${fast(data.bend_speed_mps)} before the bend.`;
        return {
            picture: <LeavePicture answer={data} slip={road.slip_length_m ?? 0} {...{ keeps, unit, words: fast }} toGo={0} />,
            says: inWords(`Signal ${far(signal)} before the {slip road}. No brake on the main road.${bend}`, rules),
            number: { value: far(signal), of: inWords('before the {slip road}: signal', rules) },
            behind: `${data.message} Left to the second half: ${data.late_half_decel_mps2.toFixed(1)} m/s². Lane ${data.slip_lane}. ${data.slip_lane_reason}`,
        };
    }
    if (data.tool === 'overtake') {
        const after = data.point_of_no_return_s === null ? '' : ` No way back after ${data.point_of_no_return_s.toFixed(1)} s.`;
        return {
            picture: null,
            says: data.message,
            number: data.sight_needed_m === null ? null : { value: far(data.sight_needed_m), of: 'of clear road' },
            behind: `The other drives at ${fast(data.other_speed_mps)}.${after} Dropping back is a right decision.`,
        };
    }
    const move = data.checks.find((check) => check.at === 'move')?.time_s ?? 0;
    const metres = data.options.find((option) => option.kind === 'wait')?.metres_m ?? 0;
    return {
        picture: null,
        says: data.message,
        number: { value: `${move.toFixed(0)} s`, of: 'of mirrors, signal and shoulder before the move' },
        behind: `The whole change takes ${far(metres)} at the limit: ${data.checks.map((check) => check.at.replace('-', ' ')).join(', ')}.`,
    };
}
