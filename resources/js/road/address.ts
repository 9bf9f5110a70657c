import type { FastRoad, RoadFacts, RoutineCode, Rules } from '@/api/types';
import { limitOf } from '@/rules/rules';

const SLIP = { join: 250, leave: 250 } as const;

/** The page of the bench that shows a place without an approach, in its state. */
export function roadAddress(planned: FastRoad, road: RoadFacts, routine: RoutineCode, rules: Rules): string {
    const mph = rules.speed_unit === 'mph';
    const known = (values: Record<string, number | string | undefined>) =>
        new URLSearchParams(Object.entries(values).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]]))).toString();
    const slope = road.gradient === undefined ? undefined : Math.round(road.gradient * 100);
    const main = mph ? road.main_speed_mph : road.main_speed_kmh;
    const limit = limitOf(road, rules);
    switch (planned) {
        case 'join':
            return `/bench/join?${known({ slip: road.slip_length_m ?? SLIP.join, entry: mph ? road.entry_speed_mph : road.entry_speed_kmh, main, slope, sign: road.limit_change_m ?? 0, solid: road.solid_line_m ?? road.slip_length_m, angle: road.slip_angle_deg, others: '[]' })}`;
        case 'leave':
            return `/bench/leave?${known({ slip: road.slip_length_m ?? SLIP.leave, end: mph ? road.end_speed_mph : road.end_speed_kmh, main, slope, radius: road.bend_radius_m, bend: road.bend_from_m, lower: road.lower_limit_m, lanes: road.lanes ?? 1, turn: road.next_turn ?? 'none' })}`;
        case 'overtake':
            return `/bench/overtake?${known({ limit, other: 0, oncoming: limit, slope })}`;
        case 'lane-change':
            return `/bench/lane-change?${known({ speed: limit, limit, slope, to: rules.routines.find((one) => one.code === routine)?.asked_with.to, others: '[]' })}`;
    }
}
