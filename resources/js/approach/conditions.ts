import type { ApproachAsked, RoadFacts, Rules } from '@/api/types';
import { questions } from '@/api/questions';
import type { Conditions } from '@/bench/approach';
import { limitOf } from '@/rules/rules';
import { speedField, speedRange } from '@/rules/speed';

/** What a plan begins with where nobody has changed anything: at the limit, on the slope as it is, dry, nobody close behind. */
export const ordinary = (road: RoadFacts, rules: Rules): Conditions => ({
    speed: limitOf(road, rules),
    gradient: road.gradient ?? 0,
    surface: 'dry',
    follower: false,
});

/** What belongs to place, car and practice, under conditions; speed and gradient are asked for over their whole range. */
export function under({ gradient: _, ...inputs }: ApproachAsked, { surface, follower }: Pick<Conditions, 'surface' | 'follower'>): ApproachAsked {
    return { ...inputs, surface, close_follower: follower };
}

/** What a slider of speed asks, to be fetched ahead. */
export const overSpeed = (inputs: ApproachAsked, gradient: number, unit: Rules['speed_unit']) =>
    questions.range('approach', { ...inputs, gradient }, { field: speedField(unit), ...speedRange(unit) });
