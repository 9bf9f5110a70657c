import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { WaitingLearner } from '@/api/types';
import { answer, server, show, written } from '@/testing/answers';
import { Offered } from './Offered';
import { WaitingList } from './WaitingList';
import { wishWords } from './wishWords';

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

const [ada, gus] = answer('demo-learners');
const waiting: WaitingLearner[] = [
    {
        ...{ learner: { id: ada!.id, name: ada!.name }, minutes: 60, note: 'Before the test', since: '2026-05-02T10:00:00Z' },
        wishes: [{ days: [1, 2, 3, 4, 5], from: '17:00', until: '19:30' }],
    },
];

describe('the waiting list', () => {
    it.each([
        [[1], 'Mon, 10:00 to 12:00'],
        [[5, 6], 'Fri, Sat, 10:00 to 12:00'],
        [[3, 1, 2, 6], 'Mon to Wed, Sat, 10:00 to 12:00'],
        [[1, 2, 3, 4, 5, 6, 7], 'Every day, 10:00 to 12:00'],
    ])('says days as one says them: %j', (days, words) => expect(wishWords({ days, from: '10:00', until: '12:00' })).toBe(words));

    it('says a time to the end of the day as that', () =>
        expect(wishWords({ days: [7], from: '18:00', until: '23:59' })).toBe('Sun, 18:00 to the end of the day'));

    it('shows who waits and when they can, takes them off, and puts them back', async () => {
        const address = `learners/${ada!.id}/waiting`;
        const sent = server({ 'GET waiting': waiting, [`POST ${address}/restore`]: waiting[0]! });
        show(<WaitingList />);
        const line = (await screen.findByText(ada!.name)).closest('li')!;
        expect(line.textContent).toContain('Mon to Fri, 17:00 to 19:30Before the test');
        fireEvent.click(screen.getByRole('button', { name: `Take ${ada!.name} off the list` }));
        expect(await screen.findByText(`${ada!.name} is off the list`)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent).map(({ method, path }) => `${method} ${path}`)).toEqual([`DELETE ${address}`, `POST ${address}/restore`]));
    });

    it('puts somebody on it who is not there yet, at any time or at times that are said; what is refused keeps what was typed', async () => {
        let tries = 0;
        const refused = { message: 'x', errors: { 'wishes.0.until': ['must be after the time from which they can.'] } };
        const sent = server({
            'GET waiting': waiting,
            'GET learners': answer('demo-learners'),
            [`PUT learners/${gus!.id}/waiting`]: () => (tries++ === 0 ? refused : waiting[0]!),
        });
        show(<WaitingList />);
        fireEvent.click(await screen.findByRole('button', { name: 'Put somebody on it' }));
        await screen.findByRole('option', { name: gus!.name });
        expect(screen.queryByRole('option', { name: ada!.name })).toBeNull();
        fireEvent.change(screen.getByLabelText('Learner'), { target: { value: gus!.id } });
        expect(screen.getByText('At any time, unless it is said when.')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Say when' }));
        const wish = within(screen.getByRole('group', { name: 'Can come' }));
        for (const day of ['Mon', 'Wed', 'Fri']) fireEvent.click(wish.getByRole('button', { name: day }));
        fireEvent.click(wish.getByRole('button', { name: 'Sat' }));
        expect(wish.getByRole('button', { name: 'Sat' }).getAttribute('aria-pressed')).toBe('true');
        fireEvent.change(wish.getByLabelText('From'), { target: { value: '18:00' } });
        fireEvent.click(screen.getByRole('button', { name: 'Put on the list' }));
        expect((await screen.findByRole('alert')).textContent).toContain('must be after');
        fireEvent.change(wish.getByLabelText('Until'), { target: { value: '20:00' } });
        fireEvent.click(screen.getByRole('button', { name: 'Put on the list' }));
        expect(await screen.findByRole('button', { name: 'Put somebody on it' })).toBeTruthy();
        expect(written(sent).at(-1)!.body).toEqual({ minutes: 60, note: null, wishes: [{ days: [2, 4, 6], from: '18:00', until: '20:00' }] });
    });

    it('changes when somebody can, and leaves it as it was', async () => {
        const sent = server({ 'GET waiting': waiting, 'GET learners': answer('demo-learners') });
        show(<WaitingList />);
        fireEvent.click(await screen.findByRole('button', { name: 'Change' }));
        expect(screen.queryByLabelText('Learner')).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Not then' }));
        fireEvent.click(screen.getByRole('button', { name: 'Back to the list' }));
        expect((await screen.findByText(ada!.name)).closest('li')!.textContent).toContain('Mon to Fri');
        expect(written(sent)).toEqual([]);
    });
});

describe('an hour that came free', () => {
    const lesson = answer('demo-week')
        .days.flatMap((day) => day.lessons)
        .find(({ state }) => state === 'cancelled')!;
    const address = `GET lessons/${lesson.id}/offers`;
    const offer = {
        ...{ learner: { id: ada!.id, name: 'Ada Finn' }, vehicle: { id: 'v', name: 'The blue one' }, phone: '0700 1', minutes: 60, note: 'Any time' },
        ...{
            starts_at: '2026-05-22T17:15:00Z',
            earliest_at: '2026-05-22T17:05:00Z',
            latest_at: '2026-05-22T17:40:00Z',
            reasons: ['test in 5 days', '4 minutes more of driving for you'],
        },
        text: 'Ada, an hour has come free.',
    };

    it('is offered with what speaks for each, and booked for who says yes in the place of what is off', async () => {
        let tries = 0;
        const done = vi.fn();
        const refused = { message: 'x', errors: { starts_at: ['Ada Finn is taken.'] } };
        const sent = server({ [address]: [offer], 'POST lessons': () => (tries++ === 0 ? refused : lesson) });
        show(<Offered lesson={lesson} onDone={done} />);
        const line = within((await screen.findByText('Ada Finn')).closest('li')!);
        expect(line.getByText('test in 5 days · 4 minutes more of driving for you')).toBeTruthy();
        expect(line.getByText('18:15, 60 min')).toBeTruthy();
        expect(line.getByText('· may begin from 18:05 to 18:40')).toBeTruthy();
        expect(line.getByRole('link', { name: 'Ring' }).getAttribute('href')).toBe('tel:07001');
        fireEvent.click(line.getByRole('button', { name: 'Book Ada' }));
        expect((await screen.findByRole('alert')).textContent).toBe('▸ Ada Finn is taken.');
        expect(done).not.toHaveBeenCalled();
        fireEvent.click(line.getByRole('button', { name: 'Book Ada' }));
        await waitFor(() => expect(done).toHaveBeenCalledOnce());
        expect(written(sent).at(-1)!.body).toEqual({ learner_id: ada!.id, vehicle_id: 'v', starts_at: offer.starts_at, minutes: 60, moved_from_id: lesson.id });
    });

    it('says that it fits nobody', async () => {
        server({ [address]: [] });
        show(<Offered lesson={lesson} onDone={() => undefined} />);
        expect(await screen.findByText(/fits nobody/)).toBeTruthy();
    });
});
