import type { RoadInputs, Rules } from '@/api/types';
import { withLimit } from '@/app/rules';

/** An ordinary slip road and an ordinary fast road (assumed), for a card that is not about one place. */
export function typical(planned: string, rules: Rules): RoadInputs {
    const mph = rules.speed_unit === 'mph';
    if (planned === 'join')
        return { slip_length_m: 250, ...(mph ? { entry_speed_mph: 30, main_speed_mph: 60 } : { entry_speed_kmh: 50, main_speed_kmh: 100 }) };
    if (planned === 'leave')
        return {
            slip_length_m: 250,
            next_turn: rules.keeps === 'left' ? 'right' : 'left',
            lanes: 2,
            ...(mph ? { main_speed_mph: 70, end_speed_mph: 15 } : { main_speed_kmh: 110, end_speed_kmh: 25 }),
        };
    return withLimit({}, mph ? (planned === 'overtake' ? 60 : 40) : planned === 'overtake' ? 80 : 60, rules);
}
