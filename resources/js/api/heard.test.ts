import { beforeEach, describe, expect, it, vi } from 'vitest';
import { FORM, hear, heard } from './heard';

const NOW = Date.parse('2026-05-20T08:00:00Z');
const answer = (status: number, headers: Record<string, string> = {}) => ({ status, headers: new Headers(headers) });
const at = (minutes: number) => ({ Date: new Date(NOW - minutes * 60_000).toUTCString() });

beforeEach(() => hear(answer(200, { ...at(0), 'X-Contract': FORM }), NOW));

describe('what is heard from the server', () => {
    it.each([
        [null, false],
        [answer(200), true],
        [answer(401), true],
        [answer(422), true],
        [answer(500), true],
        [answer(502), false],
        [answer(503), false],
        [answer(504), false],
    ])('is an answer, or none: case %#', (one, reached) => {
        hear(one, NOW);
        expect(heard.reached.get()).toBe(reached);
    });

    it.each([
        [0, 0],
        [1, 0],
        [2, 0],
        [3, 3],
        [-3, -3],
        [185, 185],
        [-24 * 60, -24 * 60],
    ])('tells a clock that is %i minutes ahead as %i: seconds of a slow network are none', (ahead, said) => {
        hear(answer(200, at(ahead)), NOW);
        expect(heard.clockAhead.get()).toBe(said);
    });

    it('knows another form of speaking by its fingerprint, and nothing by none', () => {
        hear(answer(200, { 'X-Contract': 'another' }), NOW);
        expect(heard.otherForm.get()).toBe(true);
        hear(answer(503), NOW);
        expect(heard.otherForm.get()).toBe(true);
        hear(answer(200, { 'X-Contract': FORM }), NOW);
        expect(heard.otherForm.get()).toBe(false);
    });

    it('is told when it changes, and only then', () => {
        const told = vi.fn();
        const leave = heard.reached.subscribe(told);
        hear(answer(200), NOW);
        expect(told).not.toHaveBeenCalled();
        hear(null, NOW);
        hear(null, NOW);
        hear(answer(200), NOW);
        expect(told).toHaveBeenCalledTimes(2);
        leave();
        hear(null, NOW);
        expect(told).toHaveBeenCalledTimes(2);
    });
});
