import { describe, expect, it } from 'vitest';
import { alsoSaid, countWords } from './counted';

describe('what was counted', () => {
    it('says every count and decision in words', () => {
        expect(countWords({ what: 'rear-looks', number: 14, seconds: 182 })).toBe('14 rear looks in 182 s: 4.6 a minute');
        expect(countWords({ what: 'gaps-let-go', number: 2, seconds: 5 })).toBe('let 2 gaps of 5.0 s go');
        const gap = (seconds: number) => ({ what: 'gaps-let-go', number: 1, seconds }) as Parameters<typeof alsoSaid>[0]['counts'][number];
        expect(alsoSaid({ decisions: {}, counts: [gap(3.1), gap(4.4)] }, {})).toEqual(['let gaps of 3.1, 4.4 s go']);
        const mark = { what: 'wait', number: 1, seconds: 9 } as Parameters<typeof alsoSaid>[0]['counts'][number];
        expect(alsoSaid({ decisions: { 'let-go': mark }, counts: [mark] }, { 'let-go': 'let somebody go' })).toEqual(['let somebody go', 'waited 9.0 s']);
    });
});
