import type { Counted } from '@/api/types';

/** What the one key does while the car moves; chosen while it is parked. */
export type Instrument = 'moments' | 'rear-looks' | 'ahead-2' | 'ahead-4' | 'gaps' | 'wait' | 'length';

export const INSTRUMENTS: { key: Instrument; words: string; how: string }[] = [
    { key: 'moments', words: 'Moments', how: 'Press at whatever is to be told when parked.' },
    { key: 'rear-looks', words: 'Rear looks', how: 'Press at each look in the interior mirror.' },
    { key: 'ahead-2', words: 'Gap ahead, 2 s', how: 'Press as the car ahead passes something, and again as we do.' },
    { key: 'ahead-4', words: 'Gap ahead, 4 s', how: 'Press as the car ahead passes something, and again as we do.' },
    { key: 'gaps', words: 'Gaps we wait for', how: 'Press as each car passes our nose; the last one behind us, once gone.' },
    { key: 'wait', words: 'A wait', how: 'Press as it begins, and again as it ends.' },
    { key: 'length', words: 'A length', how: 'Keep the speed. Press where it begins, and again where it ends.' },
];

/** What the key counted or timed, to be written down. */
export interface NewCount {
    what: Counted;
    number: number;
    seconds: number;
}

export interface Reading {
    /** The one thing on the screen. */
    shows: string;
    /** Complete so far. */
    counts: NewCount[];
    /** Gaps between cars, s: which of them was taken is said when parked. */
    gaps: number[];
}

/** Timed by hand: tenths. */
const tenths = (seconds: number): number => Math.round(seconds * 10) / 10;

/** A time between two presses, for each pair. */
function pairs(presses: readonly number[]): number[] {
    const found: number[] = [];
    for (let i = 1; i < presses.length; i += 2) found.push(tenths((presses[i]! - presses[i - 1]!) / 1000));
    return found.filter((seconds) => seconds >= 0.1);
}

/**
 * What presses come to, by the instrument. Times in ms of one clock: of each press, and from when to when the car moved.
 *
 * @param speed that is kept over a length, m/s
 */
export function read(instrument: Instrument, presses: readonly number[], from: number, to: number, speed: number): Reading {
    const timed = pairs(presses);
    const last = timed[timed.length - 1];
    const open = presses.length % 2 === 1;
    const shown = (words: (seconds: number) => string): string => (open ? '…' : last === undefined ? '0' : words(last));
    const counts = (what: Counted, number: (seconds: number) => number): NewCount[] => timed.map((seconds) => ({ what, number: number(seconds), seconds }));
    const gaps = presses.slice(1).map((at, i) => tenths((at - presses[i]!) / 1000));
    switch (instrument) {
        case 'rear-looks': {
            const seconds = tenths((to - from) / 1000);
            return { shows: String(presses.length), counts: seconds >= 1 ? [{ what: 'rear-looks', number: presses.length, seconds }] : [], gaps: [] };
        }
        case 'ahead-2':
        case 'ahead-4':
            return { shows: shown((seconds) => seconds.toFixed(1)), counts: counts('counted-gap', () => (instrument === 'ahead-2' ? 2 : 4)), gaps: [] };
        case 'gaps':
            return {
                shows: gaps.length === 0 ? (presses.length === 0 ? '0' : '…') : gaps[gaps.length - 1]!.toFixed(1),
                counts: [],
                gaps: gaps.filter((gap) => gap >= 0.1),
            };
        case 'wait':
            return { shows: shown((seconds) => seconds.toFixed(1)), counts: counts('wait', () => 1), gaps: [] };
        case 'length':
            return {
                shows: shown((seconds) => String(Math.round(seconds * speed))),
                counts: counts('length', (seconds) => Math.round(seconds * speed)),
                gaps: [],
            };
        case 'moments':
            return { shows: String(presses.length), counts: [], gaps: [] };
    }
}

/** Those of before were let go; the one at that place was taken, or none of them. */
export const gapsSaid = (gaps: readonly number[], taken: number | null): NewCount[] =>
    gaps.slice(0, taken === null ? undefined : taken + 1).map((seconds, i) => ({ what: i === taken ? 'gap-taken' : 'gaps-let-go', number: 1, seconds }));
