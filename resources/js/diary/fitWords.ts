import type { Between, Fit, FreeTime } from '@/api/types';

/** One sentence about a time: bad where it cannot be, tight where something would be late, plain otherwise. */
export interface FitSaid {
    text: string;
    tone: 'bad' | 'tight' | 'plain';
}

const minutes = (number: number): string => (number === 1 ? '1 minute' : `${number} minutes`);

function drive({ free_minutes: free, travel_minutes: travel, short_minutes: short }: Between, side: 'after' | 'before', who: string): FitSaid | null {
    // What overlaps is said as a clash.
    if (free < 0) return null;
    if (travel === null) {
        return { text: `${minutes(free)} ${side} ${who}; how long the drive is, is not known: an address is not on the map.`, tone: 'plain' };
    }
    if (short > 0) return { text: `${minutes(short)} too few ${side} ${who}: the drive takes ${minutes(travel)}.`, tone: 'tight' };
    const way = side === 'after' ? `from ${who}` : `on to ${who}`;
    return { text: `${minutes(travel)}’ drive ${way}, ${free === travel ? 'none' : minutes(free - travel)} to spare.`, tone: 'plain' };
}

/** How light it is, where that is not day from beginning to end. */
export function lightWords({ light_at_start: start, light_at_end: end }: Pick<FreeTime, 'light_at_start' | 'light_at_end'>): string | null {
    if (start === null || end === null || (start === 'day' && end === 'day')) return null;
    if (start === end) return start === 'night' ? 'in the dark' : 'at dusk';
    return end === 'night' ? 'ends in the dark' : end === 'dusk' ? (start === 'day' ? 'ends at dusk' : 'begins in the dark') : 'begins before it is light';
}

/** What a time would mean for a lesson, in the order in which it matters. */
export function fitWords(fit: Fit): FitSaid[] {
    const said: (FitSaid | null)[] = fit.clashes.map((text) => ({ text, tone: 'bad' }));
    said.push(...fit.notes.map((text): FitSaid => ({ text, tone: 'tight' })));
    said.push(fit.before && drive(fit.before, 'after', fit.before.name), fit.after && drive(fit.after, 'before', fit.after.name));
    const light = lightWords(fit);
    if (light) said.push({ text: `${light[0]!.toUpperCase()}${light.slice(1)}.`, tone: 'plain' });
    const told = said.filter((one) => one !== null);
    const weight = { bad: 0, tight: 1, plain: 2 };
    return told.length > 0 ? told.sort((a, b) => weight[a.tone] - weight[b.tone]) : [{ text: 'Free, with nothing else that day.', tone: 'plain' }];
}
