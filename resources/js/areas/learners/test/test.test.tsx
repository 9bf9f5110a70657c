import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { LearnerReady } from '@/api/types';
import { answer, server, show, written } from '@/testing/answers';
import { aboutWhen, inHundred, lessonWords, weekWords } from './readyWords';
import { TestPage } from './TestPage';

const learner = answer('demo-learner');
const ready = answer('demo-ready');
const tests = answer('demo-assessments');
const at = `learners/${learner.id}`;

function page(more: Parameters<typeof server>[0] = {}, of: LearnerReady = ready) {
    const sent = server({ [`GET ${at}`]: learner, [`GET ${at}/ready`]: of, [`GET ${at}/assessments`]: tests, ...more });
    show(
        <Routes>
            <Route path="/learners/:id/test" element={<TestPage />} />
        </Routes>,
        'instructor',
        `/learners/${learner.id}/test`,
    );
    return sent;
}

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the way to the test', () => {
    it('says how near, with its range, and that the instructor decides', async () => {
        page();
        expect(await screen.findByText(ready.message)).toBeTruthy();
        expect(screen.getByText(inHundred(ready.chance!))).toBeTruthy();
        expect(screen.getByText(/the instructor decides, and the law and the examiner have the last word/)).toBeTruthy();
    });

    it('has what is missing in its order, the first few at once and the rest behind a press', async () => {
        page();
        const part = within(await screen.findByRole('region', { name: 'What is missing, in its order' }));
        expect(ready.missing.length).toBeGreaterThan(6);
        expect(part.getAllByRole('listitem')).toHaveLength(6);
        fireEvent.click(part.getByRole('button', { name: `and ${ready.missing.length - 6} more` }));
        const lines = part.getAllByRole('listitem');
        ready.missing.forEach((one, i) => expect(lines[i]!.textContent).toContain(one.message));
        cleanup();
        page({}, { ...ready, missing: [], verdict: 'ready' });
        expect(await screen.findByText('Nothing.')).toBeTruthy();
    });

    it('has every test with the rule that decided, and the examiner’s word where it differs', async () => {
        const [first, ...rest] = tests;
        const seen = { ...first!, kind: 'test' as const, result: 'pass' as const, by_scheme: { ...first!.by_scheme, result: 'fail' as const } };
        page({ [`GET ${at}/assessments`]: [seen, ...rest] });
        const part = within(await screen.findByRole('region', { name: 'Tests' }));
        const lines = part.getAllByRole('button');
        expect(lines).toHaveLength(tests.length);
        expect(lines[0]!.textContent).toContain('The examiner saw it otherwise.');
        fireEvent.click(lines[0]!);
        expect(within(screen.getByRole('dialog')).getByText(/The examiner saw it otherwise\.$/)).toBeTruthy();
        rest.forEach((one, i) => expect(lines[i + 1]!.textContent).toContain(one.by_scheme.message));
    });

    it('notes a mock test with a fault by its step and who was troubled; nothing is asked of its result', async () => {
        const sent = page({ [`POST ${at}/assessments`]: tests[0]! });
        fireEvent.click(await screen.findByRole('button', { name: 'Note a test' }));
        const sheet = within(screen.getByRole('dialog'));
        expect(sheet.queryByLabelText('The examiner’s word')).toBeNull();
        fireEvent.change(sheet.getByLabelText(/^When/), { target: { value: '2026-05-12T10:00' } });
        fireEvent.change(sheet.getByLabelText('Step'), { target: { value: 'signal' } });
        fireEvent.change(sheet.getByLabelText('Who was troubled'), { target: { value: 'affected' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Add the fault' }));
        fireEvent.click(sheet.getByRole('button', { name: 'Add the fault' }));
        fireEvent.click(sheet.getByRole('button', { name: 'Without fault 2: Signal' }));
        fireEvent.click(sheet.getByRole('button', { name: 'Note it' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]!.body).toMatchObject({
            kind: 'mock-test',
            taken_at: '2026-05-12T09:00:00.000Z',
            faults: [{ step: 'signal', effect: 'affected' }],
        });
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    });

    it('notes a test with the examiner’s word and where it was', async () => {
        const [centre] = answer('demo-centres');
        const sent = page({ 'GET centres': answer('demo-centres'), [`POST ${at}/assessments`]: tests[0]! });
        fireEvent.click(await screen.findByRole('button', { name: 'Note a test' }));
        const sheet = within(screen.getByRole('dialog'));
        expect(sheet.queryByLabelText('Where')).toBeNull();
        fireEvent.change(sheet.getByLabelText('What it was'), { target: { value: 'test' } });
        await sheet.findByRole('option', { name: centre!.name });
        fireEvent.change(sheet.getByLabelText('Where'), { target: { value: centre!.id } });
        fireEvent.change(sheet.getByLabelText(/^When/), { target: { value: '2026-05-12T10:00' } });
        fireEvent.change(sheet.getByLabelText('The examiner’s word'), { target: { value: 'fail' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Note it' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]!.body).toMatchObject({ kind: 'test', result: 'fail', centre_id: centre!.id, faults: [] });
    });

    it('keeps what was noted of a fault when something else is changed, and takes the whole away by one press', async () => {
        const one = tests.find(({ faults }) => faults.length > 0)!;
        const sent = page({ [`PUT assessments/${one.id}`]: one, [`DELETE assessments/${one.id}`]: 204 });
        const part = within(await screen.findByRole('region', { name: 'Tests' }));
        const open = () => fireEvent.click(part.getAllByRole('button')[tests.indexOf(one)]!);
        open();
        fireEvent.change(within(screen.getByRole('dialog')).getByLabelText('Note'), { target: { value: 'Calm.' } });
        fireEvent.click(screen.getByRole('button', { name: 'Keep it so' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect((written(sent)[0]!.body as typeof one).faults).toEqual(
            one.faults.map(({ step, routine, fault, effect, at: when, where }) => ({ step, routine, fault, effect, at: when, where })),
        );
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'Take it away' }));
        expect(await screen.findByText(/is taken away\.$/)).toBeTruthy();
    });

    it('says by when as far as anybody can', () => {
        const day = (iso: string) => iso;
        const MOST = ready.most_lessons;
        const date = { low: 'a', middle: 'b', high: 'c' };
        const of = (low: number, middle: number, high: number) => lessonWords({ lessons: { low, middle, high }, date, most_lessons: MOST }, day);
        expect(of(0, 0, 0)).toBe('Nothing more is needed for it.');
        expect(of(6, 9, 14)).toBe('Most likely by b (a to c).');
        expect(of(6, 9, MOST)).toBe('Most likely by b (a or much later).');
        expect(of(6, MOST, MOST)).toBe('Not before a.');
        expect(of(MOST, MOST, MOST)).toBe('By when nobody can say yet.');
        expect(lessonWords({ lessons: null, date: null, most_lessons: MOST }, day)).toBe('By when nobody can say yet.');
        // Far off, nobody knows the day.
        const now = new Date('2026-11-30T09:00:00Z');
        expect(aboutWhen('2026-12-02', now, (moment) => `day of ${moment}`)).toBe('day of 2026-12-02T12:00:00Z');
        expect(aboutWhen('2027-10-16', now, (moment) => `day of ${moment}`)).toBe('October 2027');
        expect(weekWords({ ...ready, lesson_minutes_a_week: 90, practice_minutes_a_week: 45, week_is_known: false })).toBe(
            'Reckoned with 1.5 h of lessons a week and 0.8 h of practice, which nobody has said.',
        );
    });

    it.each([
        [{ estimate: 0.31, low: 0.12, high: 0.55 }, 'about 31 would pass today (12 to 55).'],
        [{ estimate: 0.004, low: 0, high: 0.001 }, 'hardly one would pass today.'],
        [{ estimate: 0.004, low: 0, high: 0.02 }, 'hardly one would pass today (0 to 2).'],
        [{ estimate: 0.996, low: 0.97, high: 1 }, 'nearly all would pass today (97 to 100).'],
    ])('says of %o how many of a hundred', (chance, said) => {
        expect(inHundred(chance)).toBe(`Of a hundred such learners ${said}`);
    });
});
