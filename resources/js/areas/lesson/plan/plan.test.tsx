import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Lesson } from '@/api/types';
import { RulesOf } from '@/rules/rules';
import { answer, server, show, tool, written, type Sent } from '@/testing/answers';
import { partsOf } from './parts';
import { PlanFace } from './PlanFace';

const planned = answer('demo-lesson-planned');
const tools = { 'POST compute/approach': tool('tool-approach'), 'GET places': answer('demo-places'), 'GET routines?pack=gb': answer('demo-routines') };
const face = (lesson: Lesson = planned) =>
    show(
        <RulesOf rules={lesson.rules}>
            <PlanFace lesson={lesson} />
        </RulesOf>,
        'instructor',
    );
const computed = (sent: Sent[]) => sent.filter((one) => one.path === 'compute/approach').map((one) => one.body as Record<string, unknown>);
const line = () => within(screen.getByRole('list', { name: 'In order' }));

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the minutes of a lesson', () => {
    const item = planned.items[0]!;
    const of = (minutes: number, brief: number, debrief: number, places: number[]) =>
        partsOf({
            minutes,
            brief_minutes: brief,
            debrief_minutes: debrief,
            items: places.map((one, i) => ({ ...item, id: String(i), minutes: one })),
        });

    it.each([
        [60, 5, 5, [15, 12, 18], 5],
        [60, 0, 0, [], 60],
        [60, 5, 5, [50], 0],
        [60, 10, 10, [45], -5],
        [120, 7, 8, [20, 20, 20, 20], 25],
    ])('of %i with %i and %i of talk and places of %j leave %i', (minutes, brief, debrief, places, left) => {
        const { parts, spare } = of(minutes, brief, debrief, places);
        expect(spare).toBe(left);
        // Without a gap from the beginning on, and up to the end where anything is left.
        parts.forEach((part, i) => expect(part.from).toBe(i === 0 ? 0 : parts[i - 1]!.from + parts[i - 1]!.minutes));
        const last = parts.at(-1)!;
        expect(last.from + last.minutes).toBe(Math.max(minutes, minutes - left));
        expect(parts.map((part) => part.kind)).toEqual(['brief', ...places.map(() => 'place'), ...(left > 0 ? ['spare'] : []), 'debrief']);
    });
});

describe('the plan', () => {
    it('has the whole lesson on one line with its times, and opens the first place', () => {
        server(tools);
        face();
        const keys = line().getAllByRole('button');
        const names = keys.map((key) => key.getAttribute('aria-label') ?? key.textContent);
        expect(names[0]).toMatch(/^Brief, \d\d:\d\d, 5 minutes$/);
        planned.items.forEach((item, i) =>
            expect(names[i + 1]).toMatch(new RegExp(`^${item.place.name.replace(/[()]/g, '\\$&')}, \\d\\d:\\d\\d, ${item.minutes} minutes$`)),
        );
        expect(names.at(-1)).toMatch(/^Debrief, \d\d:\d\d, 5 minutes$/);
        expect(screen.getByRole('region', { name: `Brief: ${planned.items[0]!.place.name}` })).toBeTruthy();
    });

    it('gives a place its minutes by fives and as they are typed, one after the other', async () => {
        const sent = server({ ...tools, [`PATCH items/${planned.items[0]!.id}`]: planned.items[0]! });
        face({ ...planned, items: [{ ...planned.items[0]!, minutes: 12 }, ...planned.items.slice(1)] });
        const more = await screen.findByRole('button', { name: 'More time' });
        fireEvent.click(more);
        fireEvent.click(more);
        const field = screen.getByRole('textbox', { name: /^Minutes, / });
        fireEvent.change(field, { target: { value: '7' } });
        fireEvent.blur(field);
        await waitFor(() => expect(written(sent).map((one) => one.body)).toEqual([{ minutes: 15 }, { minutes: 20 }, { minutes: 7 }]));
        fireEvent.change(field, { target: { value: '0' } });
        fireEvent.blur(field);
        expect(screen.getByText('Minutes: a whole number from 1 to 240.')).toBeTruthy();
        expect(written(sent)).toHaveLength(3);
    });

    it('says so where minutes could not be written', async () => {
        server({ ...tools, [`PATCH items/${planned.items[0]!.id}`]: 500 });
        face();
        fireEvent.click(await screen.findByRole('button', { name: 'Less time' }));
        expect((await screen.findByText(/^Not written/)).textContent).toMatch(/^Not written/);
    });

    it('gives the talk before and after driving its minutes', async () => {
        const sent = server({ ...tools, [`PATCH lessons/${planned.id}`]: planned });
        face();
        fireEvent.click(line().getByRole('button', { name: /^Debrief/ }));
        const talk = within(screen.getByRole('group', { name: 'Minutes, Talk after driving' }));
        fireEvent.click(talk.getByRole('button', { name: 'More time' }));
        await waitFor(() => expect(written(sent)).toEqual([expect.objectContaining({ method: 'PATCH', body: { debrief_minutes: 10 } })]));
        // A second press closes it again.
        fireEvent.click(line().getByRole('button', { name: /^Debrief/ }));
        expect(screen.queryByRole('group', { name: 'Minutes, Talk after driving' })).toBeNull();
    });

    it('says how many minutes are too many', () => {
        server(tools);
        face({ ...planned, minutes: 30 });
        expect(screen.getByText(/of 30 min: \d+ too many/)).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Add a place' })).toBeTruthy();
    });

    it('asks the core what the server said this place is planned with: the road, the rules, the car and the learner', async () => {
        const sent = server(tools);
        face();
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
        face();
        (await screen.findByRole('button', { name: /later/i })).click();
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
        face({ ...planned, items: [] });
        expect(screen.getByText('No places yet')).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Add a place' })).toBeTruthy();
    });

    it('has the aim beside the strip, written when it is left', async () => {
        const sent = server({ ...tools, [`PATCH lessons/${planned.id}`]: planned });
        face();
        const aim = await screen.findByRole('textbox', { name: 'Aim' });
        fireEvent.change(aim, { target: { value: 'Mirrors before every move' } });
        fireEvent.blur(aim);
        await waitFor(() => expect(written(sent).at(-1)?.body).toEqual({ aim: 'Mirrors before every move' }));
    });
});
