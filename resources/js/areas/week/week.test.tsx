import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, written } from '@/testing/answers';
import { WeekPage } from './WeekPage';

const week = answer('demo-week');
const session = answer('session');
const mine = { ...week, person: { id: session.user.id, name: session.user.name } };
const lessons = week.days.flatMap((day) => day.lessons);
const first = lessons.find(({ state, starts_at }) => state === 'booked' && starts_at > '2026-05-21')!;
const free = { clashes: [], notes: [], before: null, after: null, light_at_start: 'day', light_at_end: 'day' };
const WEEK = 'GET week?from=2026-05-18';

beforeEach(() => vi.useFakeTimers({ now: new Date('2026-05-20T07:10:00Z'), shouldAdvanceTime: true }));
afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

/** A question about a time, however it is put. */
const fitAt = (starts: string) => `GET fit?lesson=${first.id}&starts_at=${encodeURIComponent(starts)}`;
const line = async () => within(await screen.findByRole('group', { name: 'Week as a time line' }));
const blockOf = async (name = first.learner.name, at = /Thursday/) =>
    (await line()).getAllByRole('button').find((one) => one.getAttribute('aria-label')!.startsWith(name) && at.test(one.getAttribute('aria-label')!))!;

describe('the week', () => {
    it('shows every lesson on the line of its day and in its list, with what has become of it', async () => {
        server({ [WEEK]: mine });
        show(<WeekPage />);
        const shown = await line();
        const busy = week.days.flatMap((day) => day.busy);
        expect(busy.map(({ kind }) => kind).sort()).toEqual(['away', 'busy', 'test']);
        expect(shown.getAllByRole('button')).toHaveLength(lessons.length + busy.length);
        for (const { busy: said } of week.days) expect(said.every(({ may_change: may }) => may)).toBe(true);
        expect(shown.getByRole('button', { name: /^Dentist, Thursday 21 May, 12:15 to 13:00/ })).toBeTruthy();
        expect(shown.getByRole('button', { name: /^Test: Bettina Varga.*Lantern Hill test centre$/ })).toBeTruthy();
        expect(shown.getByRole('button', { name: /away: service, from 14:40 until 16:30$/ })).toBeTruthy();
        expect(within(screen.getByRole('group', { name: 'Week as a list' })).getAllByText('Earlier this week')).toHaveLength(1);
        expect(shown.getByRole('button', { name: /cancelled by the learner/ })).toBeTruthy();
        expect(shown.getByRole('button', { name: /only wished/ })).toBeTruthy();
        expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('18 to 24 May');
        expect(shown.getAllByText(/^sunset /)).toHaveLength(7);
    });

    it('marks the lesson the drive to which takes longer than there is, and says it in words', async () => {
        const days = mine.days.map((day) => ({
            ...day,
            between: day.between.map((one) => ({ ...one, free_minutes: 2, travel_minutes: 9, short_minutes: 7 })),
        }));
        server({ [WEEK]: { ...mine, days } });
        show(<WeekPage />);
        expect((await line()).getAllByRole('button', { name: /7 minutes too early for the drive there/ }).length).toBeGreaterThan(5);
        expect(screen.getAllByText('▸ 7 min too few: the drive takes 9').length).toBeGreaterThan(5);
    });

    it('proposes by the arrow keys, writes at Enter what was proposed and nothing else, and takes it back', async () => {
        const to = new Date(Date.parse(first.starts_at) + 86_400_000 + 1_800_000).toISOString();
        const sent = server({
            [WEEK]: mine,
            [fitAt(to)]: { ...free, clashes: ['Ada is taken.'] },
            [`PATCH lessons/${first.id}`]: answer('demo-lesson-planned'),
        });
        show(<WeekPage />);
        const block = await blockOf();
        for (const key of ['ArrowDown', 'ArrowRight', 'ArrowRight']) fireEvent.keyDown(block, { key });
        expect(await screen.findByText(/Ada is taken\./)).toBeTruthy();
        expect(written(sent)).toEqual([]);
        fireEvent.keyDown(block, { key: 'Enter' });
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]).toEqual({ method: 'PATCH', path: `lessons/${first.id}`, body: { starts_at: to } });
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent)).toHaveLength(2));
        expect(written(sent)[1]!.body).toEqual({ starts_at: first.starts_at, minutes: first.minutes });
    });

    it('leaves everything as it was at Escape, and where the way there and back is none', async () => {
        const sent = server({ [WEEK]: mine });
        show(<WeekPage />);
        const block = await blockOf();
        fireEvent.keyDown(block, { key: 'ArrowRight' });
        const chosen = within(await screen.findByRole('region', { name: 'Chosen lesson' }));
        expect(chosen.getByRole('heading').textContent).toContain('→');
        fireEvent.keyDown(block, { key: 'ArrowLeft' });
        expect(chosen.getByRole('heading').textContent).not.toContain('→');
        fireEvent.keyDown(block, { key: 'ArrowRight' });
        fireEvent.keyDown(block, { key: 'Escape' });
        expect(chosen.getByRole('heading').textContent).not.toContain('→');
        fireEvent.keyDown(block, { key: 'Escape' });
        expect(screen.queryByRole('region', { name: 'Chosen lesson' })).toBeNull();
        expect(written(sent)).toEqual([]);
    });

    it('keeps what was proposed where it is refused, with the reason', async () => {
        const refused = { message: 'x', errors: { starts_at: ['Ada is taken from 10:00 to 11:00: a lesson with Piet.'] } };
        const to = new Date(Date.parse(first.starts_at) + 900_000).toISOString();
        server({ [WEEK]: mine, [fitAt(to)]: free, [`PATCH lessons/${first.id}`]: refused });
        show(<WeekPage />);
        const block = await blockOf();
        fireEvent.keyDown(block, { key: 'ArrowRight' });
        fireEvent.click(await screen.findByRole('button', { name: 'Move' }));
        expect((await screen.findByRole('alert')).textContent).toContain('a lesson with Piet.');
        expect(screen.getByRole('button', { name: 'Leave it' })).toBeTruthy();
    });

    it('says where a learner is met this once, without a place on the map, and as usual again', async () => {
        const sent = server({ [WEEK]: mine, [`PATCH lessons/${first.id}`]: answer('demo-lesson-planned') });
        show(<WeekPage />);
        fireEvent.click(await blockOf());
        fireEvent.click(await screen.findByRole('button', { name: 'Where' }));
        const sheet = within(await screen.findByRole('dialog'));
        expect(sheet.getByLabelText<HTMLInputElement>('Pick-up').value).toBe('');
        expect(sheet.getByText(new RegExp(`As usual: ${first.learner.pick_up}`))).toBeTruthy();
        fireEvent.change(sheet.getByLabelText('Pick-up'), { target: { value: 'College gate' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Keep' }));
        expect(await screen.findByText(`${first.learner.name}: met at College gate`)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        const nowhere = { pick_up_latitude_deg: null, pick_up_longitude_deg: null };
        await waitFor(() =>
            expect(written(sent).map(({ body }) => body)).toEqual([
                { pick_up: 'College gate', ...nowhere },
                { pick_up: null, ...nowhere },
            ]),
        );
    });

    it('undoes another pick-up down to where on the map it was', async () => {
        const own = { ...first.own_places, pick_up: 'The station', pick_up_latitude_deg: 50.1, pick_up_longitude_deg: -5.2 };
        const days = mine.days.map((day) => ({
            ...day,
            lessons: day.lessons.map((one) => (one.id === first.id ? { ...one, pick_up: 'The station', own_places: own } : one)),
        }));
        const sent = server({ [WEEK]: { ...mine, days }, [`PATCH lessons/${first.id}`]: answer('demo-lesson-planned') });
        show(<WeekPage />);
        fireEvent.click(await blockOf());
        fireEvent.click(await screen.findByRole('button', { name: 'Where' }));
        const sheet = within(await screen.findByRole('dialog'));
        expect(sheet.getByLabelText<HTMLInputElement>('Pick-up').value).toBe('The station');
        fireEvent.change(sheet.getByLabelText('Pick-up'), { target: { value: '' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Keep' }));
        expect(await screen.findByText(`${first.learner.name}: met as usual`)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent)).toHaveLength(2));
        expect(written(sent)[1]!.body).toEqual({ pick_up: 'The station', pick_up_latitude_deg: 50.1, pick_up_longitude_deg: -5.2 });
    });

    it('cancels with whose doing, why and whether it is charged; undone it is booked again', async () => {
        const sent = server({ [WEEK]: mine, [`PATCH lessons/${first.id}`]: answer('demo-lesson-planned') });
        show(<WeekPage />);
        fireEvent.click(await blockOf());
        fireEvent.click(await screen.findByRole('button', { name: 'Cancel' }));
        const sheet = within(await screen.findByRole('dialog'));
        fireEvent.click(sheet.getByLabelText('The instructor'));
        fireEvent.change(sheet.getByLabelText('Why'), { target: { value: 'A puncture' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Cancel the lesson' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]!.body).toEqual({ state: 'cancelled', ended_by: 'instructor', charged: false, ended_why: 'A puncture' });
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent)[1]?.body).toEqual({ state: 'booked' }));
    });

    it('books a cancelled lesson and a wish, whose undo makes them what they were, reason and all', async () => {
        const cancelled = lessons.find(({ state }) => state === 'cancelled')!;
        const wished = lessons.find(({ state }) => state === 'wished')!;
        const told = answer('demo-lesson-planned');
        const sent = server({ [WEEK]: mine, [`PATCH lessons/${cancelled.id}`]: told, [`PATCH lessons/${wished.id}`]: told });
        show(<WeekPage />);
        fireEvent.click((await line()).getByRole('button', { name: /cancelled by the learner/ }));
        expect(within(await screen.findByRole('region', { name: 'Chosen lesson' })).getByText(/A cold; rang in the morning/)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Book it again' }));
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent)).toHaveLength(2));
        expect(written(sent).map(({ body }) => body)).toEqual([
            { state: 'booked' },
            { state: 'cancelled', ended_by: 'learner', ended_why: 'A cold; rang in the morning', charged: false },
        ]);
        fireEvent.click((await line()).getByRole('button', { name: /only wished/ }));
        fireEvent.click(await screen.findByRole('button', { name: 'Book it' }));
        await waitFor(() => expect(written(sent)[2]).toMatchObject({ path: `lessons/${wished.id}`, body: { state: 'booked' } }));
    });

    it('lets an instructor look at a colleague’s week, and change nothing in it', async () => {
        server({ [WEEK]: week });
        show(<WeekPage />, 'instructor');
        const block = await blockOf();
        fireEvent.keyDown(block, { key: 'ArrowRight' });
        expect(screen.queryByRole('region', { name: 'Chosen lesson' })).toBeNull();
        fireEvent.click(block);
        const chosen = within(await screen.findByRole('region', { name: 'Chosen lesson' }));
        expect(chosen.getAllByRole('button').map((key) => key.getAttribute('aria-label') ?? key.textContent)).toEqual(['Close']);
        expect(chosen.getByRole('link', { name: 'Open' }).getAttribute('href')).toBe(`/lessons/${first.id}/plan`);
        expect(screen.queryByRole('button', { name: 'Book' })).toBeNull();
    });

    it('lets the owner book in a colleague’s week: asked of their day, held for them, and on in their week', async () => {
        const [learner] = answer('demo-learners');
        const cars = answer('demo-vehicles');
        const car = cars.find(({ transmission }) => transmission === learner!.transmission)!;
        const asked = `learner_id=${learner!.id}&vehicle_id=${car.id}&instructor_id=${week.person.id}&minutes=60&starts_at=`;
        const sent = server({
            ...{ [WEEK]: week, 'GET learners': answer('demo-learners'), 'GET vehicles': cars, 'POST lessons': first },
            [`GET fit?${asked}${encodeURIComponent('2026-05-20T08:00:00.000Z')}`]: free,
        });
        show(<WeekPage />, 'owner');
        fireEvent.click(await screen.findByRole('button', { name: 'Book' }));
        const sheet = within(await screen.findByRole('dialog', { name: `New lesson of ${week.person.name}` }));
        await sheet.findByRole('option', { name: learner!.name });
        fireEvent.change(sheet.getByLabelText('Learner'), { target: { value: learner!.id } });
        await waitFor(() => expect(sent.some(({ path }) => path.startsWith('fit?') && path.includes(`instructor_id=${week.person.id}`))).toBe(true));
        fireEvent.click(sheet.getByRole('button', { name: 'Book' }));
        await waitFor(() => expect(written(sent)[0]?.body).toMatchObject({ learner_id: learner!.id, instructor_id: week.person.id }));
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    });

    it('turns to another week and another person, and back to this one', async () => {
        const other = mine.people.find(({ id }) => id !== mine.person.id)!;
        const sent = server({
            [WEEK]: mine,
            'GET week?from=2026-05-25': { ...mine, from: '2026-05-25' },
            [`GET week?from=2026-05-25&person=${other.id}`]: { ...week, person: other },
        });
        show(<WeekPage />);
        fireEvent.click(await screen.findByRole('button', { name: 'The week after' }));
        await waitFor(() => expect(sent.at(-1)!.path).toBe('week?from=2026-05-25'));
        fireEvent.change(await screen.findByLabelText('Whose'), { target: { value: other.id } });
        await waitFor(() => expect(sent.at(-1)!.path).toBe(`week?from=2026-05-25&person=${other.id}`));
        expect(screen.getByRole<HTMLButtonElement>('button', { name: 'This week' }).disabled).toBe(false);
    });

    it('says what lay on top of another before, each a way to it', async () => {
        server({ [WEEK]: { ...mine, clashes: [{ lesson: first, instructor: 'Wanda Orme', why: ['Wanda Orme is taken.'] }] } });
        show(<WeekPage />);
        const told = within(await screen.findByRole('region', { name: 'On top of each other' }));
        expect(told.getByRole('link').getAttribute('href')).toBe(`/lessons/${first.id}/plan`);
        expect(told.getByText('Wanda Orme is taken.')).toBeTruthy();
    });

    it('asks what a time means while a lesson is booked, and takes a free one by a press', async () => {
        const [learner] = answer('demo-learners');
        const [car] = answer('demo-vehicles').filter(({ transmission }) => transmission === learner!.transmission);
        const query = `learner_id=${learner!.id}&vehicle_id=${car!.id}&minutes=60`;
        const time = {
            starts_at: '2026-05-21T12:05:00Z',
            latest_at: '2026-05-21T13:00:00Z',
            after: 'Gus',
            before: null,
            travel_before_minutes: 9,
            travel_after_minutes: null,
            light_at_start: 'day',
            light_at_end: 'day',
        };
        const sent = server({
            [WEEK]: mine,
            'GET learners': answer('demo-learners'),
            'GET vehicles': answer('demo-vehicles'),
            [`GET fit?${query}&starts_at=${encodeURIComponent('2026-05-20T08:00:00.000Z')}`]: { ...free, clashes: ['You are taken.'] },
            [`GET fit?${query}&starts_at=${encodeURIComponent('2026-05-21T12:05:00.000Z')}`]: free,
            [`GET free?${query}&from=2026-05-20`]: [time],
            'POST lessons': first,
        });
        show(<WeekPage />);
        fireEvent.click(await screen.findByRole('button', { name: 'Book' }));
        const sheet = within(await screen.findByRole('dialog'));
        await sheet.findByRole('option', { name: learner!.name });
        fireEvent.change(sheet.getByLabelText('Learner'), { target: { value: learner!.id } });
        expect(await sheet.findByText(/You are taken\./)).toBeTruthy();
        fireEvent.change(sheet.getByLabelText('Pick-up'), { target: { value: 'The station' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Free times' }));
        fireEvent.click(await sheet.findByRole('button', { name: /13:05 *9 min from Gus/ }));
        expect(await sheet.findByText('Free, with nothing else that day.')).toBeTruthy();
        fireEvent.click(sheet.getByRole('button', { name: 'Book' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]!.body).toMatchObject({
            ...{ learner_id: learner!.id, vehicle_id: car!.id, starts_at: '2026-05-21T12:05:00.000Z', state: 'booked' },
            ...{ pick_up: 'The station', drop_off: null },
        });
    });

    it('has a lesson again week after week: each said before, left out by a press, booked as it was said, and taken back', async () => {
        const weeks = [
            { starts_at: '2026-05-28T08:00:00Z', day: '2026-05-28', clashes: [], light_at_start: 'day', light_at_end: 'day' },
            { starts_at: '2026-06-04T08:00:00Z', day: '2026-06-04', clashes: ['Ada is taken.'], light_at_start: 'day', light_at_end: 'day' },
            { starts_at: '2026-06-11T08:00:00Z', day: '2026-06-11', clashes: [], light_at_start: 'day', light_at_end: 'dusk' },
        ];
        const made = { ...first, id: '0190b5a4-0000-7000-8000-00000000aaaa', starts_at: weeks[0]!.starts_at };
        const sent = server({
            [WEEK]: mine,
            [`GET series?lesson=${first.id}&weeks=1&times=10`]: weeks.slice(0, 1),
            [`GET series?lesson=${first.id}&weeks=1&times=3`]: weeks,
            [`POST lessons/${first.id}/series`]: { booked: [made], left_out: [{ starts_at: weeks[2]!.starts_at, why: 'Ada is taken.' }] },
            [`PATCH lessons/${made.id}`]: answer('demo-lesson-planned'),
        });
        show(<WeekPage />);
        fireEvent.click(await blockOf());
        fireEvent.click(screen.getByRole('button', { name: 'Repeat' }));
        const sheet = within(await screen.findByRole('dialog'));
        expect(await sheet.findByText('It can be booked.')).toBeTruthy();
        fireEvent.change(sheet.getByLabelText('Times more'), { target: { value: '3' } });
        expect(await sheet.findByText('2 of 3 will be booked.')).toBeTruthy();
        expect(sheet.getByText('▸ Ada is taken.')).toBeTruthy();
        expect(sheet.getByLabelText(/11 June.*ends at dusk/)).toBeTruthy();
        fireEvent.click(sheet.getByLabelText(/28 May/));
        expect(await sheet.findByText('1 of 3 will be booked.')).toBeTruthy();
        fireEvent.click(sheet.getByRole('button', { name: 'Book these' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]!.body).toEqual({ weeks: 1, times: 3, without: ['2026-05-28'] });
        expect(await screen.findByText('1 more lesson is booked; taken by now: 11 Jun.')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent)).toHaveLength(2));
        expect(written(sent)[1]).toMatchObject({ path: `lessons/${made.id}`, body: { state: 'cancelled', ended_by: 'instructor' } });
    });

    it('books a new lesson with the weeks after it, and stays booked where those are refused', async () => {
        const [learner] = answer('demo-learners');
        const [car] = answer('demo-vehicles').filter(({ transmission }) => transmission === learner!.transmission);
        const query = `learner_id=${learner!.id}&vehicle_id=${car!.id}&minutes=60&starts_at=${encodeURIComponent('2026-05-20T08:00:00.000Z')}`;
        const sent = server({
            [WEEK]: mine,
            'GET learners': answer('demo-learners'),
            'GET vehicles': answer('demo-vehicles'),
            [`GET fit?${query}`]: free,
            [`GET series?${query}&weeks=1&times=9`]: [],
            [`GET series?${query}&weeks=2&times=9`]: [],
            'POST lessons': first,
            [`POST lessons/${first.id}/series`]: 422,
        });
        show(<WeekPage />);
        fireEvent.click(await screen.findByRole('button', { name: 'Book' }));
        const sheet = within(await screen.findByRole('dialog'));
        await sheet.findByRole('option', { name: learner!.name });
        fireEvent.click(sheet.getByLabelText('The same again in the weeks after'));
        expect(sheet.getByText('Choose the learner first.')).toBeTruthy();
        fireEvent.change(sheet.getByLabelText('Learner'), { target: { value: learner!.id } });
        fireEvent.change(await sheet.findByLabelText('How often'), { target: { value: '2' } });
        // A time that is not whole asks nothing.
        fireEvent.change(sheet.getByLabelText('Begins'), { target: { value: '' } });
        expect(sheet.queryByLabelText('How often')).toBeNull();
        fireEvent.change(sheet.getByLabelText('Begins'), { target: { value: '2026-05-20T09:00' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Book' }));
        await waitFor(() => expect(written(sent).map(({ path }) => path)).toEqual(['lessons', `lessons/${first.id}/series`]));
        expect(written(sent)[1]!.body).toEqual({ weeks: 2, times: 9, without: [] });
        expect(await screen.findByText(/^The weeks after it are not booked/)).toBeTruthy();
    });

    const dentist = week.days.flatMap((day) => day.busy).find(({ kind }) => kind === 'busy')!;
    const hold = async () => {
        fireEvent.click(await screen.findByRole('button', { name: 'Hold time' }));
        return within(await screen.findByRole('dialog'));
    };
    const asked = { 'GET learners': answer('demo-learners'), 'GET vehicles': answer('demo-vehicles'), 'GET centres': answer('demo-centres') };

    it('holds an hour for something else, says where that is refused, and keeps what was typed', async () => {
        let tries = 0;
        const refused = { message: 'No.', errors: { starts_at: ['You are taken.'] } };
        const sent = server({ [WEEK]: mine, ...asked, 'POST busy-times': () => (tries++ === 0 ? refused : dentist) });
        show(<WeekPage />);
        const sheet = await hold();
        expect(sheet.queryByLabelText('Learner')).toBeNull();
        fireEvent.change(sheet.getByLabelText('From'), { target: { value: '2026-05-21T14:00' } });
        // As long as it was: the end goes along.
        expect(sheet.getByLabelText<HTMLInputElement>('Until').value).toBe('2026-05-21T15:00');
        fireEvent.change(sheet.getByLabelText('A word for it'), { target: { value: 'Dentist' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Hold this time' }));
        expect(await sheet.findByText(/You are taken\./)).toBeTruthy();
        expect(sheet.getByLabelText<HTMLInputElement>('A word for it').value).toBe('Dentist');
        fireEvent.click(sheet.getByRole('button', { name: 'Hold this time' }));
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        expect(written(sent).at(-1)!.body).toEqual({
            kind: 'busy',
            title: 'Dentist',
            instructor_id: session.user.id,
            starts_at: '2026-05-21T13:00:00.000Z',
            ends_at: '2026-05-21T14:00:00.000Z',
        });
    });

    it('holds a test with its learner, car and centre, and a car that is away with nobody', async () => {
        const sent = server({ [WEEK]: mine, ...asked, 'POST busy-times': dentist });
        show(<WeekPage />);
        const [learner, car, centre] = [answer('demo-learners')[0]!, answer('demo-vehicles')[0]!, answer('demo-centres')[0]!];
        let sheet = await hold();
        fireEvent.click(sheet.getByLabelText('A learner has their test'));
        await sheet.findByRole('option', { name: learner.name });
        fireEvent.change(sheet.getByLabelText('Learner'), { target: { value: learner.id } });
        fireEvent.change(sheet.getByLabelText('Car'), { target: { value: car.id } });
        fireEvent.change(sheet.getByLabelText('Where'), { target: { value: centre.id } });
        fireEvent.click(sheet.getByRole('button', { name: 'Hold this time' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]!.body).toMatchObject({ kind: 'test', learner_id: learner.id, vehicle_id: car.id, centre_id: centre.id, title: null });
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        sheet = await hold();
        fireEvent.click(sheet.getByLabelText('A car is away'));
        fireEvent.change(sheet.getByLabelText('Car'), { target: { value: car.id } });
        fireEvent.click(sheet.getByRole('button', { name: 'Hold this time' }));
        await waitFor(() => expect(written(sent)).toHaveLength(2));
        expect(Object.keys(written(sent)[1]!.body as object).sort()).toEqual(['ends_at', 'kind', 'starts_at', 'title', 'vehicle_id']);
    });

    it('changes what is held, and gives it back; undone it is held again', async () => {
        const address = `busy-times/${dentist.id}`;
        const sent = server({ [WEEK]: mine, ...asked, [`PUT ${address}`]: dentist, [`DELETE ${address}`]: 204, [`POST ${address}/restore`]: dentist });
        show(<WeekPage />);
        fireEvent.click((await line()).getByRole('button', { name: /^Dentist/ }));
        let sheet = within(await screen.findByRole('dialog', { name: 'Dentist' }));
        fireEvent.change(sheet.getByLabelText('Until'), { target: { value: '2026-05-21T13:30' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Keep it so' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]).toMatchObject({ method: 'PUT', body: { title: 'Dentist', ends_at: '2026-05-21T12:30:00.000Z' } });
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        fireEvent.click(within(screen.getByRole('group', { name: 'Week as a list' })).getByRole('button', { name: /Dentist/ }));
        sheet = within(await screen.findByRole('dialog', { name: 'Dentist' }));
        fireEvent.click(sheet.getByRole('button', { name: 'Give the time back' }));
        expect(await screen.findByText('Dentist: the time is free again')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent).map(({ path }) => path)).toEqual([address, address, `${address}/restore`]));
    });

    it('takes what is held somewhere else by key or by hand: the sheet asks, kept it is written, undone it is as it was', async () => {
        const address = `busy-times/${dentist.id}`;
        const sent = server({ [WEEK]: mine, ...asked, [`PUT ${address}`]: dentist });
        show(<WeekPage />);
        const block = async () => (await line()).getByRole('button', { name: /^Dentist/ });
        fireEvent.keyDown(await block(), { key: 'Tab' });
        expect(screen.queryByRole('dialog')).toBeNull();
        fireEvent.keyDown(await block(), { key: 'ArrowRight' });
        let sheet = within(await screen.findByRole('dialog', { name: 'Dentist' }));
        const [from, until] = ['From', 'Until'].map((label) => sheet.getByLabelText<HTMLInputElement>(label).value);
        expect([from, until]).toEqual(['2026-05-21T12:30', '2026-05-21T13:15']);
        fireEvent.keyDown(document.activeElement!, { key: 'Escape' });
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        expect(written(sent)).toEqual([]);
        // Let go on Friday's line, as far to the right as an hour is wide.
        const held = await block();
        const row = held.parentElement!;
        const friday = screen.getAllByRole('region', { name: 'Friday 22 May' })[0]!.querySelector<HTMLElement>('[data-day]')!;
        vi.spyOn(row, 'getBoundingClientRect').mockReturnValue({ width: 600, left: 0 } as DOMRect);
        document.elementsFromPoint = () => [friday];
        held.setPointerCapture = () => undefined;
        const hours = (await line()).getAllByText(/^\d\d$/).length - 1;
        fireEvent.pointerDown(held, { button: 0, clientX: 100, clientY: 10 });
        fireEvent.pointerMove(held, { clientX: 100 + 600 / hours, clientY: 80 });
        fireEvent.pointerUp(held, { clientX: 100 + 600 / hours, clientY: 80 });
        sheet = within(await screen.findByRole('dialog', { name: 'Dentist' }));
        expect(sheet.getByLabelText<HTMLInputElement>('From').value).toBe('2026-05-22T13:15');
        fireEvent.click(sheet.getByRole('button', { name: 'Keep it so' }));
        expect(await screen.findByText('Dentist: Friday 22 May, 13:15')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent)).toHaveLength(2));
        expect(written(sent).map(({ body }) => body)).toMatchObject([
            { starts_at: '2026-05-22T12:15:00.000Z', ends_at: '2026-05-22T13:00:00.000Z' },
            { starts_at: '2026-05-21T11:15:00.000Z', ends_at: '2026-05-21T12:00:00.000Z', title: 'Dentist' },
        ]);
    });

    it('shows the owner that a colleague is busy, and does not write over the word it does not read', async () => {
        const other = { id: '0190b5a4-0000-7000-8000-00000000bbbb', name: 'Piet Lund' };
        const days = week.days.map((day) => ({ ...day, busy: day.busy.map((one) => (one.kind === 'busy' ? { ...one, title: null } : one)) }));
        const sent = server({ [WEEK]: { ...week, person: other, days }, ...asked, [`PUT busy-times/${dentist.id}`]: dentist });
        show(<WeekPage />, 'owner');
        fireEvent.click((await line()).getByRole('button', { name: /^Busy, Thursday/ }));
        const sheet = within(await screen.findByRole('dialog', { name: 'Busy' }));
        fireEvent.click(sheet.getByRole('button', { name: 'Keep it so' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]!.body).not.toHaveProperty('title');
        expect(written(sent)[0]!.body).toMatchObject({ instructor_id: other.id });
    });

    it('says how much there was of a lesson that was cut short; undone it is booked as before', async () => {
        const begun = lessons.find(({ state, starts_at }) => state === 'booked' && starts_at < '2026-05-20T09:00')!;
        vi.setSystemTime(new Date(Date.parse(begun.starts_at) + 40 * 60_000));
        const sent = server({ [WEEK]: mine, [`PATCH lessons/${begun.id}`]: answer('demo-lesson-planned') });
        show(<WeekPage />);
        fireEvent.click(await blockOf(begun.learner.name, /Wednesday/));
        fireEvent.click(screen.getByRole('button', { name: 'Cut short' }));
        const sheet = within(await screen.findByRole('dialog'));
        expect(sheet.getByText(`Booked were ${begun.minutes}.`)).toBeTruthy();
        fireEvent.change(sheet.getByLabelText('Minutes there were'), { target: { value: '35' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Cut it short' }));
        expect(await screen.findByText(`${begun.learner.name}: cut to 35 min`)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent).map(({ body }) => body)).toEqual([{ state: 'cut-short', cut_to_minutes: 35 }, { state: 'booked' }]));
    });

    it('looks for free times two weeks on, up to eight, and says where there are none', async () => {
        const query = (from: string) => `GET free?lesson=${first.id}&minutes=${first.minutes}&from=${from}`;
        server({
            [WEEK]: mine,
            [fitAt(new Date(first.starts_at).toISOString())]: free,
            [query('2026-05-21')]: [],
            [query('2026-06-04')]: [],
            [query('2026-06-18')]: [],
            [query('2026-07-02')]: [],
        });
        show(<WeekPage />);
        fireEvent.click(await blockOf());
        fireEvent.click(within(screen.getByRole('region', { name: 'Chosen lesson' })).getByRole('button', { name: 'Move' }));
        const sheet = within(await screen.findByRole('dialog'));
        fireEvent.click(sheet.getByRole('button', { name: 'Free times' }));
        expect(await sheet.findByText(/Nothing is free in these two weeks/)).toBeTruthy();
        expect(sheet.queryByRole('button', { name: 'Two weeks before' })).toBeNull();
        for (let i = 0; i < 3; i++) fireEvent.click(await sheet.findByRole('button', { name: 'Two weeks on' }));
        expect(await sheet.findByRole('button', { name: 'Two weeks before' })).toBeTruthy();
        await waitFor(() => expect(sheet.queryByRole('button', { name: 'Two weeks on' })).toBeNull());
    });

    it('offers an hour that came free in one’s own diary only', async () => {
        const off = lessons.find(({ state }) => state === 'cancelled')!;
        const days = (instructor_id: string) =>
            week.days.map((day) => ({ ...day, lessons: day.lessons.map((one) => (one.id === off.id ? { ...one, instructor_id } : one)) }));
        for (const [whose, keys] of [
            [session.user.id, 1],
            ['0190b5a4-0000-7000-8000-00000000bbbb', 0],
        ] as const) {
            server({ [WEEK]: { ...mine, days: days(whose) }, [`GET lessons/${off.id}/offers`]: [] });
            show(<WeekPage />, 'owner');
            fireEvent.click((await line()).getByRole('button', { name: /cancelled by the learner/ }));
            expect(screen.queryAllByRole('button', { name: 'Offer this hour' })).toHaveLength(keys);
            if (keys > 0) fireEvent.click(screen.getByRole('button', { name: 'Offer this hour' }));
            if (keys > 0) expect(await screen.findByText(/fits nobody/)).toBeTruthy();
            cleanup();
        }
    });

    it('gives a lesson of one’s own as a file for a calendar', async () => {
        const made: Blob[] = [];
        vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: (blob: Blob) => `blob:${made.push(blob)}`, revokeObjectURL: () => undefined }));
        const click = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => undefined);
        server({ [WEEK]: mine, [`GET lessons/${first.id}/calendar`]: { ics: 'BEGIN:VCALENDAR' } });
        show(<WeekPage />);
        fireEvent.click(await blockOf());
        fireEvent.click(screen.getByRole('button', { name: 'As a file' }));
        await waitFor(() => expect(click).toHaveBeenCalledOnce());
        expect((click.mock.contexts[0] as HTMLAnchorElement).download).toBe(`lesson-${first.starts_at.slice(0, 10)}.ics`);
        expect(made[0]!.type).toBe('text/calendar');
        click.mockRestore();
    });
});
