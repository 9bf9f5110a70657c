import type { Road, Rules } from '@/api/types';
import { limitOf } from '@/rules/rules';
import { unitWords } from '@/rules/speed';

/** A road in the words of a list: its limit, its line, what is seen. */
export function describe(road: Road, rules: Rules): string {
    if (road.kind === 'slip') return `${road.slip_length_m} m of slip road`;
    const control = 'control' in road ? road.control : undefined;
    return [
        `${limitOf(road, rules)} ${unitWords(rules.speed_unit)} limit`,
        control === 'stop' ? 'stop line' : control === 'give-way' ? 'give-way line' : null,
        road.view_from_m !== undefined ? `view from ${road.view_from_m} m` : road.view ? `${road.view} view` : null,
        road.one_way ? 'one-way' : null,
        road.room_m ? `${road.room_m} m of room` : null,
    ]
        .filter(Boolean)
        .join(', ');
}
