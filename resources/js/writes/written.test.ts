import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Lesson, Promised } from '@/api/types';
import { answer, server } from '@/testing/answers';
import { sendWritten, withWritten, wordsOf, type Written } from './written';

const lesson: Lesson = answer('demo-lesson-planned');
const promise: Promised = {
    id: '01a22249-0000-7000-8000-000000000001',
    lesson_id: lesson.id,
    kind: 'homework',
    text: 'Say the mirrors aloud',
    routine: 'turn-left',
    step: 'mirrors',
    kept_at: null,
};
const remedy: Lesson['remedies'][number] = {
    id: '01a22249-0000-7000-8000-000000000002',
    lesson_id: lesson.id,
    routine: 'emerge-left',
    step: 'look',
    fault: null,
    what: 'drill',
};
const [first, second] = [lesson.items[0]!, lesson.items[1]!];
const ALL: Written[] = [
    { kind: 'facts', facts: { aim: 'Look twice' } },
    { kind: 'facts', facts: { aim_step: 'speed' } },
    { kind: 'facts', facts: { state: 'done' } },
    { kind: 'facts', facts: { went_well: 'The look', worked_on: null, self_rating: { look: 'unaided' } } },
    { kind: 'promise', promise },
    { kind: 'promise-off', promise },
    { kind: 'promise-back', promise },
    { kind: 'promise-kept', promise },
    { kind: 'remedy', remedy },
    { kind: 'remedy-off', remedy },
    { kind: 'order', items: [...lesson.items].reverse().map(({ id }) => id) },
    { kind: 'minutes', item: first.id, minutes: 3 },
    { kind: 'item-off', item: first },
    { kind: 'item-back', item: first },
];

afterEach(() => vi.unstubAllGlobals());

describe('a lesson with what was written on it', () => {
    it.each(ALL.map((written) => [wordsOf(written), written] as const))('is the same however often it is written: %s', (_, written) => {
        const once = withWritten(lesson, written);
        expect(withWritten(once, written)).toEqual(once);
        // Nothing else is touched, and what was read stays as it was.
        expect(once.rounds).toBe(lesson.rounds);
        expect(lesson).toEqual(answer('demo-lesson-planned'));
    });

    it('shows the aim in words and as what it works on, each without the other', () => {
        const both = withWritten(withWritten(lesson, { kind: 'facts', facts: { aim_routine: 'emerge-left', aim_step: 'look' } }), ALL[0]!);
        expect([both.aim, both.works_on]).toEqual(['Look twice', { routine: 'emerge-left', step: 'look' }]);
        expect(withWritten(both, { kind: 'facts', facts: { aim_step: null } }).works_on).toEqual({ routine: 'emerge-left', step: null });
        expect(
            withWritten(withWritten(both, { kind: 'facts', facts: { aim_step: null } }), { kind: 'facts', facts: { aim_routine: null } }).works_on,
        ).toBeNull();
    });

    it('has what was agreed, taken off and put back', () => {
        const agreed = withWritten(lesson, { kind: 'promise', promise });
        expect(agreed.promises.at(-1)).toEqual(promise);
        const off = withWritten(agreed, { kind: 'promise-off', promise });
        expect(off.promises).toEqual(lesson.promises);
        expect(withWritten(off, { kind: 'promise-back', promise }).promises.at(-1)).toEqual(promise);
    });

    it('has a remedy once, known by what it is for and not by its number', () => {
        const given = withWritten(withWritten(lesson, { kind: 'remedy', remedy }), { kind: 'remedy', remedy: { ...remedy, id: 'another' } });
        expect(given.remedies).toHaveLength(lesson.remedies.length + 1);
        expect(withWritten(given, { kind: 'remedy-off', remedy: { ...remedy, id: 'the server’s' } }).remedies).toEqual(lesson.remedies);
    });

    it('has its places in the order given, those that are not named last', () => {
        const turned = withWritten(lesson, { kind: 'order', items: [second.id, first.id] });
        expect(turned.items.slice(0, 2).map(({ id }) => id)).toEqual([second.id, first.id]);
        expect(turned.items).toHaveLength(lesson.items.length);
    });
});

describe('what was written, sent', () => {
    it('asks what each address takes', async () => {
        const sent = server({ [`GET lessons/${lesson.id}`]: { ...lesson, remedies: [{ ...remedy, id: 'the-servers' }] } });
        for (const written of ALL) await sendWritten(lesson.id, written);
        expect(sent.filter((one) => one.method !== 'GET').map(({ method, path, body }) => [method, path, body])).toEqual([
            ['PATCH', `lessons/${lesson.id}`, { aim: 'Look twice' }],
            ['PATCH', `lessons/${lesson.id}`, { aim_step: 'speed' }],
            ['PATCH', `lessons/${lesson.id}`, { state: 'done' }],
            ['PATCH', `lessons/${lesson.id}`, { went_well: 'The look', worked_on: null, self_rating: { look: 'unaided' } }],
            [
                'POST',
                `lessons/${lesson.id}/promises`,
                { id: promise.id, kind: 'homework', text: 'Say the mirrors aloud', routine: 'turn-left', step: 'mirrors' },
            ],
            ['DELETE', `promises/${promise.id}`, undefined],
            ['POST', `promises/${promise.id}/restore`, undefined],
            ['PATCH', `promises/${promise.id}`, { kept: true }],
            ['POST', `lessons/${lesson.id}/remedies`, { routine: 'emerge-left', step: 'look', fault: null, what: 'drill' }],
            ['DELETE', 'remedies/the-servers', undefined],
            ['PUT', `lessons/${lesson.id}/order`, { items: lesson.items.map(({ id }) => id).reverse() }],
            ['PATCH', `items/${first.id}`, { minutes: 3 }],
            ['DELETE', `items/${first.id}`, undefined],
            ['POST', `items/${first.id}/restore`, undefined],
        ]);
    });

    it('counts what is gone already as taken off, and nothing else', async () => {
        server({ [`DELETE promises/${promise.id}`]: 404, [`DELETE items/${first.id}`]: 403, [`PATCH lessons/${lesson.id}`]: 404 });
        await sendWritten(lesson.id, { kind: 'promise-off', promise });
        await expect(sendWritten(lesson.id, { kind: 'item-off', item: first })).rejects.toMatchObject({ status: 403 });
        await expect(sendWritten(lesson.id, ALL[0]!)).rejects.toMatchObject({ status: 404 });
    });
});
