import { describe, expect, it } from 'vitest';
import { forCore, read, typed } from './vehicle';

describe('a car as it is typed', () => {
    it('leaves out what is left empty, takes a comma for a point, and hands on what is no number to be refused by name', () => {
        expect(read({ tyre: ' 185/65R15 ', final_drive: '4,2', ratios: '3.7 2 1,36', mass_kg: '', height_m: 'tall' })).toEqual({
            tyre: '185/65R15',
            final_drive: 4.2,
            ratios: [3.7, 2, 1.36],
            height_m: 'tall',
        });
    });

    it('comes back from the server as it was typed', () => {
        const figures = { tyre: '185/65R15', final_drive: 4.2, ratios: [3.7, 2, 1.36], wheelbase_m: 2.52 };
        expect(read(typed(figures))).toEqual(figures);
    });

    it('goes to the core with its figures beside its size', () => {
        const car = { name: 'A', transmission: 'manual' as const, controls: 'standard' as const, length_m: 4, width_m: 1.8, figures: { mass_kg: 1200 } };
        expect(forCore(car)).toEqual({ name: 'A', transmission: 'manual', controls: 'standard', length_m: 4, width_m: 1.8, mass_kg: 1200 });
    });
});
