import { describe, expect, it } from 'vitest';
import { axisTicks } from './axis';

const asked = (from: number, to: number, width: number, zero: string, unit: 'm' | 'ft' = 'm') =>
    axisTicks({ from, to, width, zero, unit, metresInAUnit: unit === 'm' ? 1 : 0.3048, x: (metres) => ((from - metres) / (from - to)) * width });

const half = (words: string) => (words.length * 8) / 2;

describe('the ticks of an axis', () => {
    it.each([
        [100, -120, 358, 'it begins'],
        [100, -120, 760, 'it begins'],
        [60, -8, 358, 'line'],
        [-8, 60, 1100, 'our front'],
        [-30, 640, 358, 'start'],
        [300, -300, 700, 'us'],
        [5, -200, 400, 'end'],
        [37, -11.3, 240, 'slip road'],
    ])('from %s to %s m on %s px run into no other label, and say zero and the far end', (from, to, width, zero) => {
        for (const unit of ['m', 'ft'] as const) {
            const ticks = asked(from, to, width, zero, unit);
            const said = ticks.flatMap(({ label }) => (label ? [label] : [])).sort((a, b) => a.x - b.x);
            said.slice(1).forEach((label, i) => expect(label.x - half(label.words)).toBeGreaterThanOrEqual(said[i]!.x + half(said[i]!.words) + 8));
            said.forEach(({ x, words }) => expect(x - half(words) >= 0 && x + half(words) <= width).toBe(true));
            expect(said.map(({ words }) => words)).toContain(zero);
            expect(said.some(({ words }) => words.endsWith(` ${unit}`))).toBe(true);
        }
    });

    it('have one step to both sides, and stay on the axis', () => {
        const metres = asked(150, -130, 800, 'it begins').map((tick) => tick.metres);
        const steps = new Set(metres.slice(1).map((at, i) => at - metres[i]!));
        expect(steps.size).toBe(1);
        expect(Math.min(...metres)).toBeGreaterThanOrEqual(-130);
        expect(Math.max(...metres)).toBeLessThanOrEqual(150);
    });

    it('are labelled all of them where there is room', () => {
        expect(asked(60, -8, 1100, 'line').map(({ label }) => label?.words)).toEqual(['line', '10', '20', '30', '40', '50', '60 m']);
    });
});
