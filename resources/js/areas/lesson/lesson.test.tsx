import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Lesson } from '@/api/types';
import { marksQueue } from '@/queue/marks';
import { drivenAt, RulesOf } from '@/rules/rules';
import { answer, server, show, tool, written, type Sent } from '@/testing/answers';
import { DebriefFace } from './debrief/DebriefFace';
import { DriveFace } from './drive/DriveFace';

const planned = answer('demo-lesson-planned');
const driven = answer('demo-lesson-driven');
const tools = { 'POST compute/approach': tool('tool-approach'), 'GET places': answer('demo-places'), 'GET routines?pack=gb': answer('demo-routines') };
const face = (what: (lesson: Lesson) => React.ReactNode, lesson: Lesson) => show(<RulesOf rules={lesson.rules}>{what(lesson)}</RulesOf>, 'instructor');

beforeEach(() => {
    sessionStorage.clear();
});
afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
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
        (await screen.findByRole('button', { name: /^Others: I stepped in/ })).click();
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

    it('marks what was not planned: any routine, a word of where, no place and no plan', async () => {
        const sent = await drive();
        fireEvent.change(await screen.findByLabelText('Place'), { target: { value: 'away' } });
        const sheet = within(await screen.findByRole('dialog', { name: 'Somewhere else' }));
        fireEvent.change(sheet.getByLabelText('Where, in a word'), { target: { value: ' by the quay ' } });
        fireEvent.change(sheet.getByLabelText('Search routines'), { target: { value: 'hump' } });
        const hump = planned.rules.routines.find((one) => one.code === 'hump')!;
        sheet.getByRole('button', { name: hump.title }).click();
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        // A hump has no signal: its own steps stand there.
        expect(screen.queryByRole('group', { name: 'Signal' })).toBeNull();
        screen.getByRole('button', { name: /^Speed missed$/i }).click();
        const batch = await waitFor(() => sent.find((one) => one.path === 'sync')!.body as { rounds: Record<string, unknown>[]; marks: object[] });
        expect(batch.rounds).toEqual([expect.objectContaining({ place_id: null, elsewhere: 'by the quay', routine: 'hump', side: null })]);
        expect(batch.rounds[0]).not.toHaveProperty('plan');
        await screen.findByText(`1. by the quay, ${hump.title}`);
    });

    it('keeps the way out of a roundabout that was not planned, and of one that was', async () => {
        const sent = await drive();
        fireEvent.change(await screen.findByLabelText('Place'), { target: { value: 'away' } });
        const sheet = within(await screen.findByRole('dialog', { name: 'Somewhere else' }));
        sheet.getByRole('button', { name: 'Roundabout right' }).click();
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        screen.getByRole('button', { name: /^Speed missed$/i }).click();
        const rounds = () => sent.filter((one) => one.path === 'sync').flatMap((one) => (one.body as { rounds: Record<string, unknown>[] }).rounds);
        await waitFor(() => expect(rounds()).toEqual([expect.objectContaining({ place_id: null, routine: 'roundabout', side: 'right' })]));
        await screen.findByText('1. Roundabout, right');
        const roundabout = planned.rules.routines.find((one) => one.code === 'roundabout')!;
        const item = { ...planned.items[0]!, routine: 'roundabout' as const };
        const at = (exit?: string) =>
            drivenAt({ ...item, place: { ...item.place, road: { kind: 'roundabout', version: 1, ...(exit ? { exit } : {}) } as never } }, roundabout);
        expect([at('left').side, at('right').side, at('ahead').side, at().side]).toEqual(['left', 'right', null, null]);
        // Its name says the side already.
        expect(
            drivenAt(
                planned.items[0]!,
                planned.rules.routines.find((one) => one.code === 'emerge-right'),
            ).side,
        ).toBeNull();
    });

    it('finds every routine of the pack there, the last ones first', async () => {
        await drive();
        screen.getByRole('button', { name: /^Position missed$/i }).click();
        fireEvent.change(await screen.findByLabelText('Place'), { target: { value: 'away' } });
        const sheet = within(await screen.findByRole('dialog', { name: 'Somewhere else' }));
        const keys = sheet.getAllByRole('button').filter((key) => key.getAttribute('aria-label') !== 'Close');
        // Where there are several ways out, a key for each.
        const titles = planned.rules.routines.flatMap(({ title, side_by_exit: ways }) =>
            ways ? ['left', 'ahead', 'right'].map((way) => `${title} ${way}`) : [title],
        );
        expect(keys.map((key) => key.getAttribute('aria-label') ?? key.textContent).sort()).toEqual(titles.sort());
        expect(titles).toContain('Roundabout right');
        const lately = within(sheet.getByRole('region', { name: 'Just now' })).getAllByRole('button');
        expect(lately.map((key) => key.textContent)).toEqual([planned.rules.routines.find((one) => one.code === planned.items[0]!.routine)!.title]);
    });

    /** Two presses while moving, then parked. */
    const withMoments = async () => {
        const sent = await drive();
        (await screen.findAllByRole('button', { name: 'Driving' }))[0]!.click();
        const key = await screen.findByRole('button', { name: /^Mark/ });
        fireEvent.click(key);
        fireEvent.click(key);
        (await screen.findByRole('button', { name: 'Parked' })).click();
        (await screen.findByRole('button', { name: '2 moments to tell' })).click();
        return { sent, face: within(await screen.findByRole('region', { name: 'Telling a moment' })) };
    };
    const latest = (sent: Sent[]) => {
        const batches = sent.filter((one) => one.path === 'sync').map((one) => one.body as Record<'rounds' | 'marks', Record<string, unknown>[]>);
        const unique = (of: 'rounds' | 'marks') => [...new Map(batches.flatMap((batch) => batch[of]).map((one) => [one.id, one])).values()];
        return { rounds: unique('rounds'), marks: unique('marks') };
    };

    it('tells a hazard that nobody planned as a round of its own, with fault and effect in five presses after Parked', async () => {
        const { sent, face } = await withMoments();
        const bus = planned.rules.routines.find((one) => one.code === 'pass-bus')!;
        // The first was the one that opens it.
        let presses = 1;
        const press = async (key: Promise<HTMLElement>) => {
            (await key).click();
            presses += 1;
        };
        await press(face.findByRole('button', { name: bus.title }));
        await press(face.findByRole('button', { name: 'Position missed' }));
        const kinds = within(await face.findByRole('group', { name: 'Kind' }));
        expect(kinds.getAllByRole('button').map((key) => key.textContent)).toEqual(bus.faults.position!.map((fault) => planned.rules.faults.position![fault]));
        await press(Promise.resolve(kinds.getAllByRole('button')[0]!));
        await press(face.findByRole('button', { name: 'Others: Could have been' }));
        expect(presses).toBe(5);
        await waitFor(() => expect(latest(sent).marks.at(-1)).toMatchObject({ effect: 'potential' }));
        const { rounds, marks } = latest(sent);
        const moment = marks.find((mark) => mark.kind === 'moment')!;
        expect(rounds).toHaveLength(2);
        // At the time of the press, in what the drive was in, without a place or a plan.
        expect(rounds[1]).toMatchObject({ routine: 'pass-bus', place_id: null, moment_id: moment.id, device_at: moment.device_at });
        expect(marks.at(-1)).toMatchObject({
            ...{ round_id: rounds[1]!.id, step: 'position', outcome: 'missed', fault: bus.faults.position![0], effect: 'potential' },
        });
        // The moment went with the first thing that was said of it, as one press.
        const gone = marks.find((mark) => mark.withdrawn)!;
        expect(gone).toMatchObject({ kind: 'moment', corrects_id: moment.id });
        expect(marks.find((mark) => mark.kind === 'step')!.device_at).toBe(gone.device_at);
        // The next one is one press away, and asks afresh.
        face.getByRole('button', { name: 'Next moment' }).click();
        await waitFor(() => expect(face.getByRole('button', { name: bus.title }).getAttribute('aria-pressed')).toBe('false'));
    });

    it('tells a moment of the round it was pressed in, or of a right decision, or throws it away; undo brings it back', async () => {
        const { sent, face } = await withMoments();
        // The likeliest is the round it was pressed in, then what the plan has next.
        const keys = within(face.getByRole('region', { name: 'What was it?' })).getAllByRole('button');
        expect(keys[0]!.textContent).toContain('round 1');
        expect(keys[1]!.textContent).toContain(`planned: ${planned.items[1]!.place.name}`);
        keys[0]!.click();
        (await face.findByRole('button', { name: 'Let somebody go' })).click();
        await waitFor(() => expect(latest(sent).marks.at(-1)).toMatchObject({ kind: 'decision', decision: 'let-go' }));
        expect(latest(sent).rounds).toHaveLength(1);
        (await face.findByRole('button', { name: 'Undo' })).click();
        await waitFor(() =>
            expect(
                latest(sent)
                    .marks.filter((mark) => mark.kind === 'decision')
                    .at(-1),
            ).toMatchObject({ withdrawn: true }),
        );
        expect(within(screen.getByRole('list', { name: 'Moments to tell' })).getAllByRole('button')).toHaveLength(2);
        face.getByRole('button', { name: 'Throw away' }).click();
        await waitFor(() => expect(screen.queryByRole('list', { name: 'Moments to tell' })).toBeNull());
        // Nothing has to be told at once.
        face.getByRole('button', { name: 'Later' }).click();
        await screen.findByRole('button', { name: 'A moment to tell' });
    });

    it('says a moment of the place that is planned next, in a round against its plan', async () => {
        const { sent, face } = await withMoments();
        within(screen.getByRole('list', { name: 'Moments to tell' }))
            .getAllByRole('button')[1]!
            .click();
        const next = planned.items[1]!;
        face.getByRole('button', { name: new RegExp(`planned: ${next.place.name}`) }).click();
        (await face.findByRole('button', { name: 'Mirrors prompted' })).click();
        await waitFor(() => expect(latest(sent).rounds.at(-1)).toMatchObject({ place_id: next.place.id, routine: next.routine, plan: next.plan }));
    });

    it('counts with the one key: rear looks as a stretch of their own, by any key of a keyboard', async () => {
        const sent = await drive();
        fireEvent.change(await screen.findByLabelText('The key, while moving'), { target: { value: 'rear-looks' } });
        fireEvent.click(screen.getAllByRole('button', { name: 'Driving' })[0]!);
        for (const key of ['PageDown', 'b', ' ', 'Enter']) fireEvent.keyDown(document.body, { key });
        // Keys that find the way are none.
        for (const key of ['Tab', 'Shift']) fireEvent.keyDown(document.body, { key });
        fireEvent.click(screen.getByRole('button', { name: 'Press' }));
        expect(screen.getByRole('status').textContent).toBe('5');
        await new Promise((resolve) => setTimeout(resolve, 1100));
        fireEvent.click(screen.getByRole('button', { name: 'Parked' }));
        await waitFor(() => expect(latest(sent).marks).toHaveLength(1));
        const { rounds, marks } = latest(sent);
        expect(rounds).toEqual([expect.objectContaining({ routine: 'between-hazards', place_id: null })]);
        expect(marks[0]).toMatchObject({ kind: 'count', what: 'rear-looks', number: 5 });
        expect(Date.parse(marks[0]!.device_at as string) - Date.parse(rounds[0]!.device_at as string)).toBeGreaterThan(1000);
        // One press takes it back.
        fireEvent.click(screen.getAllByRole('button', { name: 'Undo' })[0]!);
        await waitFor(() => expect(latest(sent).marks.at(-1)).toMatchObject({ kind: 'count', withdrawn: true }));
    });

    it('asks which gap was taken once the car stands, and writes those before it as let go', async () => {
        const sent = await drive();
        fireEvent.change(await screen.findByLabelText('The key, while moving'), { target: { value: 'gaps' } });
        fireEvent.click(screen.getAllByRole('button', { name: 'Driving' })[0]!);
        for (let i = 0; i < 3; i++) {
            fireEvent.keyDown(document.body, { key: 'x' });
            await new Promise((resolve) => setTimeout(resolve, 150));
        }
        fireEvent.click(screen.getByRole('button', { name: 'Parked' }));
        const sheet = within(await screen.findByRole('dialog', { name: 'Which gap was taken?' }));
        fireEvent.click(sheet.getByRole('button', { name: /gap 2$/ }));
        await waitFor(() => expect(latest(sent).marks.map(({ what }) => what)).toEqual(['gaps-let-go', 'gap-taken']));
        expect(latest(sent).rounds).toEqual([expect.objectContaining({ place_id: planned.items[0]!.place.id })]);
    });

    it('marks the parts of an exercise apart, and goes on with the next part when driving off', async () => {
        const sent = await drive();
        fireEvent.change(await screen.findByLabelText('Place'), { target: { value: 'away' } });
        const far = planned.rules.routines.find((one) => one.code === 'pull-up-right-reverse')!;
        expect(Object.keys(far.stages)).toEqual(['first', 'second', 'rejoin']);
        fireEvent.click(within(await screen.findByRole('dialog', { name: 'Somewhere else' })).getByRole('button', { name: far.title }));
        await screen.findByRole('group', { name: 'Part of the round' });
        fireEvent.click(screen.getByRole('button', { name: 'Mirrors missed' }));
        fireEvent.click(screen.getAllByRole('button', { name: 'Driving' })[0]!);
        fireEvent.click(screen.getByRole('button', { name: 'Parked' }));
        // The same round, its next part, as yet unmarked.
        const again = within(await screen.findByRole('group', { name: 'Part of the round' }));
        expect(again.getByRole('button', { name: far.stages.second! }).getAttribute('aria-pressed')).toBe('true');
        expect(screen.getByRole('button', { name: 'Mirrors missed' }).getAttribute('aria-pressed')).toBe('false');
        fireEvent.click(screen.getByRole('button', { name: 'Mirrors unaided' }));
        await waitFor(() =>
            expect(latest(sent).marks.map(({ stage, outcome }) => [stage, outcome])).toEqual([
                ['first', 'missed'],
                ['second', 'unaided'],
            ]),
        );
        expect(latest(sent).rounds).toHaveLength(1);
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
    const unknown = { learners: 2, change: null, low: null, high: null, message: 'Whether it works is not known yet: 2 learners.' };
    const works = { learners: 9, change: 0.2, low: 0.1, high: 0.3, message: 'Helped: clean +20 in 100 more than their other steps gained.' };
    const debrief = (lesson: Lesson = driven) => {
        const { step, kind } = lesson.debrief.fault ?? { step: 'look', kind: null };
        const sent = server({
            ...{ ...tools, [`GET lessons/${lesson.id}/changed`]: answer('demo-changed'), [`PATCH lessons/${lesson.id}`]: lesson },
            [`GET remedies/helped/${step}${kind ? `?fault=${kind}` : ''}`]: { remedy: works, drill: unknown },
            [`POST lessons/${lesson.id}/remedies`]: {},
        });
        const { container } = face((shown) => <DebriefFace lesson={shown} />, lesson);
        return { sent, text: container.textContent };
    };

    it('begins with the aim: its rounds in their order, and how many were clean', () => {
        const asked = { ...driven, self_rating: { look: 'unaided' as const } };
        const { text } = debrief(asked);
        const { debrief: meant, works_on: aim } = driven;
        expect(aim?.step).toBeTruthy();
        expect(text.startsWith(driven.aim!)).toBe(true);
        const rounds = within(screen.getByRole('list', { name: 'Rounds of the aim, in their order' })).getAllByRole('listitem');
        expect(rounds).toHaveLength(meant.aim_rounds.length);
        expect(text).toContain(`clean in ${meant.aim_clean} of ${meant.aim_rounds.length} rounds`);
        expect(text).toContain('Of the aim, needed most help');
        cleanup();
        // Before the learner has answered, the log is not shown.
        expect(debrief({ ...driven, self_rating: {} }).text).toContain('its rounds show once the learner has answered');
        cleanup();
        const { text: without } = debrief({ ...asked, aim: null, works_on: null, debrief: { ...meant, aim_rounds: [], of_the_aim: false } });
        expect(without).not.toContain('clean in');
    });

    it('says of remedy and drill whether they have helped, and keeps that one was given', async () => {
        const { sent } = debrief();
        expect(await screen.findByText(works.message)).toBeTruthy();
        expect(screen.getByText(unknown.message)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Drill given' }));
        const { routine, step, kind } = driven.debrief.fault!;
        await waitFor(() =>
            expect(written(sent)).toEqual([{ method: 'POST', path: `lessons/${driven.id}/remedies`, body: { routine, step, fault: kind, what: 'drill' } }]),
        );
    });

    it('shows the faults of every part of a round, not only of the one that a step comes to', () => {
        const round = driven.rounds.find((one) => one.ordinal !== null)!;
        const look = {
            ...round.marks[0]!,
            kind: 'step' as const,
            step: 'look' as const,
            corrects_id: null,
            withdrawn: false,
            out_of_order: false,
            effect: null,
        };
        const parts = [
            { ...look, id: 'a', stage: 'first' as const, outcome: 'missed' as const, fault: 'late' as const },
            { ...look, id: 'b', stage: 'rejoin' as const, outcome: 'prompted' as const, fault: 'one-way-only' as const },
        ];
        debrief({ ...driven, rounds: [{ ...round, marks: parts }] });
        const seen = screen.getByRole('region', { name: 'What was seen' }).textContent;
        for (const fault of ['late', 'one-way-only']) expect(seen.toLowerCase()).toContain(driven.rules.faults.look![fault]!.toLowerCase());
    });

    it('shows what was seen by how often, and in the watcher’s order on a press: what others had to do last', () => {
        debrief();
        const seen = within(screen.getByRole('region', { name: 'What was seen' }));
        const order = driven.rules.watched.order.map(({ words }) => words);
        expect(seen.queryByText(order[0]!)).toBeNull();
        fireEvent.click(seen.getByRole('button', { name: 'In the watcher’s order' }));
        expect(seen.getAllByRole('term').map((term) => term.textContent)).toEqual(order);
        expect(order.at(-1)).toBe('What others had to do');
        // Every fault that was said stands somewhere there.
        const marks = driven.rounds.flatMap((round) => round.marks).filter((mark) => mark.fault);
        expect(marks.length).toBeGreaterThan(0);
        for (const { step, fault } of marks) expect(seen.getAllByText(new RegExp(driven.rules.faults[step!]![fault!]!, 'i')).length).toBeGreaterThan(0);
    });

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
        expect(text).toContain(`in ${fault.rounds} of ${fault.of} attempts`);
        for (const said of [fault.likely_cause, fault.remedy, fault.drill]) expect(text).toContain(said);
    });

    it('counts as many rounds as were driven', () => {
        debrief();
        const rounds = driven.rounds.filter((round) => round.ordinal !== null);
        expect(rounds.length).toBeGreaterThan(4);
        for (const place of new Set(rounds.map((round) => round.place))) expect(screen.getAllByText(new RegExp(place)).length).toBeGreaterThan(0);
    });
});
