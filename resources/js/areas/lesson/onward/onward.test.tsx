import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Asked } from '@/api/tools';
import type { Lesson } from '@/api/types';
import { RulesOf } from '@/rules/rules';
import { SessionContext } from '@/session/session';
import { answer, server, show, tool, written, type Sent } from '@/testing/answers';
import { OnwardKey } from './OnwardKey';
import { Travel } from './Travel';
import { SeatPage } from '../seat/SeatPage';

const lesson = answer('demo-lesson-planned');
const onward = answer('demo-onward');
const [first, second, third] = lesson.items as [Lesson['items'][0], Lesson['items'][0], Lesson['items'][0]];
const picked = answer('demo-learners').map((learner) =>
    learner.id === lesson.learner.id ? { ...learner, pick_up_latitude_deg: 49.197842, pick_up_longitude_deg: -8.102477 } : learner,
);
const replies = {
    'POST compute/approach': tool('tool-approach'),
    'POST compute/circuit': onward,
    'GET routines?pack=gb': answer('demo-routines'),
    'GET sites': answer('demo-sites'),
    'GET legs': answer('demo-legs'),
    'GET learners': picked,
    'GET centres': answer('demo-centres'),
};
const asked = (sent: Sent[]) => sent.filter(({ path }) => path === 'compute/circuit').map(({ body }) => body as Asked<'circuit'>);
const under = (what: React.ReactNode) => show(<RulesOf rules={lesson.rules}>{what}</RulesOf>, 'instructor');

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the drives of a plan', () => {
    it('are counted from the pick-up and back, by the hour of the lesson, in the order planned', async () => {
        const sent = server(replies);
        under(<Travel lesson={lesson} />);
        expect(
            await screen.findByText(/About 14 of 60 min are driving from place to place, from .*’s pick-up and back; the way back takes 3 min/),
        ).toBeTruthy();
        expect(asked(sent).at(-1)).toMatchObject({
            order: 'as-given',
            minutes: lesson.minutes - lesson.brief_minutes,
            debrief_s: lesson.debrief_minutes * 60,
            time_zone: 'Europe/London',
            start: { latitude_deg: 49.197842, longitude_deg: -8.102477 },
        });
        expect(
            asked(sent)
                .at(-1)!
                .ways!.map(({ id }) => id),
        ).toEqual(lesson.items.map(({ id }) => id));
        expect(screen.queryByText(/the drive there alone/)).toBeNull();
    });

    it('say which place has no more minutes than the way there takes, and which is not on the map', async () => {
        const sites = answer('demo-sites').map((site) => (site.id === third.place.site_id ? { ...site, latitude_deg: null, longitude_deg: null } : site));
        server({ ...replies, 'GET sites': sites });
        // The drive to the second takes 353 s.
        under(<Travel lesson={{ ...lesson, items: [first, { ...second, minutes: 5 }, third] }} />);
        expect(await screen.findByText(`▸ ${second.place.name}: 5 min, and the drive there alone takes 6.`)).toBeTruthy();
        expect(screen.getByText(/Where one place lies is not known/)).toBeTruthy();
    });

    it('say what is too far, and why they cannot be worked out; where nobody knows where to start they say nothing', async () => {
        server({
            ...replies,
            'POST compute/circuit': { ...onward, left_out: [{ way: third.id, rounds: 1, reason: 'out-of-reach', short_by_s: 60, message: '' }] },
        });
        under(<Travel lesson={lesson} />);
        expect(await screen.findByText(`▸ ${third.place.name}: too far for this lesson.`)).toBeTruthy();
        cleanup();
        server({ ...replies, 'POST compute/circuit': 500 });
        under(<Travel lesson={lesson} />);
        expect(await screen.findByText(/The drives between are not worked out/)).toBeTruthy();
        cleanup();
        const sent = server({ ...replies, 'GET learners': picked.map((learner) => ({ ...learner, pick_up_latitude_deg: null, pick_up_longitude_deg: null })) });
        under(<Travel lesson={lesson} />);
        await waitFor(() => expect(sent.some(({ path }) => path === 'learners')).toBe(true));
        expect(document.body.textContent).not.toContain('driving');
        expect(asked(sent)).toEqual([]);
    });
});

describe('the way on in Drive', () => {
    const key = (onGo = vi.fn(), item = first, next: Lesson['items'][0] | undefined = second) => {
        under(<OnwardKey lesson={lesson} item={item} next={next} onGo={onGo} />);
        return onGo;
    };

    it('says how the next place is asked for and where, and goes on to any by one press', async () => {
        server(replies);
        const gone = key();
        const { say, say_at_m } = onward.directions[1]!;
        expect(await screen.findByText(new RegExp(`by ${Math.round(say_at_m)} m before the line`))).toBeTruthy();
        expect(screen.getByRole('region', { name: 'The way on' }).textContent).toContain(`“${say}”`);
        fireEvent.click(screen.getByRole('button', { name: 'The way on, time left' }));
        const sheet = within(await screen.findByRole('dialog', { name: 'The way on' }));
        expect(sheet.getByText('You are here.').closest('li')!.textContent).toContain(first.place.name);
        fireEvent.click(sheet.getByRole('button', { name: `Go on to ${third.place.name}` }));
        expect(gone).toHaveBeenCalledWith(third.id);
        expect(screen.queryByRole('dialog')).toBeNull();
    });

    it('has nothing to ask for after the last place', async () => {
        server(replies);
        key(vi.fn(), third, undefined);
        under(<OnwardKey lesson={lesson} item={third} next={undefined} onGo={vi.fn()} />);
        expect((await screen.findAllByText('The last place of the plan.')).length).toBeGreaterThan(0);
        fireEvent.click(screen.getAllByRole('button', { name: 'The way on, time left' })[0]!);
        expect(await screen.findByText('Nothing on the map comes after this place.')).toBeTruthy();
    });

    it('goes on from where it last was on the map, and counts what was measured from there and home', async () => {
        const away = answer('demo-sites').map((site) => (site.id === second.place.site_id ? { ...site, latitude_deg: null, longitude_deg: null } : site));
        const drive = (from: string | null, to: string | null) => ({ from, to, time_s: 77, distance_m: 500, times: 1 });
        const measured = [drive(first.place.site_id, third.place.site_id), drive(third.place.site_id, null)];
        // Picked up nowhere known: the lesson starts and ends at the school.
        const learners = picked.map((learner) => ({ ...learner, pick_up_latitude_deg: null, pick_up_longitude_deg: null }));
        const session = answer('session');
        const sent = server({ ...replies, 'GET sites': away, 'GET legs': { measured, drives: [] }, 'GET learners': learners });
        show(
            <SessionContext value={{ ...session, school: { ...session.school, latitude_deg: 49.2, longitude_deg: -8.1 } }}>
                <RulesOf rules={lesson.rules}>
                    <OnwardKey lesson={lesson} item={second} next={third} onGo={vi.fn()} />
                </RulesOf>
            </SessionContext>,
            'instructor',
        );
        fireEvent.click(screen.getByRole('button', { name: 'The way on, time left' }));
        const site = answer('demo-sites').find(({ id }) => id === first.place.site_id)!;
        await waitFor(() => expect(asked(sent).some(({ end }) => end)).toBe(true));
        expect(
            asked(sent)
                .filter(({ end }) => end)
                .at(-1),
        ).toMatchObject({
            start: { latitude_deg: site.latitude_deg, longitude_deg: site.longitude_deg },
            legs: [
                { from: 'start', to: third.id, time_s: 77, distance_m: 500 },
                { from: third.id, to: 'end', time_s: 77, distance_m: 500 },
            ],
        });
        expect(
            asked(sent)
                .filter(({ end }) => end)
                .at(-1)!
                .ways!.map(({ id }) => id),
        ).toEqual([third.id]);
    });

    it('asks what still fits from here and back, and takes the rest off the plan, to be taken back', async () => {
        const cut = {
            ...onward,
            message: '1 of 2 fit.',
            order: [second.id],
            left_out: [{ way: third.id, rounds: 2, reason: 'no-time', short_by_s: 240, message: `${third.place.name} does not fit: 4 min too long.` }],
        };
        const sent = server({
            ...replies,
            'POST compute/circuit': ({ body }) => ((body as Asked<'circuit'>).end ? cut : onward),
            [`DELETE items/${third.id}`]: 204,
            [`POST items/${third.id}/restore`]: third,
        });
        key();
        fireEvent.click(screen.getByRole('button', { name: 'The way on, time left' }));
        expect(await screen.findByText('1 of 2 fit.')).toBeTruthy();
        const site = answer('demo-sites').find(({ id }) => id === first.place.site_id)!;
        const left = asked(sent).find(({ end }) => end)!;
        expect(left).toMatchObject({
            minutes: 20,
            start: { latitude_deg: site.latitude_deg, longitude_deg: site.longitude_deg },
            end: { latitude_deg: 49.197842, longitude_deg: -8.102477 },
        });
        expect(left.ways!.map(({ id }) => id)).toEqual([second.id, third.id]);
        fireEvent.click(screen.getByRole('button', { name: 'To go: more' }));
        await waitFor(() => expect(asked(sent).some(({ end, minutes }) => end && minutes === 21)).toBe(true));
        fireEvent.click(await screen.findByRole('button', { name: `Take ${third.place.name} off the plan` }));
        await waitFor(() => expect(written(sent)).toContainEqual(expect.objectContaining({ method: 'DELETE', path: `items/${third.id}` })));
        expect(await screen.findByText(`${third.place.name} is off the plan.`)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent).at(-1)).toMatchObject({ path: `items/${third.id}/restore` }));
    });
});

describe('the lesson for the seat beside', () => {
    it('is on one page: where it starts, its aim, each place with its minutes; the eye on what it works on', async () => {
        server({ ...replies, 'GET lessons/': lesson });
        show(<SeatPage />, 'instructor');
        expect(await screen.findByRole('heading', { level: 1, name: lesson.learner.name })).toBeTruthy();
        await screen.findByText(/by 163 m before the line/);
        expect(screen.getAllByRole('heading', { level: 2 }).map(({ textContent }) => textContent)).toEqual(
            lesson.items.map(({ place }, i) => `${i + 1}. ${place.name}`),
        );
        expect(document.body.textContent).toContain('15 min · about 3 min there');
        expect(screen.getByLabelText<HTMLSelectElement>('Watch').value).toBe(lesson.works_on!.step);
        expect(screen.getByRole('link', { name: 'Back to the plan' }).getAttribute('href')).toBe(`/lessons/${lesson.id}/plan`);
    });

    it('says where there is nothing to put on it', async () => {
        server({ ...replies, 'GET lessons/': { ...lesson, items: [] } });
        show(<SeatPage />, 'instructor');
        expect(await screen.findByText(/nothing to put on a sheet/)).toBeTruthy();
    });
});
