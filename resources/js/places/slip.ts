import type { RoadFacts, Rules, Side } from '@/api/types';
import { withLimit } from '@/rules/rules';

/** A slip road as its form holds it: numbers as typed, speeds in the unit of the rules. */
export interface SlipValues {
    slip_length_m: string;
    entry: string;
    main: string;
    end: string;
    limit_change_m: string;
    slip_angle_deg: string;
    solid_line_m: string;
    bend_radius_m: string;
    bend_from_m: string;
    lower_limit_m: string;
    lanes: string;
    next_turn: Side | '';
}

const text = (value: number | undefined, otherwise = '') => value?.toString() ?? otherwise;

export function slipFrom(road: RoadFacts, rules: Rules): SlipValues {
    const mph = rules.speed_unit === 'mph';
    return {
        slip_length_m: text(road.slip_length_m, '200'),
        entry: text(mph ? road.entry_speed_mph : road.entry_speed_kmh, mph ? '30' : '50'),
        main: text(mph ? road.main_speed_mph : road.main_speed_kmh, mph ? '60' : '100'),
        end: text(mph ? road.end_speed_mph : road.end_speed_kmh),
        limit_change_m: text(road.limit_change_m),
        slip_angle_deg: text(road.slip_angle_deg),
        solid_line_m: text(road.solid_line_m),
        bend_radius_m: text(road.bend_radius_m),
        bend_from_m: text(road.bend_from_m),
        lower_limit_m: text(road.lower_limit_m),
        lanes: text(road.lanes),
        next_turn: road.next_turn ?? '',
    };
}

/** The fields of the place that its tool takes; what is left empty takes the named default. */
export function slipOf(planned: string | null, slip: SlipValues, road: { slope: number; limit: number }, rules: Rules): RoadFacts {
    const gradient = road.slope ? { gradient: road.slope / 100 } : {};
    if (planned !== 'join' && planned !== 'leave') return { ...withLimit({}, road.limit, rules), ...gradient };
    const unit = rules.speed_unit;
    const numbers = (fields: Record<string, string>) =>
        Object.fromEntries(Object.entries(fields).flatMap(([key, raw]) => (raw === '' ? [] : [[key, Number(raw)]])));
    const { slip_length_m, limit_change_m, slip_angle_deg, solid_line_m, bend_radius_m, bend_from_m, lower_limit_m, lanes } = slip;
    const main = { slip_length_m, [`main_speed_${unit}`]: slip.main };
    return planned === 'join'
        ? { ...gradient, ...numbers({ ...main, [`entry_speed_${unit}`]: slip.entry, limit_change_m, slip_angle_deg, solid_line_m }) }
        : {
              ...gradient,
              ...numbers({
                  ...main,
                  [`end_speed_${unit}`]: slip.end,
                  bend_radius_m,
                  bend_from_m: bend_radius_m === '' ? '' : bend_from_m,
                  lower_limit_m,
                  lanes,
              }),
              ...(slip.next_turn ? { next_turn: slip.next_turn } : {}),
          };
}
