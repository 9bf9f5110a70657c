import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Lesson, ProposedLesson } from '@/api/types';
import { RulesOf } from '@/rules/rules';
import { answer, server, show, written, type Sent } from '@/testing/answers';
import { PlanFace } from './PlanFace';
import { aimOf, leftOutOf, nameOf, withoutAPlace } from './proposedWords';

const proposal = answer('demo-proposal');
const lesson: Lesson = { ...answer('demo-lesson-planned'), items: [] };
const asked = `GET lessons/${lesson.id}/proposal`;
const [first] = proposal.ways;
const titles: Record<string, string> = Object.fromEntries(lesson.rules.routines.map(({ code, title }) => [code, title]));
const said = (way: { routine: string; name: string }) => `${titles[way.routine]}, ${way.name}`;

function face(more: Parameters<typeof server>[0] = {}, of: Lesson = lesson, said: ProposedLesson = proposal) {
    const sent = server({ [asked]: said, 'GET places': answer('demo-places'), 'GET routines?pack=gb': answer('demo-routines'), ...more });
    show(
        <RulesOf rules={of.rules}>
            <PlanFace lesson={of} />
        </RulesOf>,
        'instructor',
    );
    return sent;
}
const part = async () => within(await screen.findByRole('region', { name: 'Proposed from the record' }));
const proposals = (sent: Sent[]) => sent.filter(({ path }) => path.includes('/proposal'));

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('a lesson that is proposed', () => {
    it('says what it is for, why, and what helps; then its ways with their rounds and minutes', async () => {
        face();
        const shown = await part();
        for (const aim of proposal.aims) {
            expect(shown.getByText(aim.message)).toBeTruthy();
            expect(shown.getByText(new RegExp(aim.remedy.drill.slice(0, 20)))).toBeTruthy();
        }
        const lines = within(shown.getAllByRole('list')[1]!).getAllByRole('listitem');
        expect(lines).toHaveLength(proposal.ways.length);
        proposal.ways.forEach((way, i) => expect(lines[i]!.textContent).toContain(`${way.minutes} min · ${way.name}`));
    });

    it.each([
        [0, 'nothing left over'],
        [59, 'nothing left over'],
        [60, '1 left over'],
        [431, '7 left over'],
    ])('says of %i s that are left: %s', async (seconds, said) => {
        face({ [asked]: { ...proposal, spare_s: seconds } });
        expect((await part()).getByText(new RegExp(`of talking, ${said} ·`))).toBeTruthy();
    });

    it.each([
        ['a way', { is_placed: true, needs_place: true }, null],
        ['nobody knows where', { is_placed: false, needs_place: true, ways: [], left_out: [] }, null],
        ['any road', { is_placed: true, needs_place: false, ways: [], left_out: [] }, 'Met on the way, at no place of its own.'],
        ['places left out', { is_placed: true, needs_place: true, ways: [] }, 'Why none of its places is driven stands below.'],
        ['no place', { is_placed: true, needs_place: true, ways: [], left_out: [] }, 'None of the school’s places is for it: perhaps you know one.'],
    ])('says of an aim with %s where it is driven', (_, { needs_place, ...more }, words) => {
        const way = proposal.ways[0]!;
        const aim = { ...proposal.aims[0]!, routine: way.routine, needs_place };
        const left = { site: way.site, from: way.from, to: way.to, routine: way.routine, name: way.name, reason: 'too-early', message: 'Too hard.' } as const;
        expect(withoutAPlace(aim, { ...proposal, left_out: [left], ...more })).toBe(words);
    });

    it('is planned again without a way that is thrown out, and as it was by one press', async () => {
        const without = { ...proposal, ways: proposal.ways.slice(1) };
        const sent = face({ [`${asked}?excluded=${encodeURIComponent(nameOf(first!))}`]: without });
        const shown = await part();
        fireEvent.click(shown.getByRole('button', { name: `Without ${said(first!)}` }));
        await waitFor(() => expect(shown.queryByRole('button', { name: `Without ${said(first!)}` })).toBeNull());
        expect(decodeURIComponent(proposals(sent).at(-1)!.path)).toContain(`excluded=${nameOf(first!)}`);
        // The key is gone with its line: who drives by keyboard goes on from the heading, not from the top of the page.
        expect(document.activeElement).toBe(shown.getByRole('heading', { name: 'Proposed from the record' }));
        fireEvent.click(shown.getByRole('button', { name: 'As it was proposed' }));
        await waitFor(() => expect(shown.getByRole('button', { name: `Without ${said(first!)}` })).toBeTruthy());
        expect(document.activeElement).toBe(shown.getByRole('heading', { name: 'Proposed from the record' }));
    });

    it('has each way that is left out with its reason, what the lesson is not for behind one press more, and takes one in', async () => {
        const { near, rest } = leftOutOf(proposal);
        expect(near.length + rest.length).toBe(proposal.left_out.length);
        const wanted = near[0] ?? rest[0]!;
        const sent = face({ [`${asked}?pinned=${encodeURIComponent(nameOf(wanted))}`]: proposal });
        const shown = await part();
        fireEvent.click(shown.getByText(`${proposal.left_out.length} ways left out, and why`));
        await shown.findByRole('button', { name: /of what this lesson is not for$/ });
        expect(shown.queryAllByRole('button', { name: /^Put in / })).toHaveLength(near.length);
        fireEvent.click(shown.getByRole('button', { name: /of what this lesson is not for$/ }));
        expect(shown.getAllByRole('button', { name: /^Put in / })).toHaveLength(proposal.left_out.length);
        fireEvent.click(shown.getAllByRole('button', { name: `Put in ${said(wanted)}` })[0]!);
        await waitFor(() => expect(decodeURIComponent(proposals(sent).at(-1)!.path)).toContain(`pinned=${nameOf(wanted)}`));
    });

    it('has why nothing of what was agreed is driven at once, until it was ticked off', async () => {
        const { near, rest } = leftOutOf(proposal);
        const agreed = rest[0]!;
        const ofIt = rest.filter(({ routine }) => routine === agreed.routine).length;
        const promise = { ...answer('demo-lesson-planned').promised_before[0]!, routine: agreed.routine, step: null, kept_at: null };
        const shows = async (kept_at: string | null) => {
            face({}, { ...lesson, promised_before: [{ ...promise, kept_at }] });
            const shown = await part();
            fireEvent.click(shown.getByText(`${proposal.left_out.length} ways left out, and why`));
            await shown.findByRole('button', { name: /of what this lesson is not for$/ });
            const keys = shown.queryAllByRole('button', { name: /^Put in / }).length;
            cleanup();
            return keys;
        };
        expect(await shows(null)).toBe(near.length + ofIt);
        expect(await shows('2026-12-01T10:00:00Z')).toBe(near.length);
    });

    it('is taken by one press: its ways on the plan in their order, its aim written', async () => {
        const place = answer('demo-places')[0]!;
        const item = answer('demo-lesson-planned').items[0]!;
        const ways = Object.fromEntries(proposal.ways.map(({ site }) => [`POST sites/${site}/ways`, place]));
        const sent = face({
            ...ways,
            [`POST lessons/${lesson.id}/items`]: item,
            [`PATCH items/${item.id}`]: item,
            [`PATCH lessons/${lesson.id}`]: lesson,
            [`GET lessons/${lesson.id}`]: lesson,
        });
        fireEvent.click((await part()).getByRole('button', { name: 'Take it' }));
        await screen.findByText(`The aim is written, ${proposal.ways.length} ways on the plan.`);
        const bodies = written(sent);
        expect(bodies.filter(({ path }) => path.endsWith('/ways')).map(({ body }) => body)).toEqual(
            proposal.ways.map(({ from, to, routine }) => ({ from, to, routine })),
        );
        expect(bodies.filter(({ path }) => path.startsWith('items/')).map(({ body }) => body)).toEqual(proposal.ways.map(({ minutes }) => ({ minutes })));
        expect(bodies.find(({ path }) => path === `lessons/${lesson.id}`)!.body).toMatchObject({
            aim_routine: proposal.aims[0]!.routine,
            aim_step: proposal.aims[0]!.step,
        });
    });

    it('takes nothing where a part of it is refused, and says why', async () => {
        const sent = face({ [`POST sites/${first!.site}/ways`]: 500 });
        fireEvent.click((await part()).getByRole('button', { name: 'Take it' }));
        await screen.findByText(/^Nothing was taken: /);
        expect(written(sent).some(({ path }) => path === `lessons/${lesson.id}`)).toBe(false);
    });

    it('says so where its beginning is not on the map, and where no place is needed; offers the aim alone', async () => {
        face({}, lesson, { ...proposal, ways: [], left_out: [], is_placed: false });
        expect((await part()).getByText(/is not on the map/)).toBeTruthy();
        expect((await part()).getByRole('button', { name: 'Take the aim' })).toBeTruthy();
        cleanup();
        face({}, lesson, { ...proposal, ways: [] });
        expect((await part()).getByText(/No place of the school is needed/)).toBeTruthy();
    });

    it('stands behind a press beside a plan there is, and nowhere once the lesson is done', async () => {
        const planned = answer('demo-lesson-planned');
        const sent = face({}, planned);
        expect(screen.queryByRole('region', { name: 'Proposed from the record' })).toBeNull();
        expect(proposals(sent)).toHaveLength(0);
        fireEvent.click(screen.getByText('What the record would propose'));
        expect((await part()).getByRole('button', { name: 'Take it after what is planned' })).toBeTruthy();
        cleanup();
        face({}, { ...lesson, state: 'done' });
        expect(screen.queryByRole('region', { name: 'Proposed from the record' })).toBeNull();
    });

    it('keeps its aims in words, the main one as what the lesson works on', () => {
        const kept = aimOf(proposal.aims, (code) => `<${code}>`);
        expect(kept.aim).toBe(proposal.aims.map(({ routine, step }) => `<${routine}>: ${step}`).join('; '));
        expect(kept.aim!.length).toBeLessThan(300);
    });
});
