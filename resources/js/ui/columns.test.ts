import { describe, expect, it } from 'vitest';
import { readAt } from './columns';

describe('reading between the rows of columns', () => {
    it.each([
        [15, 1],
        [20, 2],
        [99, 3],
        [1, 0],
    ])('places that fall: at %d it is %d', (place, said) => expect(readAt([30, 20, 10], [3, 2, 0], place)).toBe(said));

    it.each([
        [0.5, 15],
        [1, 20],
        [-4, 10],
        [9, 40],
    ])('places that grow: at %d it is %d', (place, said) => expect(readAt([0, 1, 2], [10, 20, 40], place)).toBe(said));

    it('takes one row, none, and two rows at one place', () => {
        expect(readAt([5], [7], 99)).toBe(7);
        expect(readAt([], [], 1)).toBe(0);
        expect(readAt([2, 1, 1, 0], [4, 3, 1, 0], 1)).toBe(3);
        expect(readAt([2, 1, 1, 0], [4, 3, 1, 0], 0.5)).toBe(0.5);
    });
});
