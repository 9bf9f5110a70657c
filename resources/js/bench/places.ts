import type { FastRoad, RoadFacts, RoutineCode, Rules } from '@/api/types';
import { limitOf } from '@/rules/rules';
import { atPlace } from './approach';
import { addressOf } from './pages';

/** Only what is known: the rest is as the page begins. */
const known = <T extends object>(values: T): { [K in keyof T]?: NonNullable<T[K]> } =>
    Object.fromEntries(Object.entries(values).filter(([, value]) => value !== undefined && value !== null)) as { [K in keyof T]?: NonNullable<T[K]> };

/** The page of the bench that shows a place, in its state. */
export function placeAddress(planned: 'approach' | FastRoad, road: RoadFacts, routine: RoutineCode, rules: Rules): string {
    const mph = rules.speed_unit === 'mph';
    const slope = road.gradient === undefined ? undefined : Math.round(road.gradient * 100);
    const main = mph ? road.main_speed_mph : road.main_speed_kmh;
    const limit = limitOf(road, rules);
    switch (planned) {
        case 'approach':
            return addressOf('approach', atPlace({ ...road, routine }, rules), rules);
        case 'join': {
            const { slip_length_m: slip, limit_change_m: sign = 0, solid_line_m: solid = slip, slip_angle_deg: angle } = road;
            const entry = mph ? road.entry_speed_mph : road.entry_speed_kmh;
            return addressOf('join', known({ slip, entry, main, slope, sign, solid, angle, others: '[]' }), rules);
        }
        case 'leave': {
            const { slip_length_m: slip, bend_radius_m: radius, bend_from_m: bend, lower_limit_m: lower, lanes = 1, next_turn: turn = 'none' } = road;
            const end = mph ? road.end_speed_mph : road.end_speed_kmh;
            return addressOf('leave', known({ slip, end, main, slope, radius, bend, lower, lanes, turn }), rules);
        }
        case 'overtake':
            return addressOf('overtake', known({ limit, other: 0, oncoming: limit, slope }), rules);
        case 'lane-change': {
            const to = rules.routines.find((one) => one.code === routine)?.asked_with.to;
            return addressOf('lane-change', known({ speed: limit, limit, slope, to, others: '[]' }), rules);
        }
    }
}
