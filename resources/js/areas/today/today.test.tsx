import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show } from '@/testing/answers';
import { TodayPage } from './TodayPage';

const today = answer('demo-today');

beforeEach(() => vi.useFakeTimers({ now: new Date('2026-05-20T09:10:00Z'), shouldAdvanceTime: true }));
afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

describe('the day', () => {
    it('leads to the next lesson: who, which places in their order, and what was promised', async () => {
        server({ 'GET today': today });
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
        server({ 'GET today': today });
        const { container } = show(<TodayPage />);
        await screen.findByRole('heading', { name: today.next!.learner.name });
        for (const lesson of today.lessons) expect(container.textContent).toContain(lesson.learner.name.split(' ')[0]);
    });

    it('says in which lessons moments are still to be told, each a way to tell them', async () => {
        server({ 'GET today': today });
        show(<TodayPage />);
        const [untold] = today.untold;
        const line = within(await screen.findByRole('region', { name: 'Still to tell' })).getByRole('link');
        expect(line.textContent).toContain(untold!.learner);
        expect(line.textContent).toContain('a moment marked while moving');
        expect(line.getAttribute('href')).toBe(`/lessons/${untold!.lesson}/drive`);
        cleanup();
        server({ 'GET today': { ...today, untold: [] } });
        show(<TodayPage />);
        await screen.findByRole('heading', { name: today.next!.learner.name });
        expect(screen.queryByRole('region', { name: 'Still to tell' })).toBeNull();
    });

    it('says what a day without lessons offers', async () => {
        server({ 'GET today': { ...today, lessons: [], next: null, unfinished: [] } });
        show(<TodayPage />);
        expect(await screen.findByText('No lessons today.')).toBeTruthy();
        expect(screen.getAllByRole('button').length).toBeGreaterThan(0);
    });

    it('says why where it cannot be shown, and asks again on one press', async () => {
        let tries = 0;
        server({ 'GET today': () => (++tries === 1 ? 500 : today) });
        show(<TodayPage />);
        const again = await screen.findByRole('button', { name: /again/i });
        again.click();
        expect(await screen.findByRole('heading', { name: today.next!.learner.name })).toBeTruthy();
    });
});
