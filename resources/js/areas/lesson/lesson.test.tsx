import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Lesson } from '@/api/types';
import { marksQueue } from '@/queue/marks';
import { RulesOf } from '@/rules/rules';
import { answer, server, show, tool, written, type Sent } from '@/testing/answers';
import { DebriefFace } from './debrief/DebriefFace';
import { DriveFace } from './drive/DriveFace';
import { PlanFace } from './plan/PlanFace';

const planned = answer('demo-lesson-planned');
const driven = answer('demo-lesson-driven');
const tools = { 'POST compute/approach': tool('tool-approach'), 'GET places': answer('demo-places'), 'GET routines?pack=gb': answer('demo-routines') };
const face = (what: (lesson: Lesson) => React.ReactNode, lesson: Lesson) => show(<RulesOf rules={lesson.rules}>{what(lesson)}</RulesOf>, 'instructor');
const computed = (sent: Sent[]) => sent.filter((one) => one.path === 'compute/approach').map((one) => one.body as Record<string, unknown>);

beforeEach(() => {
    sessionStorage.clear();
});
afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the plan', () => {
    it('has the places in their order with their minutes, and opens the first', () => {
        server(tools);
        face((lesson) => <PlanFace lesson={lesson} />, planned);
        const keys = within(screen.getByRole('list', { name: 'In order' }))
            .getAllByRole('button')
            .filter((key) => /\d+\. /.test(key.textContent));
        expect(keys.map((key) => key.textContent)).toEqual(planned.items.map((item, i) => `${i + 1}. ${item.place.name}${item.minutes} min`));
        expect(screen.getByRole('region', { name: `Brief: ${planned.items[0]!.place.name}` })).toBeTruthy();
    });

    it('asks the core what the server said this place is planned with: the road, the rules, the car and the learner', async () => {
        const sent = server(tools);
        face((lesson) => <PlanFace lesson={lesson} />, planned);
        await waitFor(() => expect(computed(sent).length).toBeGreaterThan(0));
        const { plan } = planned.items[0]!;
        if (plan.tool !== 'approach') throw new Error('The first place of the demo has an approach.');
        const { gradient: _, ...inputs } = plan.inputs;
        expect(computed(sent)[0]).toMatchObject(inputs);
        expect(computed(sent)[0]!.vehicle).toMatchObject({ name: planned.vehicle.name, transmission: planned.vehicle.transmission });
        // Each control's range is one question, and what they have in common travels once.
        expect(computed(sent).every((asked) => (asked.sweep as { folded: boolean }).folded)).toBe(true);
        expect(computed(sent)).toHaveLength(2);
    });

    it('puts places in another order by writing them all', async () => {
        const sent = server(tools);
        face((lesson) => <PlanFace lesson={lesson} />, planned);
        screen.getByRole('button', { name: /later/i }).click();
        const [first, second, ...rest] = planned.items.map((item) => item.id);
        await waitFor(() =>
            expect(written(sent).find((one) => one.method === 'PUT')).toMatchObject({
                path: `lessons/${planned.id}/order`,
                body: { items: [second, first, ...rest] },
            }),
        );
    });

    it('says what to do where nothing is planned', () => {
        server(tools);
        face((lesson) => <PlanFace lesson={lesson} />, { ...planned, items: [] });
        expect(screen.getByText('No places yet')).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Add a place' })).toBeTruthy();
    });
});

describe('the drive', () => {
    const drive = async () => {
        const sent = server({ ...tools, 'POST sync': { rounds: [], marks: [], stands: [] } });
        await marksQueue.load('somebody new each time '.concat(crypto.randomUUID()), () => Promise.resolve());
        face((lesson) => <DriveFace lesson={lesson} />, { ...planned, rounds: [] });
        return sent;
    };

    it('writes one press as a mark, and with the first of a round what it is driven against', async () => {
        const sent = await drive();
        const { steps } = planned.rules.routines.find((one) => one.code === planned.items[0]!.routine)!;
        expect(steps.length).toBe(5);
        (await screen.findByRole('button', { name: /^Position missed$/i })).click();
        const batch = await waitFor(() => sent.find((one) => one.path === 'sync')!.body as { rounds: object[]; marks: object[] });
        expect(batch.rounds).toEqual([
            expect.objectContaining({
                lesson_id: planned.id,
                place_id: planned.items[0]!.place.id,
                routine: planned.items[0]!.routine,
                plan: planned.items[0]!.plan,
            }),
        ]);
        expect(batch.marks).toEqual([expect.objectContaining({ kind: 'step', step: 'position', outcome: 'missed' })]);
        // Only what the contract takes travels: not the place's name, nor what the server alone says.
        expect(batch.rounds[0]).not.toHaveProperty('place');
    });

    it('takes a step, its kind of fault and what it did to others in three presses, each a mark that follows the one before', async () => {
        const sent = await drive();
        const routine = planned.rules.routines.find((one) => one.code === planned.items[0]!.routine)!;
        (await screen.findByRole('button', { name: /^Look missed$/i })).click();
        const panel = within(await screen.findByRole('region', { name: 'What was wrong with look' }));
        const kinds = within(panel.getByRole('group', { name: 'Kind' })).getAllByRole('button');
        // The core's own order, in its own words.
        expect(kinds.map((key) => key.textContent)).toEqual(routine.faults.look!.map((fault) => planned.rules.faults.look![fault]));
        expect(kinds.length).toBeGreaterThanOrEqual(3);
        kinds[1]!.click();
        (await panel.findByRole('button', { name: 'Others: Had to change' })).click();
        // Kind and effect said: nothing more is asked.
        await waitFor(() => expect(screen.queryByRole('region', { name: 'What was wrong with look' })).toBeNull());
        const marks = () => sent.filter((one) => one.path === 'sync').flatMap((one) => (one.body as { marks: Record<string, unknown>[] }).marks);
        await waitFor(() => expect(new Set(marks().map((mark) => mark.id)).size).toBe(3));
        const [first, second, third] = [...new Map(marks().map((mark) => [mark.id, mark])).values()];
        expect(first).toMatchObject({ step: 'look', outcome: 'missed', fault: null, effect: null });
        expect(second).toMatchObject({ outcome: 'missed', fault: routine.faults.look![1], effect: null, corrects_id: first!.id });
        expect(third).toMatchObject({ outcome: 'missed', fault: routine.faults.look![1], effect: 'affected', corrects_id: second!.id });
        // It stands beside the step, and opens again from there.
        (await screen.findByRole('button', { name: 'What was wrong with look' })).click();
        await screen.findByRole('region', { name: 'What was wrong with look' });
    });

    it('makes stepping in an outcome too, and takes it off with the next one', async () => {
        const sent = await drive();
        (await screen.findByRole('button', { name: /^Speed prompted$/i })).click();
        (await screen.findByRole('button', { name: 'Others: We stepped in' })).click();
        (await screen.findByRole('button', { name: /^Speed missed$/i })).click();
        const marks = () => sent.filter((one) => one.path === 'sync').flatMap((one) => (one.body as { marks: Record<string, unknown>[] }).marks);
        await waitFor(() => expect(new Set(marks().map((mark) => mark.id)).size).toBe(3));
        const said = [...new Map(marks().map((mark) => [mark.id, [mark.outcome, mark.effect]])).values()];
        expect(said).toEqual([
            ['prompted', null],
            ['intervened', 'intervened'],
            ['missed', null],
        ]);
    });

    it('asks nothing more of what was unaided', async () => {
        await drive();
        (await screen.findByRole('button', { name: /^Signal unaided$/i })).click();
        await screen.findByRole('button', { name: 'What was wrong with signal' });
        expect(screen.queryByRole('group', { name: 'Kind' })).toBeNull();
    });

    it('asks for no lesson again for what it sent itself', async () => {
        const sent = await drive();
        (await screen.findByRole('button', { name: /^Look unaided$/i })).click();
        await waitFor(() => expect(sent.some((one) => one.path === 'sync')).toBe(true));
        expect(screen.getByRole('button', { name: /^Look unaided$/i }).getAttribute('aria-pressed')).toBe('true');
        expect(sent.filter((one) => one.path.startsWith('lessons/'))).toEqual([]);
    });
});

describe('the debrief', () => {
    const debrief = () => {
        const sent = server({ ...tools, [`GET lessons/${driven.id}/changed`]: answer('demo-changed'), [`PATCH lessons/${driven.id}`]: driven });
        const { container } = face((lesson) => <DebriefFace lesson={lesson} />, driven);
        return { sent, text: container.textContent };
    };

    it('asks the learner first, and shows the log only beside an answer', async () => {
        const { sent } = debrief();
        const look = within(screen.getByRole('group', { name: 'Look' }));
        expect(look.queryByText(/logged/)).toBeNull();
        look.getAllByRole('button')[0]!.click();
        await waitFor(() =>
            expect(written(sent)).toEqual([
                { method: 'PATCH', path: `lessons/${driven.id}`, body: { self_rating: { ...driven.self_rating, look: 'unaided' } } },
            ]),
        );
    });

    it('names one fault with its cause and remedy, in the figures of the marks', () => {
        const { text } = debrief();
        const fault = driven.debrief.fault!;
        expect(text).toContain(`in ${fault.rounds} of ${fault.of} rounds`);
        for (const said of [fault.likely_cause, fault.remedy, fault.drill]) expect(text).toContain(said);
    });

    it('counts as many rounds as were driven', () => {
        debrief();
        const rounds = driven.rounds.filter((round) => round.ordinal !== null);
        expect(rounds.length).toBeGreaterThan(4);
        for (const place of new Set(rounds.map((round) => round.place))) expect(screen.getAllByText(new RegExp(place)).length).toBeGreaterThan(0);
    });
});
