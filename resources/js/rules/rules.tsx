import { createContext, useContext, type ReactNode } from 'react';
import type { FastRoad, LessonItem, Road, RoadFacts, Round, RoutineLine, Rules, Side } from '@/api/types';
import { useSession } from '@/session/session';
import { inWords } from './words';
import { converted, saidSpeed } from './speed';

const RulesContext = createContext<Rules | null>(null);

/** Other rules than the signed-in user's for what is inside: a lesson may follow its learner's. */
export function RulesOf({ rules, children }: { rules: Rules; children: ReactNode }) {
    return <RulesContext value={rules}>{children}</RulesContext>;
}

export function useRules(): Rules {
    const session = useSession();
    return useContext(RulesContext) ?? session.rules;
}

/** A routine's name in the words of the place; where it is taught under other rules only, in theirs. */
export function useRoutineName(): (code: string) => string {
    const { routines, elsewhere } = useRules();
    return (code) => [...routines, ...elsewhere].find((routine) => routine.code === code)?.title ?? code;
}

/** What a routine is found by: its name, and what goes wrong in it. */
export function useRoutineText(): (code: string) => string {
    const { routines, faults } = useRules();
    const name = useRoutineName();
    return (code) => {
        const wrong = Object.entries(routines.find((routine) => routine.code === code)?.faults ?? {});
        return [name(code), ...wrong.flatMap(([step, codes]) => codes.map((fault) => faults[step]?.[fault] ?? ''))].join(' ');
    };
}

/** What a round was of, in a line: its place; away from every place the routine and its way too. */
export function useRoundTitle(): (round: Pick<Round, 'place_id' | 'place' | 'routine' | 'side'>) => string {
    const name = useRoutineName();
    return ({ place_id, place, routine, side }) => (place_id ? place : [place, name(routine), side].filter(Boolean).join(', '));
}

/** What is known of a routine under the rules in force; undefined where it is taught under other rules only. */
export function useRoutine(code: string | undefined): RoutineLine | undefined {
    return useRules().routines.find((routine) => routine.code === code);
}

/** The side a routine goes to at a place; where it keeps its place, the side that traffic keeps. */
export function sideAt(routine: RoutineLine | undefined, road: RoadFacts | undefined, rules: Rules): Side {
    return (routine?.side_by_exit ? routine.side_by_exit[road?.exit ?? 'ahead'] : routine?.side) ?? rules.keeps;
}

/** What a round at a place of the plan begins with: the place, what it was planned with, and the way out where all ways lead out of it. */
export function drivenAt(item: LessonItem, routine: RoutineLine | undefined) {
    const side = routine?.side_by_exit ? routine.side_by_exit[(item.place.road as RoadFacts).exit ?? 'ahead'] : null;
    return { place_id: item.place.id, place: item.place.name, routine: item.routine, plan: item.plan, side };
}

/** What plans a routine at a place: its approach, as nearly everything, or a tool of fast roads. */
export function usePlanned(): (code: string) => { by: 'approach' | FastRoad; askedWith: Record<string, string> } {
    const { routines } = useRules();
    return (code) => {
        const routine = routines.find((candidate) => candidate.code === code);
        return { by: routine?.planned_by ?? 'approach', askedWith: routine?.asked_with ?? {} };
    };
}

/** What was measured of a road, without what is said about the record itself. */
export function factsOf({ kind: _, version: __, ...facts }: RoadFacts): Omit<RoadFacts, 'kind' | 'version'> {
    return facts;
}

/** A road in two words, for a list. */
export const roadWords = (road: Road, rules: Rules): string =>
    road.kind === 'slip' ? inWords(`{slip road} of ${road.slip_length_m} m`, rules) : saidSpeed(limitOf(road, rules), rules.speed_unit);

/** A road's limit as a number in a unit, whichever it was written in; the town's limit where none is. */
export function limitOf(road: RoadFacts | Pick<RoadFacts, 'limit_mph' | 'limit_kmh'>, rules: Rules): number {
    const [here, there] = rules.speed_unit === 'mph' ? [road.limit_mph, road.limit_kmh] : [road.limit_kmh, road.limit_mph];
    if (here !== undefined) return here;
    return there === undefined ? rules.town_limit : Math.round(converted(there, rules.speed_unit === 'mph' ? 'kmh' : 'mph', rules.speed_unit));
}

/** The same road with its limit written in the place's unit. */
export function withLimit<T extends Pick<RoadFacts, 'limit_mph' | 'limit_kmh'>>(road: T, limit: number, rules: Rules): T {
    const { limit_mph: _, limit_kmh: __, ...rest } = road;
    return { ...rest, [`limit_${rules.speed_unit}`]: limit } as unknown as T;
}

/** Says a text of the interface in the words of the place. */
export function useSay(): (text: string) => string {
    const rules = useRules();
    return (text) => inWords(text, rules);
}
