import type { PriorityAsked, WayOut } from '@/api/types';

/** Who else is at a line of a crossroads, as a page keeps it in its address. */
export interface AtLine {
    line: Line;
    /** As they see it. */
    goes: WayOut;
    came: Came;
}

export type Line = NonNullable<NonNullable<PriorityAsked['vehicles']>[number]['line']>;
/** In the order in which they stand round us, against the clock. */
export const LINES: Record<Line, string> = { right: 'On the right', opposite: 'Opposite', left: 'On the left' };

export const WAYS: Record<WayOut, string> = { left: 'left', ahead: 'straight on', right: 'right', back: 'back' };

/** Nobody counts seconds at a line: before us, with us, or after. So many seconds apart nobody sees it otherwise. */
export const CAME = { before: 'before us', together: 'with us', after: 'after us' };
export type Came = keyof typeof CAME;
const APART_S = 4;
const HERE_S: Record<Came, number> = { before: 2 * APART_S, together: APART_S, after: 0 };

/** What cannot be read is left out, and a second at the same line: an address typed by hand must not break the page. */
export function readLines(raw: string): AtLine[] {
    try {
        const said: unknown = JSON.parse(raw);
        const read = (Array.isArray(said) ? (said as (Partial<AtLine> | null)[]) : []).filter(
            (one): one is AtLine => one?.line !== undefined && one.line in LINES && one.goes !== undefined && one.goes in WAYS,
        );
        return read
            .filter((one, i) => read.findIndex(({ line }) => line === one.line) === i)
            .map(({ line, goes, came }) => ({ line, goes, came: came in CAME ? came : 'together' }));
    } catch {
        return [];
    }
}

/** The same as the tool is asked. */
export const askedLines = (at: AtLine[]): Pick<PriorityAsked, 'vehicles' | 'wait_s'> => ({
    wait_s: HERE_S.together,
    vehicles: at.map(({ line, goes, came }) => ({ line, goes, wait_s: HERE_S[came] })),
});
