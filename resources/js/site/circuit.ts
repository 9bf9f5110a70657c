import type { Asked } from '@/api/tools';
import type { Centre, CircuitAnswer, DrivesMeasured, KeptCircuit, LearnerLine, Pack, RoutineCode, SignedIn, SiteLine } from '@/api/types';
import { armWords } from './draft';
import { lies, type Lying } from './map';

/** A way taken into a circuit, and how often it is driven. */
export interface Taken {
    site: string;
    from: string;
    to: string;
    routine: RoutineCode;
    rounds: number;
}

/** As often as a way is driven where nobody says otherwise. */
export const ROUNDS = 2;
export const MOST_ROUNDS = 9;

/** More the tool does not take. */
export const MOST_WAYS = 40;

/** No part of it has one in it: ids of arms are short words, sites are numbered, routines are written with hyphens. */
const BETWEEN = '~';

export const written = ({ site, from, to, routine, rounds }: Taken): string => [site, from, to, routine, rounds].join(BETWEEN);

/** What stands in an address, where the sites still have such a way and lie somewhere. */
export function read(said: string, sites: readonly SiteLine[]): Taken | null {
    const [site, from, to, routine, rounds] = said.split(BETWEEN);
    const found = sites.find(({ id }) => id === site);
    const way = found?.ways.find((one) => one.from === from && one.to === to && one.routine === routine);
    if (!found || !way || !lies(found)) return null;
    const number = Math.round(Number(rounds));
    return { site: found.id, from: way.from, to: way.to, routine: way.routine, rounds: number >= 1 && number <= MOST_ROUNDS ? number : ROUNDS };
}

export const isSameWay = (one: Omit<Taken, 'rounds'>, other: Omit<Taken, 'rounds'>): boolean =>
    one.site === other.site && one.from === other.from && one.to === other.to && one.routine === other.routine;

/** By the roads one comes and goes by where there are several, told apart by the compass where two have one name. */
export function wayName(site: SiteLine, { from, to }: Pick<Taken, 'from' | 'to'>): string {
    const name = (id: string) => {
        const arm = site.arms.find((one) => one.id === id);
        return arm ? armWords(arm, site.arms) : '';
    };
    return site.arms.length < 3 ? site.name : `${site.name}: ${name(from)} to ${name(to)}`;
}

export type Asking = Asked<'circuit'>;
export type Order = NonNullable<Asking['order']>;
export type Part = CircuitAnswer['parts'][number];

/** Where a circuit starts or ends. */
export interface Mark extends Lying {
    id: string;
    name: string;
    kind: 'school' | 'pick-up' | 'centre';
}

/** "the school", "Orla’s pick-up", "Lantern Hill test centre". */
export const markWords = ({ kind, name }: Mark): string => (kind === 'school' ? 'the school' : kind === 'pick-up' ? `${name}’s pick-up` : name);

/** All of them that lie somewhere: the school, the test centres, the pick-ups. */
export function marksOf(school: SignedIn['school'], centres: readonly Centre[] = [], learners: readonly LearnerLine[] = []): Mark[] {
    const pickUps = learners.map(({ id, name, pick_up_latitude_deg: latitude_deg, pick_up_longitude_deg: longitude_deg }) => ({
        ...{ id, name, latitude_deg, longitude_deg },
        kind: 'pick-up' as const,
    }));
    const all = [{ ...school, id: 'school', kind: 'school' as const }, ...centres.map((centre) => ({ ...centre, kind: 'centre' as const })), ...pickUps];
    return all.filter(lies).map(({ id, name, kind, latitude_deg, longitude_deg }) => ({ id, name, kind, latitude_deg, longitude_deg }));
}

export interface Planned {
    start: Mark;
    /** Null: back where it starts. */
    end: Mark | null;
    minutes: number;
    order: Order;
    taken: readonly Taken[];
    sites: readonly SiteLine[];
    pack: Pack;
    /** Drives that were measured. */
    measured?: DrivesMeasured['measured'];
    /** When the lesson begins, UTC; without it no busy hour is counted. */
    startsAt?: string | null;
}

export const degrees = ({ latitude_deg, longitude_deg }: Lying) => ({ latitude_deg, longitude_deg });

/** What the tool is asked: each way by its place in the list, where its site lies, and as hard as the site says. */
export function askedOf({ start, end, minutes, order, taken, sites, pack, measured, startsAt }: Planned): Asking {
    const school = (mark: Mark) => (mark.kind === 'school' ? null : undefined);
    const ends = { start: school(start), end: school(end ?? start) };
    const legs = legsOf(
        measured ?? [],
        taken.map(({ site }, i) => ({ id: String(i), site })),
        ends,
    );
    return {
        pack,
        minutes,
        order,
        start: degrees(start),
        ...(end ? { end: degrees(end) } : {}),
        ...(startsAt ? { starts_at: startsAt } : {}),
        ...(legs.length > 0 ? { legs } : {}),
        ways: taken.flatMap((one, i) => {
            const site = sites.find(({ id }) => id === one.site);
            const way = site?.ways.find((other) => isSameWay({ ...other, site: one.site }, one));
            if (!site || !way || !lies(site)) return [];
            return [
                {
                    id: String(i),
                    name: wayName(site, one),
                    routine: one.routine,
                    rounds: one.rounds,
                    difficulty: way.score,
                    in: degrees(site),
                },
            ];
        }),
    };
}

/** As many as the tool takes. */
const MOST_LEGS = 400;

/** The site at which it starts or ends; null where the school lies, undefined at neither. */
interface Ends {
    start: string | null | undefined;
    end: string | null | undefined;
}

/** What was measured between the ways, and from where it starts or to where it ends. */
export function legsOf(measured: DrivesMeasured['measured'], ways: readonly { id: string; site: string }[], { start, end }: Ends): NonNullable<Asking['legs']> {
    const at = (site: string | null, here: string | null | undefined, word: 'start' | 'end') => [
        ...(site === here ? [word] : []),
        ...ways.flatMap((one) => (one.site === site ? [one.id] : [])),
    ];
    return measured
        .flatMap(({ from, to, time_s, distance_m }) =>
            at(from, start, 'start').flatMap((one) => at(to, end, 'end').map((other) => ({ from: one, to: other, time_s, distance_m }))),
        )
        .slice(0, MOST_LEGS);
}

/** Where a circuit that is kept is opened: all of it stands in the address, and can be changed there without changing what is kept. */
export function addressOf({ id, minutes, order, ways, centre_id }: Pick<KeptCircuit, 'id' | 'minutes' | 'order' | 'ways' | 'centre_id'>): string {
    const search = new URLSearchParams({ kept: id, minutes: String(minutes), order, ...(centre_id ? { from: centre_id } : {}) });
    ways.forEach((way) => search.append('way', written(way)));
    return `/places/circuit?${search.toString()}`;
}

/** The parts that belong to one way, one after the other: the drive there, then what is done there. */
export const partsOf = (parts: readonly Part[], way: string): Part[] => parts.filter((part) => part.way === way);

/** Seconds from the first to the last of them. */
export const lasting = (parts: readonly Part[]): number => (parts.length === 0 ? 0 : parts.at(-1)!.until_s - parts[0]!.from_s);

/** Whole minutes of each way, the drive there in it, so that together they are the time from the start to the last of them. */
export function minutesOf(parts: readonly Part[], order: readonly string[]): number[] {
    let before = 0;
    return order.map((way) => {
        const until = Math.round((partsOf(parts, way).at(-1)?.until_s ?? before * 60) / 60);
        const minutes = Math.max(1, until - before);
        before += minutes;
        return minutes;
    });
}
