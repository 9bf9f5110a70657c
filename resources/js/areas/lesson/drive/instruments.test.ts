import { describe, expect, it } from 'vitest';
import { gapsSaid, INSTRUMENTS, read } from './instruments';

/** Times of presses in seconds, as the page has them. */
const ms = (...seconds: number[]) => seconds.map((s) => s * 1000);

describe('the key as an instrument', () => {
    it('counts rear looks over the whole stretch, none of them too', () => {
        expect(read('rear-looks', ms(4, 9, 15), 0, 62_400, 0)).toEqual({
            shows: '3',
            counts: [{ what: 'rear-looks', number: 3, seconds: 62.4 }],
            gaps: [],
        });
        expect(read('rear-looks', [], 0, 30_000, 0).counts).toEqual([{ what: 'rear-looks', number: 0, seconds: 30 }]);
        // Parked again at once: no stretch.
        expect(read('rear-looks', [], 0, 400, 0).counts).toEqual([]);
    });

    it('times the gap ahead by pairs of presses, against the seconds that were wanted', () => {
        expect(read('ahead-2', ms(10), 0, 0, 0)).toMatchObject({ shows: '…', counts: [] });
        expect(read('ahead-2', ms(10, 11.62), 0, 0, 0)).toMatchObject({ shows: '1.6', counts: [{ what: 'counted-gap', number: 2, seconds: 1.6 }] });
        expect(read('ahead-4', ms(10, 14.2, 30, 33.5, 50), 0, 0, 0)).toMatchObject({
            shows: '…',
            counts: [
                { number: 4, seconds: 4.2 },
                { number: 4, seconds: 3.5 },
            ],
        });
    });

    it('takes every press at a junction as a car that passes: the gaps between them, of which one was taken or none', () => {
        const { gaps, shows, counts } = read('gaps', ms(1, 4.1, 8.5, 16.3), 0, 0, 0);
        expect([gaps, shows, counts]).toEqual([[3.1, 4.4, 7.8], '7.8', []]);
        expect(gapsSaid(gaps, 2)).toEqual([
            { what: 'gaps-let-go', number: 1, seconds: 3.1 },
            { what: 'gaps-let-go', number: 1, seconds: 4.4 },
            { what: 'gap-taken', number: 1, seconds: 7.8 },
        ]);
        // What came after the one that was taken is no gap of ours.
        expect(gapsSaid(gaps, 0)).toEqual([{ what: 'gap-taken', number: 1, seconds: 3.1 }]);
        expect(gapsSaid(gaps, null).map(({ what }) => what)).toEqual(['gaps-let-go', 'gaps-let-go', 'gaps-let-go']);
        expect(read('gaps', ms(1), 0, 0, 0)).toMatchObject({ shows: '…', gaps: [] });
    });

    it('makes metres of a time at a speed that is kept, and seconds of a wait', () => {
        expect(read('length', ms(0, 4.5), 0, 0, 13.41)).toMatchObject({ shows: '60', counts: [{ what: 'length', number: 60, seconds: 4.5 }] });
        expect(read('wait', ms(3, 21.26), 0, 0, 0)).toMatchObject({ shows: '18.3', counts: [{ what: 'wait', number: 1, seconds: 18.3 }] });
    });

    it('writes nothing for a press that bounced', () => {
        for (const { key } of INSTRUMENTS.filter((one) => one.key !== 'rear-looks')) expect(read(key, ms(1, 1.01), 0, 0, 13).counts).toEqual([]);
    });
});
