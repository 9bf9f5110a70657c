import type { Rules, SeriesAsked, WayOut } from '@/api/types';
import { usual } from '@/rules/speed';

/** One of a row as the page keeps it in its address. */
export interface Part {
    /** A routine, or a slip road on or off. */
    what: string;
    /** From the end of the one before, m. */
    at: number;
    /** Limit of its road, or speed of the road a slip road leads onto or off, in the unit of the rules. */
    speed: number;
    /** Way out of what all ways lead out of. */
    exit?: WayOut;
    /** Length of a slip road, m. */
    slip?: number;
}

/** So many in a row at the most: as the tool takes. */
export const MOST_PARTS = 12;

const EXITS: readonly string[] = ['left', 'ahead', 'right', 'back'] satisfies WayOut[];
const SLIP_M = 300;

export const isSlip = ({ what }: Pick<Part, 'what'>): boolean => what === 'join' || what === 'leave';

/** What cannot be read is left out: an address typed by hand must not break the page. */
export function readRow(raw: string): Part[] {
    try {
        const said: unknown = JSON.parse(raw);
        const ofNumbers = (one: Partial<Part> | null): one is Part => typeof one?.what === 'string' && Number.isFinite(one.at) && Number.isFinite(one.speed);
        return (Array.isArray(said) ? (said as Partial<Part>[]) : [])
            .filter(ofNumbers)
            .slice(0, MOST_PARTS)
            .map(({ what, at, speed, exit, slip }) => ({
                ...{ what, at, speed },
                ...(exit && EXITS.includes(exit) ? { exit } : {}),
                ...(isSlip({ what }) ? { slip: Number.isFinite(slip) ? slip! : SLIP_M } : {}),
            }));
    } catch {
        return [];
    }
}

/** Those a page begins with, written in mph. */
export const rowBeginning = (row: Part[], rules: Rules): string => JSON.stringify(row.map((one) => ({ ...one, speed: usual(one.speed, rules.speed_unit) })));

/** The same as the tool is asked: of the first nothing is before it to come of. */
export function askedRow(row: Part[], rules: Rules): NonNullable<SeriesAsked['parts']> {
    const field = (name: string) => `${name}_${rules.speed_unit}`;
    return row.map(({ what, at, speed, exit, slip }, i) => {
        const joins = row[i - 1]?.what === 'join';
        const distance = i === 0 ? {} : { distance_m: at };
        if (what === 'join')
            return {
                tool: 'join' as const,
                ...distance,
                slip_length_m: slip ?? SLIP_M,
                [field('main_speed')]: speed,
                ...(i === 0 ? { [field('entry_speed')]: Math.round(speed * 0.65) } : {}),
            };
        if (what === 'leave') return { tool: 'leave' as const, ...distance, slip_length_m: slip ?? SLIP_M, ...(joins ? {} : { [field('main_speed')]: speed }) };
        return { tool: 'approach' as const, ...distance, routine: what as never, [field('limit')]: speed, ...(exit ? { exit } : {}) };
    });
}

/** A change of what one of them is: what belongs to it and to no other goes with it. */
export function turnedInto(part: Part, what: string, hasExit: boolean): Part {
    const { exit, slip, ...rest } = part;
    return {
        ...rest,
        what,
        ...(hasExit ? { exit: exit ?? 'ahead' } : {}),
        ...(isSlip({ what }) ? { slip: slip ?? SLIP_M } : {}),
    };
}
