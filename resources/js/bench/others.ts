import type { Rules } from '@/api/types';
import { inWords } from '@/rules/words';
import { converted } from '@/rules/speed';

/** Vehicles beside us as a page keeps them in its address. */
export interface Other {
    /** Front bumper to front bumper, + ahead of us, m. */
    at: number;
    /** In the unit of the rules. */
    speed: number;
    long: boolean;
    /** What it seems to be about to do, where that is asked. */
    intends?: Intention;
    /** In which lane, where that is asked; in the one wanted where nothing is said. */
    lane?: OtherLane;
}

export const LANES = { own: 'in our lane', beyond: 'in the lane beyond' };
export type OtherLane = keyof typeof LANES;

export const INTENTIONS = { stays: 'stays', 'moves-over': 'moves over', leaves: 'leaves' };
export type Intention = keyof typeof INTENTIONS;

export const LORRY_M = 16.5;
export const CAR_M = 4.5;
export const MOST = 8;

/** What cannot be read is left out: an address typed by hand must not break the page. */
export function readOthers(raw: string): Other[] {
    try {
        const said: unknown = JSON.parse(raw);
        return Array.isArray(said)
            ? said
                  .filter((one): one is Other => Number.isFinite((one as Other | null)?.at) && Number.isFinite((one as Other | null)?.speed))
                  .slice(0, MOST)
                  .map(({ at, speed, long, intends, lane }) => ({
                      ...{ at, speed, long: (long as unknown) === true },
                      ...(intends && intends in INTENTIONS ? { intends } : {}),
                      ...(lane && lane in LANES ? { lane } : {}),
                  }))
            : [];
    } catch {
        return [];
    }
}

/** Those a page begins with, written in mph. */
export const beginningWith = (others: Other[], rules: Rules): string =>
    JSON.stringify(others.map((one) => ({ ...one, speed: Math.round(converted(one.speed, 'mph', rules.speed_unit)) })));

export const asked = (others: Other[], speedField: string, rules: Rules, more: object = {}) =>
    others.map((one, i) => ({
        name: nameOf(one, i, rules),
        distance_m: one.at,
        [speedField]: one.speed,
        length_m: one.long ? LORRY_M : CAR_M,
        ...(one.intends ? { intends: one.intends } : {}),
        ...more,
        ...(one.lane ? { lane: one.lane } : {}),
    }));

export const nameOf = (one: Other, i: number, rules: Rules) => `${inWords(one.long ? '{lorry}' : 'car', rules)} ${i + 1}`;
