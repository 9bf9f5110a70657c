import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useLocation } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Asked } from '@/api/tools';
import type { CircuitAnswer } from '@/api/types';
import { answer, server, show, tool, type Sent } from '@/testing/answers';
import { SeatSheet } from './SeatSheet';
import { isSaidBefore, toldBefore, whereToSay, type SeatStop } from './rows';

const lesson = answer('demo-lesson-planned');
const onward = answer('demo-onward');
const stops = lesson.items.map(({ id, place, routine, plan }): SeatStop => ({
    id,
    name: place.name,
    routine,
    about: '2 rounds',
    note: place.note,
    plan: plan,
}));
const asked = {
    pack: 'gb',
    minutes: 55,
    start: { latitude_deg: 49.2, longitude_deg: -8.1 },
    ways: stops.map(({ id, routine }) => ({ id, routine, in: { latitude_deg: 49.2, longitude_deg: -8.1 } })),
} as Asked<'circuit'>;
const replies = { 'POST compute/approach': tool('tool-approach'), 'POST compute/circuit': onward, 'GET routines?pack=gb': answer('demo-routines') };
const Address = () => <output data-testid="address">{useLocation().search}</output>;
const open = (more: Partial<React.ComponentProps<typeof SeatSheet>> = {}) =>
    show(
        <>
            <SeatSheet title="Right turns" about="60 minutes" stops={stops} asked={asked} back={<a href="/x">Back</a>} {...more} />
            <Address />
        </>,
        'instructor',
    );
const rows = () => within(screen.getByRole('list', { name: 'On the way' })).getAllByRole('listitem');
const circuits = (sent: Sent[]) => sent.filter(({ path }) => path === 'compute/circuit').map(({ body }) => body as Asked<'circuit'>);

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the sheet for the seat beside', () => {
    it('says of each way how it is asked for and where, how far it is, and where each step belongs', async () => {
        const sent = server(replies);
        open();
        await screen.findByText(/by 163 m before the line/);
        const one = tool('tool-approach')({ body: {} } as Sent) as {
            direction: string;
            say_at_m: number;
            steps: { step: string; best_m: number; watch: string }[];
        };
        onward.directions.forEach(({ say, say_at_m }, i) => {
            expect(rows()[i]!.textContent).toContain(`“${say}” by ${Math.round(say_at_m)} m before the line`);
        });
        expect(rows()[0]!.textContent).toContain('2 rounds · about 3 min there, 1.2 km');
        expect(rows()[0]!.textContent).toContain(`Mirrors ${Math.round(one.steps[0]!.best_m)} m · Signal`);
        expect(rows()[0]!.textContent).toContain(lesson.items[0]!.place.note);
        // The core is asked with the words and the distance of each plan.
        expect(
            circuits(sent)
                .at(-1)!
                .ways!.map(({ direction, say_at_m }) => [direction, say_at_m]),
        ).toEqual(stops.map(() => [one.direction, one.say_at_m]));
    });

    it('keeps the eye on one step: that of the lesson first, another by choice, in the address', async () => {
        server(replies);
        open({ aim: 'look' });
        await screen.findByText(/by 163 m before the line/);
        const { steps } = tool('tool-approach')({ body: {} } as Sent) as { steps: { step: string; watch: string }[] };
        const watch = (step: string) => steps.find((one) => one.step === step)!.watch;
        expect(rows()[0]!.textContent).toContain(watch('look'));
        fireEvent.change(screen.getByLabelText('Watch'), { target: { value: 'signal' } });
        expect(rows()[0]!.textContent).toContain(watch('signal'));
        expect(rows()[0]!.textContent).not.toContain(watch('look'));
        expect(screen.getByTestId('address').textContent).toBe('?watch=signal');
    });

    it('stands without the drives where nobody knows where it starts, and says which way has no plan', async () => {
        const sent = server(replies);
        open({ asked: null, stops: [stops[0]!, { ...stops[1]!, plan: null }] });
        await screen.findByText(/Mirrors \d+ m/);
        expect(rows()[0]!.textContent).toContain('“');
        expect(rows()[0]!.textContent).not.toContain('min there');
        expect(rows()[1]!.textContent).toContain('It has no plan');
        expect(circuits(sent)).toEqual([]);
    });

    it('says of what lies close behind the one before how it follows, and of nothing else', async () => {
        const whole = answer('tool-series');
        // Two lines of it, the one behind the other.
        const series = { ...whole, plans: [whole.plans[0]!, whole.plans[4]!] };
        const near = onward.parts.map((part) => (part.kind === 'drive' && part.way === stops[1]!.id ? { ...part, distance_m: 140, measured: false } : part));
        const sent = server({ ...replies, 'POST compute/circuit': { ...onward, parts: near }, 'POST compute/series': series });
        open();
        const message = series.plans[1]!.message!;
        await screen.findByText(`About 140 m behind the one before. ${message}`);
        expect(rows()[1]!.textContent).toContain(message);
        expect(rows().filter(({ textContent }) => textContent.includes('behind the one before'))).toHaveLength(1);
        // Its steps are those of the row, not those of its plan alone.
        const behind = series.plans[1]!;
        if (behind.tool !== 'approach') throw new Error('a line');
        expect(rows()[1]!.textContent).toContain(`Mirrors ${Math.round(behind.plan.steps[0]!.best_m)} m · Signal`);
        const { parts } = sent.find(({ path }) => path === 'compute/series')!.body as Asked<'series'>;
        expect(parts!.map((part) => (part as { distance_m?: number }).distance_m)).toEqual([undefined, 140]);
    });

    it('says where a row is not worked out that the places are those of each plan alone', async () => {
        const near = onward.parts.map((part) => (part.kind === 'drive' && part.way === stops[1]!.id ? { ...part, distance_m: 140 } : part));
        const refused = { message: 'no', errors: { 'parts.1.routine': ['is not planned here.'] } };
        server({ ...replies, 'POST compute/circuit': { ...onward, parts: near }, 'POST compute/series': refused });
        open();
        await screen.findByText('How it follows the one before is not worked out: these are the places of its plan alone.');
        expect(rows()[0]!.textContent).not.toContain('not worked out');
        expect(rows()[1]!.textContent).toMatch(/not worked out.*Mirrors \d+ m/);
    });

    it('says what cannot be had, and leaves the rest', async () => {
        server({ ...replies, 'POST compute/circuit': { message: 'no', errors: { minutes: ['must be 90 or more.'] } } });
        open();
        expect((await screen.findByText(/Where the directions are said is not worked out/)).parentElement!.textContent).toContain('must be 90 or more.');
        expect(rows()).toHaveLength(3);
        cleanup();
        server({ ...replies, 'POST compute/approach': 500 });
        open();
        await waitFor(() => expect(rows()[0]!.textContent).toContain('Its plan is not shown'));
    });
});

describe('where a direction is said', () => {
    const one = onward.directions[0]!;
    const together: CircuitAnswer = { ...onward, directions: [{ ...one, ways: ['a', 'b'], message: 'b: too close behind.' }] };

    it('is by so far before the line, or before setting off where the line is nearer', () => {
        expect(whereToSay(one, 'm')).toBe('by 163 m before the line');
        expect(whereToSay(one, 'ft')).toBe('by 536 ft before the line');
        expect(whereToSay({ ...one, driven_m: 100 }, 'm')).toBe('before setting off: the line is nearer than 163 m');
        expect(whereToSay({ ...one, say_at_m: 0 }, 'm')).toBe('as it comes');
    });

    it('is with the one before it where they lie close together', () => {
        expect(toldBefore(together, 'a')?.message).toBe('b: too close behind.');
        expect(toldBefore(together, 'b')).toBeNull();
        expect([isSaidBefore(together, 'a'), isSaidBefore(together, 'b'), isSaidBefore(undefined, 'b')]).toEqual([false, true, false]);
    });
});
