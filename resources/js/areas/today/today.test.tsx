import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show } from '@/testing/answers';
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
    it('leads to the next lesson: who, which places in their order, and what was promised', async () => {
        server({ [TODAY]: today });
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
        server({ [TODAY]: today });
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
        server({ [TODAY]: { ...today, between: [drive] } });
        show(<TodayPage />);
        expect((await screen.findByText('Leave by 10:21')).parentElement!.textContent).toBe('Leave by 10:21 · 9 min drive');
        cleanup();
        server({ [TODAY]: { ...today, between: [{ ...drive, free_minutes: 5, short_minutes: 4 }] } });
        const { container } = show(<TodayPage />);
        expect((await screen.findByText('Leave by 10:21')).parentElement!.textContent).toContain('4 more than there are');
        if (next.id !== today.lessons[0]!.id) expect(container.textContent).toContain('▸ 4 too few');
        cleanup();
        // Once it has begun there is nothing to leave for.
        vi.setSystemTime(new Date(Date.parse(next.starts_at) + 60_000));
        server({ [TODAY]: { ...today, between: [drive] } });
        show(<TodayPage />);
        expect(await screen.findByText(/^On now ·/)).toBeTruthy();
        expect(screen.queryByText(/Leave by/)).toBeNull();
        cleanup();
        vi.setSystemTime(new Date('2026-05-20T09:10:00Z'));
        // Where an address is not on the map nothing is claimed.
        server({ [TODAY]: { ...today, between: [{ ...drive, travel_minutes: null, leave_at: null }] } });
        show(<TodayPage />);
        await screen.findByRole('heading', { name: next.learner.name });
        expect(screen.queryByText(/Leave by/)).toBeNull();
    });

    it('says in which lessons moments are still to be told, each a way to tell them', async () => {
        server({ [TODAY]: today });
        show(<TodayPage />);
        const [untold] = today.untold;
        const line = within(await screen.findByRole('region', { name: 'Still to tell' })).getByRole('link');
        expect(line.textContent).toContain(untold!.learner);
        expect(line.textContent).toContain('a moment marked while moving');
        expect(line.getAttribute('href')).toBe(`/lessons/${untold!.lesson}/drive`);
        cleanup();
        server({ [TODAY]: { ...today, untold: [] } });
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
            server({ [`GET today?day=${new Date().toISOString().slice(0, 10)}`]: { ...today, later } });
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
        server({ [`GET today?day=${new Date().toISOString().slice(0, 10)}`]: { ...today, later } });
        show(<TodayPage />);
        expect(await screen.findByText('No lesson is booked')).toBeTruthy();
    });

    it('says what a day without lessons offers', async () => {
        server({ [TODAY]: { ...today, lessons: [], next: null, unfinished: [] } });
        show(<TodayPage />);
        expect(await screen.findByText('No lessons today.')).toBeTruthy();
        expect(screen.getAllByRole('button').length).toBeGreaterThan(0);
    });

    it('says why where it cannot be shown, and asks again on one press', async () => {
        let tries = 0;
        server({ [TODAY]: () => (++tries === 1 ? 500 : today) });
        show(<TodayPage />);
        const again = await screen.findByRole('button', { name: /again/i });
        again.click();
        expect(await screen.findByRole('heading', { name: today.next!.learner.name })).toBeTruthy();
    });
});
