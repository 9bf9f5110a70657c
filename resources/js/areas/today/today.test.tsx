import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { packed } from '@/copies/packed';
import { answer, server, show, written } from '@/testing/answers';
import { TodayPage } from './TodayPage';

const today = answer('demo-today');
const TODAY = 'GET today?day=2026-05-20';

beforeEach(() => vi.useFakeTimers({ now: new Date('2026-05-20T09:10:00Z'), shouldAdvanceTime: true }));
afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

describe('the day', () => {
    it('says that the day lies on the device once all of it does, on that day', async () => {
        server({ 'GET texts': [], [TODAY]: today });
        packed.set(Date.parse('2026-05-19T20:00:00Z'));
        show(<TodayPage />);
        await screen.findByRole('heading', { name: today.next!.learner.name });
        expect(screen.queryByText(/are on this device/)).toBeNull();
        act(() => packed.set(Date.parse('2026-05-20T09:05:00Z')));
        expect(screen.getByText('Today and tomorrow are on this device as of 10:05, and open without signal.')).toBeTruthy();
        act(() => packed.set(null));
        expect(screen.queryByText(/are on this device/)).toBeNull();
    });

    it('leads to the next lesson: who, which places in their order, and what was promised', async () => {
        server({ 'GET texts': [], [TODAY]: today });
        show(<TodayPage />);
        const next = today.next!;
        const shown = within((await screen.findByRole('heading', { name: next.learner.name })).closest('section')!);
        expect(shown.getAllByRole('listitem').map((item) => item.textContent)).toEqual(
            expect.arrayContaining([expect.stringContaining(next.items[0]!.place.name)]),
        );
        for (const item of next.items) expect(shown.getByText(item.place.name)).toBeTruthy();
        for (const promise of next.promised) expect(shown.getByText(new RegExp(promise.text.slice(0, 20)))).toBeTruthy();
        expect(shown.getByRole('link', { name: 'Open the lesson' }).getAttribute('href')).toBe(`/lessons/${next.id}/plan`);
    });

    it('shows every lesson of the day on its line, by name', async () => {
        server({ 'GET texts': [], [TODAY]: today });
        const { container } = show(<TodayPage />);
        await screen.findByRole('heading', { name: today.next!.learner.name });
        for (const lesson of today.lessons) expect(container.textContent).toContain(lesson.learner.name.split(' ')[0]);
    });

    it('says when to leave for the next lesson, and where the drive takes longer than there is', async () => {
        const next = today.next!;
        const drive = {
            after: today.lessons[0]!.id,
            before: next.id,
            free_minutes: 20,
            travel_minutes: 9,
            leave_at: '2026-05-20T09:21:00Z',
            short_minutes: 0,
        };
        server({ 'GET texts': [], [TODAY]: { ...today, between: [drive] } });
        show(<TodayPage />);
        expect((await screen.findByText('Leave by 10:21')).parentElement!.textContent).toBe('Leave by 10:21 · 9 min drive');
        cleanup();
        server({ 'GET texts': [], [TODAY]: { ...today, between: [{ ...drive, free_minutes: 5, short_minutes: 4 }] } });
        const { container } = show(<TodayPage />);
        expect((await screen.findByText('Leave by 10:21')).parentElement!.textContent).toContain('4 more than there are');
        if (next.id !== today.lessons[0]!.id) expect(container.textContent).toContain('▸ 4 too few');
        cleanup();
        // Once it has begun there is nothing to leave for.
        vi.setSystemTime(new Date(Date.parse(next.starts_at) + 60_000));
        server({ 'GET texts': [], [TODAY]: { ...today, between: [drive] } });
        show(<TodayPage />);
        expect(await screen.findByText(/^On now ·/)).toBeTruthy();
        expect(screen.queryByText(/Leave by/)).toBeNull();
        cleanup();
        vi.setSystemTime(new Date('2026-05-20T09:10:00Z'));
        // Where an address is not on the map nothing is claimed.
        server({ 'GET texts': [], [TODAY]: { ...today, between: [{ ...drive, travel_minutes: null, leave_at: null }] } });
        show(<TodayPage />);
        await screen.findByRole('heading', { name: next.learner.name });
        expect(screen.queryByText(/Leave by/)).toBeNull();
    });

    it('says what comes before the next lesson: a test, where it is and when to leave for it; then that it is on, and then nothing', async () => {
        const next = today.next!;
        const at = (minutes: number) => new Date(Date.parse(next.starts_at) + minutes * 60_000).toISOString();
        const busy = answer('demo-week')
            .days.flatMap((day) => day.busy)
            .map((one) => ({ ...one, starts_at: at(one.kind === 'test' ? -70 : 90), ends_at: at(one.kind === 'test' ? -10 : 120) }));
        const test = busy.find(({ kind }) => kind === 'test')!;
        const drive = { after: today.lessons[0]!.id, before: test.id, free_minutes: 20, travel_minutes: 9, leave_at: at(-80), short_minutes: 0 };
        const shown = async () => {
            cleanup();
            server({ 'GET texts': [], [TODAY]: { ...today, busy, between: [drive] } });
            show(<TodayPage />);
            await screen.findByRole('heading', { name: next.learner.name });
            return screen.queryByRole('list', { name: 'Before the next lesson' })?.textContent ?? '';
        };
        vi.setSystemTime(new Date(at(-100)));
        const said = await shown();
        expect(said).toMatch(/^First · \d\d:\d\d to \d\d:\d\d/);
        expect(said).toContain(`Test: ${test.learner!.name} · ${test.centre!.name}`);
        expect(said).toMatch(/Leave by \d\d:\d\d · 9 min drive$/);
        // What is busy after it has begun waits its turn.
        expect(said).not.toContain('Dentist');
        vi.setSystemTime(new Date(at(-60)));
        expect(await shown()).toMatch(/^On now, until \d\d:\d\dTest/);
        vi.setSystemTime(new Date(at(-5)));
        expect(await shown()).toBe('');
    });

    it('says in which lessons moments are still to be told, each a way to tell them', async () => {
        server({ 'GET texts': [], [TODAY]: today });
        show(<TodayPage />);
        const [untold] = today.untold;
        const line = within(await screen.findByRole('region', { name: 'Still to tell' })).getByRole('link');
        expect(line.textContent).toContain(untold!.learner);
        expect(line.textContent).toContain('a moment marked while moving');
        expect(line.getAttribute('href')).toBe(`/lessons/${untold!.lesson}/drive`);
        cleanup();
        server({ 'GET texts': [], [TODAY]: { ...today, untold: [] } });
        show(<TodayPage />);
        await screen.findByRole('heading', { name: today.next!.learner.name });
        expect(screen.queryByRole('region', { name: 'Still to tell' })).toBeNull();
    });

    it('goes on with the day by the clock where the server is not to be asked: the first lesson that is not over', async () => {
        const next = today.next!;
        const later = [1, 2].map((i) => ({
            ...next,
            id: `later-${i}`,
            learner: { ...next.learner, name: `Learner ${i}` },
            starts_at: new Date(Date.parse(next.starts_at) + i * 7_200_000).toISOString(),
            minutes: 60,
        }));
        const said = async (minutesAfter: number, moment: string) => {
            vi.setSystemTime(new Date(Date.parse(moment) + minutesAfter * 60_000));
            // The same day, whatever the hour.
            server({ 'GET texts': [], [`GET today?day=${new Date().toISOString().slice(0, 10)}`]: { ...today, later } });
            show(<TodayPage />);
            const name = (await screen.findByRole('link', { name: 'Open the lesson' })).closest('section')!.querySelector('h2')!.textContent;
            cleanup();
            return name;
        };
        expect(await said(next.minutes - 1, next.starts_at)).toBe(next.learner.name);
        expect(await said(next.minutes + 1, next.starts_at)).toBe('Learner 1');
        expect(await said(59, later[0]!.starts_at)).toBe('Learner 1');
        expect(await said(61, later[0]!.starts_at)).toBe('Learner 2');
        vi.setSystemTime(new Date(Date.parse(later[1]!.starts_at) + 61 * 60_000));
        server({ 'GET texts': [], [`GET today?day=${new Date().toISOString().slice(0, 10)}`]: { ...today, later } });
        show(<TodayPage />);
        expect(await screen.findByText('No lesson is booked')).toBeTruthy();
    });

    it('says what a day without lessons offers', async () => {
        server({ 'GET texts': [], [TODAY]: { ...today, lessons: [], next: null, unfinished: [] } });
        show(<TodayPage />);
        expect(await screen.findByText('No lessons today.')).toBeTruthy();
        expect(screen.getAllByRole('button').length).toBeGreaterThan(0);
    });

    it('says why where it cannot be shown, and asks again on one press', async () => {
        let tries = 0;
        server({ 'GET texts': [], [TODAY]: () => (++tries === 1 ? 500 : today) });
        show(<TodayPage />);
        const again = await screen.findByRole('button', { name: /again/i });
        again.click();
        expect(await screen.findByRole('heading', { name: today.next!.learner.name })).toBeTruthy();
    });

    const [one, two, three] = today.lessons;
    const line = {
        ...{
            is_lesson: true,
            is_as_planned: false,
            cut_minutes: 0,
            leaves_out: [],
            clashes: [],
            phone: '0700 900 123',
            may_text: true,
            is_told: false,
            minutes: 60,
        },
        ...{ starts_at: '2026-05-20T10:00:00Z', ends_at: '2026-05-20T11:00:00Z' },
    };
    const late = {
        on: 'Ada',
        rest: [
            { ...line, id: one!.id, name: 'Gus Pellow', now_starts_at: '2026-05-20T10:20:00Z', now_ends_at: '2026-05-20T11:20:00Z', text: 'Gus, I am late.' },
            {
                ...line,
                id: 'x',
                name: 'Ada’s test',
                is_lesson: false,
                is_as_planned: true,
                minutes: null,
                now_starts_at: line.starts_at,
                now_ends_at: line.ends_at,
                phone: null,
                text: null,
            },
            {
                ...line,
                id: two!.id,
                name: 'Orla Penhale',
                phone: null,
                cut_minutes: 15,
                leaves_out: ['Ropewalk'],
                clashes: ['The car is taken.'],
                now_starts_at: '2026-05-20T13:20:00Z',
                now_ends_at: '2026-05-20T14:05:00Z',
                text: 'Orla, I am late.',
            },
            { ...line, id: three!.id, name: 'Jun', now_starts_at: null, now_ends_at: null, text: 'Jun, I am sorry.' },
        ],
    };
    const runLate = async () => {
        fireEvent.click(await screen.findByRole('button', { name: 'Running late' }));
        return within(await screen.findByRole('dialog', { name: 'Running late' }));
    };

    it('says what becomes of a day that runs late, changes only what is agreed to, and takes it back', async () => {
        const sent = server({
            'GET texts': [],
            [TODAY]: today,
            'GET late?minutes=20': { on: 'Ada', rest: [] },
            'GET late?minutes=30': late,
            [`PATCH lessons/${one!.id}`]: answer('demo-lesson-planned'),
            [`PATCH lessons/${three!.id}`]: answer('demo-lesson-planned'),
        });
        show(<TodayPage />);
        const sheet = await runLate();
        expect(await sheet.findByText('By how much will “Ada” end later?')).toBeTruthy();
        expect(sheet.getByText('Nothing more is on today.')).toBeTruthy();
        fireEvent.click(sheet.getByRole('button', { name: '30 min' }));
        const gus = await sheet.findByRole('checkbox', { name: 'Gus Pellow 11:00 to 12:00 11:20 to 12:20' });
        expect(gus.closest('li')!.textContent).toContain('Gus, I am late.');
        expect(sheet.getByText(/11:00 to 12:00, does not wait/)).toBeTruthy();
        expect(sheet.getByText('No time is left for Ropewalk.')).toBeTruthy();
        expect(sheet.getByText('▸ The car is taken.')).toBeTruthy();
        expect(sheet.getByRole('checkbox', { name: /Jun.*cannot be kept/ })).toBeTruthy();
        expect(sheet.getByRole('link', { name: 'Text Gus' }).getAttribute('href')).toBe('sms:0700900123?body=Gus%2C%20I%20am%20late.');
        expect(sheet.queryByRole('link', { name: 'Text Orla' })).toBeNull();
        expect(written(sent)).toEqual([]);
        fireEvent.click(sheet.getByRole('checkbox', { name: /^Orla.*15 min shorter/ }));
        fireEvent.click(sheet.getByRole('button', { name: 'Change these in the diary' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]).toMatchObject({
            path: 'late',
            body: {
                minutes: 30,
                lessons: [
                    { id: one!.id, starts_at: '2026-05-20T10:20:00Z' },
                    { id: three!.id, starts_at: null },
                ],
            },
        });
        expect(await screen.findByText('2 lessons are changed')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent)).toHaveLength(3));
        // The first first: its time is free again before the next goes back.
        expect(written(sent).slice(1)).toMatchObject(
            [one, three].map((lesson) => ({ path: `lessons/${lesson!.id}`, body: { state: 'booked', starts_at: line.starts_at, minutes: 60 } })),
        );
    });

    it('offers no text of its own to whom the outbox tells, and rings who wants none', async () => {
        const [gus, test, orla, jun] = late.rest;
        const rest = [{ ...gus, is_told: true }, test, { ...orla, is_told: true }, { ...jun, may_text: false }];
        server({ 'GET texts': [], [TODAY]: today, 'GET late?minutes=20': { on: 'Ada', fills_outbox: true, rest } });
        show(<TodayPage />);
        const sheet = await runLate();
        expect(await sheet.findByText(/goes into the outbox as a text/)).toBeTruthy();
        expect(sheet.getByText('Gus, I am late.')).toBeTruthy();
        expect(sheet.queryByRole('link', { name: /^Text / })).toBeNull();
        const ways = sheet.getByText('Jun, I am sorry.').closest('li')!;
        expect(within(ways).getByRole('link', { name: 'Ring' }).getAttribute('href')).toBe('tel:0700900123');
        expect(sheet.getAllByRole('link', { name: 'Ring' })).toHaveLength(1);
        expect(sheet.getAllByRole('button', { name: 'Copy' })).toHaveLength(1);
    });

    it('copies what is told, says why a change is refused, and is not there once the day is over', async () => {
        const writeText = vi.fn(() => Promise.resolve());
        vi.stubGlobal('navigator', { clipboard: { writeText }, onLine: true });
        server({ 'GET texts': [], [TODAY]: today, 'GET late?minutes=20': late, 'POST late': { message: 'No.', errors: { starts_at: ['The car is taken.'] } } });
        show(<TodayPage />);
        const sheet = await runLate();
        fireEvent.click((await sheet.findAllByRole('button', { name: 'Copy' }))[0]!);
        expect(await screen.findByText('Copied.')).toBeTruthy();
        expect(writeText).toHaveBeenCalledWith('Gus, I am late.');
        fireEvent.click(sheet.getByRole('button', { name: 'Change these in the diary' }));
        expect((await sheet.findByRole('alert')).textContent).toBe('▸ The car is taken.');
        cleanup();
        vi.setSystemTime(new Date('2026-05-20T22:00:00Z'));
        server({ 'GET texts': [], [TODAY]: today });
        show(<TodayPage />);
        expect(await screen.findByRole('button', { name: 'New lesson' })).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Running late' })).toBeNull();
    });

    it('shows what else takes time among the lessons, tests by their centre', async () => {
        const held = {
            ...{ id: 'b', kind: 'test' as const, title: null, instructor: null, learner: { id: 'l', name: 'Ada' }, vehicle: null, may_change: true },
            ...{ centre: { id: 'c', name: 'Lantern Hill' }, starts_at: '2026-05-20T10:40:00Z', ends_at: '2026-05-20T11:40:00Z' },
        };
        server({
            'GET texts': [],
            [TODAY]: {
                ...today,
                busy: [
                    held,
                    { ...held, id: 'd', kind: 'busy', title: 'Dentist', centre: null, starts_at: '2026-05-20T05:00:00Z', ends_at: '2026-05-20T06:00:00Z' },
                ],
            },
        });
        show(<TodayPage />);
        const day = within(await screen.findByRole('list', { name: 'The day' }));
        const items = day.getAllByRole('listitem').map((item) => item.textContent);
        expect(items).toHaveLength(today.lessons.length + 2);
        expect(items[0]).toBe('06:00Dentistuntil 07:00');
        expect(items.find((text) => text.includes('Test: Ada'))).toContain('Lantern Hill');
    });
});
