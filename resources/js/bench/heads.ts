import type { LightsAsked } from '@/api/types';

type Asked = NonNullable<LightsAsked['heads']>[number];

/** A head of traffic lights in view, as a page keeps it in its address. */
export interface Head {
    arrow: Arrow;
    shows: Shows;
    /** It stands over or beside another lane. */
    other: boolean;
}

export const ARROWS = { full: 'Full light', left: 'Arrow to the left', ahead: 'Arrow ahead', right: 'Arrow to the right', back: 'Arrow back' };
export type Arrow = keyof typeof ARROWS;

export const SHOWN: Record<Shows, string> = { green: 'green', amber: '{amber}', 'red-amber': 'red and {amber}', red: 'red', off: 'not lit' };
export type Shows = NonNullable<Asked['shows']>;

export const MOST_HEADS = 8;

/** What cannot be read is left out: an address typed by hand must not break the page. */
export function readHeads(raw: string): Head[] {
    try {
        const said: unknown = JSON.parse(raw);
        return (Array.isArray(said) ? (said as (Partial<Head> | null)[]) : [])
            .filter((one): one is Head => one?.arrow !== undefined && one.arrow in ARROWS && one.shows !== undefined && one.shows in SHOWN)
            .slice(0, MOST_HEADS)
            .map(({ arrow, shows, other }) => ({ arrow, shows, other: (other as unknown) === true }));
    } catch {
        return [];
    }
}

/** The same as the tool is asked; nothing where none is said. */
export const askedHeads = (heads: Head[]): Pick<LightsAsked, 'heads'> =>
    heads.length === 0
        ? {}
        : { heads: heads.map(({ arrow, shows, other }) => ({ shows, ...(arrow === 'full' ? {} : { arrow }), ...(other ? { another_lane: true } : {}) })) };
