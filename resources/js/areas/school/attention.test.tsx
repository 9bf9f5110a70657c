import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { SchoolLearner } from '@/api/types';
import { answer, server, show } from '@/testing/answers';
import { concernsOf, CONCERNS, whoNeedsAWord } from './attention';
import { WhoNeedsAWord } from './WhoNeedsAWord';

const kept = answer('demo-school-learners');
const NOW = Date.parse('2026-11-30T09:00:00Z');
const outlook: NonNullable<SchoolLearner['outlook']> = {
    verdict: 'not-yet',
    chance: 0.2,
    missing: 3,
    lessons: { low: 4, middle: 9, high: 14 },
    most_lessons: 60,
    in_time: null,
    lessons_by_test: null,
    standstill: null,
};
const still = { gain: -0.02, lessons: 5, steps: 10, marks: 75, reason: 'seldom', message: '20 days between lessons.' } as const;
const learner = (more: Partial<SchoolLearner>): SchoolLearner => ({
    ...kept.learners[0]!,
    name: 'Somebody Made Up',
    last_lesson_at: '2026-11-25T10:00:00Z',
    next_lesson_at: '2026-12-02T10:00:00Z',
    test_at: null,
    outlook,
    ...more,
});

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
    vi.useRealTimers();
});

describe('why somebody needs a word', () => {
    it.each([
        ['nothing', {}, []],
        ['a test with time enough', { test_at: '2026-12-20T10:00:00Z', outlook: { ...outlook, in_time: true } }, []],
        ['a test too early', { test_at: '2026-12-04T10:00:00Z', outlook: { ...outlook, in_time: false } }, ['test-too-early']],
        ['near, and no test', { outlook: { ...outlook, verdict: 'nearly' } }, ['near']],
        ['near, with a test', { test_at: '2026-12-04T10:00:00Z', outlook: { ...outlook, verdict: 'ready', in_time: true } }, []],
        ['no gain', { outlook: { ...outlook, standstill: still } }, ['standing-still']],
        ['nothing booked', { next_lesson_at: null }, ['not-booked']],
        ['nothing booked for half a year', { next_lesson_at: null, last_lesson_at: '2026-05-25T10:00:00Z' }, []],
        ['never driven', { next_lesson_at: null, last_lesson_at: null, outlook: null }, []],
        ['two things', { next_lesson_at: null, outlook: { ...outlook, standstill: still } }, ['standing-still', 'not-booked']],
    ] as [string, Partial<SchoolLearner>, string[]][])('is said of %s', (_, more, concerns) => {
        expect(concernsOf(learner(more), NOW)).toEqual(concerns);
    });

    it('puts first whom it presses most', () => {
        const people = [
            learner({ name: 'B', test_at: '2026-12-09T10:00:00Z', outlook: { ...outlook, in_time: false } }),
            learner({ name: 'A', test_at: '2026-12-04T10:00:00Z', outlook: { ...outlook, in_time: false } }),
            learner({ name: 'D', outlook: { ...outlook, standstill: { ...still, gain: 0.01 } } }),
            learner({ name: 'C', outlook: { ...outlook, standstill: { ...still, gain: -0.1 } } }),
            learner({ name: 'F', next_lesson_at: null }),
            learner({ name: 'E', next_lesson_at: null, last_lesson_at: '2026-10-20T10:00:00Z' }),
        ];
        const found = whoNeedsAWord(people, NOW);
        expect(found['test-too-early'].map(({ name }) => name)).toEqual(['A', 'B']);
        expect(found['standing-still'].map(({ name }) => name)).toEqual(['C', 'D']);
        expect(found['not-booked'].map(({ name }) => name)).toEqual(['E', 'F']);
    });
});

describe('the page', () => {
    it('names everybody of the demo who gives a concern, with what it rests on, and leads to where it is looked into', async () => {
        server({ 'GET school/learners': { ...kept, stale: 0 } });
        show(<WhoNeedsAWord />);
        const near = within(await screen.findByRole('region', { name: CONCERNS.near.title }));
        const found = whoNeedsAWord(kept.learners, Date.now());
        const first = found.near[0]!;
        const link = near.getByRole('link', { name: new RegExp(first.name) });
        expect(link.getAttribute('href')).toBe(`/learners/${first.id}/test`);
        expect(link.textContent).toContain(`${first.lessons_done} lessons, ${first.skill!.marks} marks`);
        const stands = screen.getByRole('region', { name: CONCERNS['standing-still'].title });
        for (const one of found['standing-still']) expect(stands.textContent).toContain(one.outlook!.standstill!.message);
    });

    it('says how far a test is off in lessons, and never a range without an end', async () => {
        const early = {
            test_at: '2036-12-04T10:00:00Z',
            outlook: { ...outlook, in_time: false, lessons_by_test: 0, lessons: { low: 6, middle: 33, high: 60 } },
        };
        server({ 'GET school/learners': { ...kept, stale: 0, learners: [learner(early)] } });
        show(<WhoNeedsAWord />);
        const line = await screen.findByRole('link', { name: /Somebody Made Up/ });
        expect(line.textContent).toContain('6 lessons to go at the least, perhaps many more, and time for none.');
    });

    it.each([
        [0.97, 'would pass nearly every time, by'],
        [0.84, 'would pass about 8 times in 10, by'],
        [0.04, 'would pass hardly ever, by'],
        [null, '1 lesson, 1 mark'],
    ])('says of a chance of %s how often they would pass as somebody says it', async (chance, said) => {
        const near = { lessons_done: 1, skill: { ...kept.learners[0]!.skill!, marks: 1 }, outlook: { ...outlook, verdict: 'nearly', chance } as const };
        server({ 'GET school/learners': { ...kept, stale: 0, learners: [learner(near)] } });
        show(<WhoNeedsAWord />);
        const line = await screen.findByRole('link', { name: /Somebody Made Up/ });
        expect(line.textContent).toContain(said);
        expect(line.textContent).not.toMatch(/10 tests|tests in 10/);
        if (chance === null) expect(line.textContent).not.toContain('would pass');
    });

    it('says so where nobody needs one, and that it is not known yet where records are behind', async () => {
        server({ 'GET school/learners': { ...kept, stale: 0, learners: [learner({ next_lesson_at: '2036-12-02T10:00:00Z' })] } });
        show(<WhoNeedsAWord />);
        await screen.findByText('Nobody at the moment');
        cleanup();
        server({
            'GET school/learners': { ...kept, stale: 1, learners: [learner({ next_lesson_at: '2036-12-02T10:00:00Z' })] },
            'POST school/records': { stale: 1, progress: { done: 0, of: 1 }, failed: 0 },
        });
        show(<WhoNeedsAWord />);
        await screen.findByText(/1 record is being brought up to date/);
        expect(screen.queryByText('Nobody at the moment')).toBeNull();
    });
});
