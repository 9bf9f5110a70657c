import type { Drawing, LanesAsked, RoadFacts, RoutineCode, RoutineLine, Rules } from '@/api/types';
import { questions, type Question } from '@/api/questions';
import type { Asked } from '@/api/tools';
import { asked, lanes } from '@/bench/ring';
import { limitOf } from '@/rules/rules';
import { speedField } from '@/rules/speed';

/** What is asked of the core for the judgement at a place. */

/** The gap tool’s name for what a routine waits for, if it waits for a gap. */
export const manoeuvreOf = (routine: RoutineCode, rules: Rules): RoutineLine['manoeuvre'] =>
    rules.routines.find((one) => one.code === routine)?.manoeuvre ?? null;

/** Long enough to say nothing of itself: only the least gap is asked for. */
const FAR_M = 200;

/** The road whose traffic is waited for; as fast as ours where nobody has said how fast it is. */
export function roadMet(manoeuvre: NonNullable<RoutineLine['manoeuvre']>, road: RoadFacts, rules: Rules) {
    const met = manoeuvre === 'turn-across' ? undefined : road.road_met;
    const isKnown = met?.limit_mph !== undefined || met?.limit_kmh !== undefined;
    return { met, isKnown, limit: met && isKnown ? limitOf(met, rules) : limitOf(road, rules), gradient: road.gradient ?? 0 };
}

/** The law is the place’s, the practice that of who is taught. */
export function gapAsked(manoeuvre: NonNullable<RoutineLine['manoeuvre']>, road: RoadFacts, rules: Rules, pack = rules.pack): Asked<'gap'> {
    const { met, limit, gradient } = roadMet(manoeuvre, road, rules);
    return {
        ...{ pack, practice: rules.practice, manoeuvre, other_distance_m: FAR_M, gradient },
        [speedField(rules.speed_unit).replace('speed', 'other_speed')]: limit,
        ...(met ? { road_met: met } : {}),
    };
}

/** What a kept drawing asks; null for one of before this was kept, whose address says it. Whether it is still understood, the core says. */
const askedOf = ({ asked: kept }: Drawing): LanesAsked | null => (kept?.tool === 'lanes' ? kept.inputs : null);

/** The road as it was kept, taught as it is taught now. */
export const lanesAsked = (drawing: Drawing, rules: Rules): LanesAsked => ({
    ...(askedOf(drawing) ?? asked(lanes(rules).read(new URLSearchParams(drawing.state)), rules, speedField(rules.speed_unit))),
    practice: rules.practice,
});

/** What is asked of the core for the judgement at a place, to be fetched ahead. */
export function judgementQuestions(routine: RoutineCode, road: RoadFacts, drawings: Drawing[], rules: Rules, pack = rules.pack): Question[] {
    const manoeuvre = manoeuvreOf(routine, rules);
    const drawn = drawings.find((drawing) => drawing.page === 'lanes');
    return [
        ...(manoeuvre ? [questions.tool('gap', gapAsked(manoeuvre, road, rules, pack))] : []),
        ...(drawn ? [questions.tool('lanes', lanesAsked(drawn, rules))] : []),
    ];
}
