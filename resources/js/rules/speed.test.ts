import { describe, expect, it } from 'vitest';
import { converted, fromMps, inMps, saidSpeed, speedField, speedRange, speedWords, usual } from './speed';

describe('speeds in the unit of the rules', () => {
    it('says what is given in metres a second, and comes back to it', () => {
        expect(speedWords(13.4112, 'mph')).toBe('30 mph');
        expect(speedWords(13.8889, 'kmh')).toBe('50 km/h');
        for (const unit of ['mph', 'kmh'] as const) for (const value of [5, 33, 120]) expect(fromMps(inMps(value, unit), unit)).toBeCloseTo(value, 9);
        expect(saidSpeed(29.6, 'mph')).toBe('30 mph');
    });

    it('begins a page with a speed that would be signed there, within what its sliders offer', () => {
        expect([20, 30, 40, 60, 70].map((mph) => usual(mph, 'kmh'))).toEqual([30, 50, 60, 100, 110]);
        expect(usual(56, 'mph')).toBe(56);
        for (const mph of [15, 30, 56, 70]) {
            expect(usual(mph, 'kmh')).toBeGreaterThanOrEqual(speedRange('kmh').from);
            expect(usual(mph, 'kmh')).toBeLessThanOrEqual(speedRange('kmh').to);
        }
    });

    it('converts by the exact mile and names the field', () => {
        expect(converted(30, 'mph', 'kmh')).toBeCloseTo(48.28032, 5);
        expect(converted(50, 'kmh', 'kmh')).toBe(50);
        expect([speedField('mph'), speedField('kmh')]).toEqual(['speed_mph', 'speed_kmh']);
    });
});
