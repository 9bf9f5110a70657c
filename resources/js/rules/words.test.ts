import { describe, expect, it } from 'vitest';
import { inWords } from './words';

const britain = { words: {}, keeps: 'left', speed_unit: 'mph' } as const;
const elsewhere = { words: { 'slip road': 'ramp', junction: 'intersection', 'T-junction': 'T-intersection' }, keeps: 'right', speed_unit: 'kmh' } as const;

describe('texts of the interface in the words of the place', () => {
    it('says the pack’s word, with a capital where the text has one, and the text’s own where the pack has none', () => {
        expect(inWords('{Slip road} before the {junction}', britain)).toBe('Slip road before the junction');
        expect(inWords('{Slip road} before the {junction}', elsewhere)).toBe('Ramp before the intersection');
        expect(inWords('At a {T-junction}, by the {kerb}', elsewhere)).toBe('At a T-intersection, by the kerb');
    });

    it('knows sides and speeds', () => {
        expect(inWords('{near}, then {off}, {mph:20} more', britain)).toBe('left, then right, 20 mph more');
        expect(inWords('{near}, then {off}, {mph:20} more', elsewhere)).toBe('right, then left, 32 km/h more');
    });

    it('leaves a text without braces as it is', () => {
        expect(inWords('Nothing to say', elsewhere)).toBe('Nothing to say');
    });
});
