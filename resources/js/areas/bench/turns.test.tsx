import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { LightsAsked, PriorityAsked, Rules } from '@/api/types';
import { readHeads } from '@/bench/heads';
import { readLines } from '@/bench/lines';
import { TurnsPicture } from '@/road/TurnsPicture';
import { answer, besideATool, server, show, tool } from '@/testing/answers';
import { LightsBench } from './LightsBench';
import { PriorityBench } from './PriorityBench';

/* Whose turn it is, and inside the lights: what is said is what the core said, and what is chosen is what it is asked. */

const others = besideATool();
const verdict = () => screen.getAllByRole('status')[0]!.textContent;
const last = <Asked,>(sent: ReturnType<typeof server>, name: string) =>
    sent
        .filter(({ path }) => path === `compute/${name}`)
        .map(({ body }) => body as Asked)
        .at(-1);

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('whose turn', () => {
    it('draws everybody with their turn, and lists them in the order of the core', async () => {
        const said = answer('tool-priority');
        server({ ...others, 'POST compute/priority': tool('tool-priority') });
        const { container } = show(<PriorityBench />, 'instructor', '/bench/priority');
        await waitFor(() => expect(container.textContent).toContain(said.message));
        const order = within(screen.getByRole('region', { name: 'In which order' })).getAllByRole('listitem');
        expect(order).toHaveLength(said.order.length);
        const names = { ours: 'we', right: 'the one on the right', opposite: 'the one opposite', left: 'the one on the left' };
        for (const [i, group] of said.order.entries()) for (const line of group) expect(order[i]!.textContent).toContain(names[line]);
        const numbers = [...container.querySelectorAll('svg text')].map((text) => text.textContent);
        expect(numbers.sort()).toEqual(said.order.flatMap((group, i) => group.map(() => `${i + 1}`)).sort());
    });

    it('has a question mark for everybody where nobody goes first by rule', async () => {
        server({ ...others, 'POST compute/priority': tool('tool-priority-round') });
        const three = JSON.stringify(['right', 'opposite', 'left'].map((line) => ({ line, goes: 'ahead', came: 'together' })));
        const { container } = show(<PriorityBench />, 'instructor', `/bench/priority?others=${encodeURIComponent(three)}`);
        await waitFor(() => expect(verdict()).toBe('Nobody’s turn by rule'));
        expect([...container.querySelectorAll('svg text')].map((text) => text.textContent)).toEqual(['?', '?', '?', '?']);
    });

    it('asks who came first only where it counts, and an all-way stop only where there is one', async () => {
        const arrival = server({ ...others, 'POST compute/priority': tool('tool-priority') });
        show(<PriorityBench />, 'instructor', '/bench/priority');
        const came = await screen.findAllByLabelText('came');
        expect(came).toHaveLength(2);
        fireEvent.change(came[0]!, { target: { value: 'before' } });
        await waitFor(() => {
            const { wait_s: ours, vehicles } = last<PriorityAsked>(arrival, 'priority')!;
            expect(vehicles!.find(({ line }) => line === 'right')!.wait_s).toBeGreaterThan(ours! + 1.5);
        });
        fireEvent.change(screen.getByLabelText('Where'), { target: { value: 'unmarked' } });
        await waitFor(() => expect(last<PriorityAsked>(arrival, 'priority')!.place).toBe('unmarked'));
        cleanup();

        server({ ...others, 'POST compute/priority': tool('tool-priority-unmarked') });
        show(<PriorityBench />, 'instructor', '/bench/priority');
        await waitFor(() => expect(verdict()).toBe('Nobody’s turn by rule'));
        expect(screen.queryAllByLabelText('came')).toHaveLength(0);
        expect(screen.queryByLabelText('Where')).toBeNull();
    });

    it('takes somebody away and puts somebody there', async () => {
        const sent = server({ ...others, 'POST compute/priority': tool('tool-priority') });
        show(<PriorityBench />, 'instructor', '/bench/priority');
        fireEvent.change(await screen.findByLabelText('On the right'), { target: { value: '' } });
        await waitFor(() => expect(last<PriorityAsked>(sent, 'priority')!.vehicles!.map(({ line }) => line)).toEqual(['opposite']));
        fireEvent.change(screen.getByLabelText('On the left'), { target: { value: 'back' } });
        await waitFor(() => expect(last<PriorityAsked>(sent, 'priority')!.vehicles).toContainEqual(expect.objectContaining({ line: 'left', goes: 'back' })));
    });

    it.each(['left', 'right'] as Rules['keeps'][])('draws ways that begin and end in their lanes where traffic keeps %s', (keeps) => {
        const at = readLines(JSON.stringify([{ line: 'opposite', goes: 'left', came: 'together' }]));
        const side = keeps === 'left' ? -1 : 1;
        for (const goes of ['left', 'ahead', 'right', 'back'] as const) {
            const { container } = show(
                <TurnsPicture answer={answer('tool-priority')} goes={goes} others={at} keeps={keeps} hasLines />,
                'instructor',
                '/bench/priority',
            );
            const paths = [...container.querySelectorAll('path[marker-end]')];
            const [x, y] = paths.at(-1)!.getAttribute('d')!.split('L').at(-1)!.split(',').map(Number) as [number, number];
            // Off the middle of the road it leaves by, on the side traffic keeps to as it leaves.
            const along = { left: -x, ahead: -y, right: x, back: y }[goes];
            const across = { left: -y, ahead: x, right: y, back: -x }[goes];
            expect(along).toBeGreaterThan(60);
            expect(Math.sign(across)).toBe(side);
            cleanup();
        }
    });

    it('leaves out what it cannot read', () => {
        expect(readLines('no list')).toEqual([]);
        expect(
            readLines('[{"line":"behind","goes":"ahead"},null,{"line":"left","goes":"up"},{"line":"left","goes":"ahead"},{"line":"left","goes":"back"}]'),
        ).toEqual([{ line: 'left', goes: 'ahead', came: 'together' }]);
        expect(readHeads('[{"arrow":"full","shows":"blue"},{"arrow":"up","shows":"red"},{"arrow":"left","shows":"red","other":1}]')).toEqual([
            { arrow: 'left', shows: 'red', other: false },
        ]);
        expect(readHeads('7')).toEqual([]);
    });
});

describe('lights', () => {
    it('says which of the heads is ours, and marks it', async () => {
        const said = answer('tool-lights');
        const heads = JSON.stringify([
            { arrow: 'full', shows: 'red', other: false },
            { arrow: 'left', shows: 'green', other: false },
        ]);
        const sent = server({ ...others, 'POST compute/lights': tool('tool-lights') });
        show(<LightsBench />, 'instructor', `/bench/lights?heads=${encodeURIComponent(heads)}`);
        expect(await screen.findByText(said.head!.message)).toBeTruthy();
        const list = within(screen.getByRole('list', { name: 'Lights in view' })).getAllByRole('listitem');
        expect(list.map((one) => one.textContent.includes('▸ ours'))).toEqual([0, 1].map((i) => i === said.head!.ours));
        expect(last<LightsAsked>(sent, 'lights')!.heads).toEqual([{ shows: 'red' }, { arrow: 'left', shows: 'green' }]);
    });

    it('counts the seconds after the change in the order in which they come', async () => {
        const { budget, message } = answer('tool-lights-inside');
        server({ ...others, 'POST compute/lights': tool('tool-lights-inside') });
        const { container } = show(<LightsBench />, 'instructor', '/bench/lights?stands=inside&seen=true');
        await waitFor(() => expect(container.textContent).toContain(message));
        expect(verdict()).toBe('Go');
        const table = within(screen.getByRole('region', { name: 'From the change' }));
        const after = table
            .getAllByRole('row')
            .slice(1)
            .map((row) => Number.parseFloat(row.querySelector('td')!.textContent));
        expect(after).toEqual([...after].sort((one, other) => one - other));
        expect(table.getByRole('row', { name: /^We are out/ }).textContent).toContain(`${budget!.out_s.toFixed(1)} s`);
        const went = container.querySelector('rect[fill="var(--now-fill)"]')!;
        const passed = [...container.querySelectorAll('rect[fill="var(--road)"]')].map(
            (one) => Number(one.getAttribute('x')) + Number(one.getAttribute('width')),
        );
        // Ours begins where theirs ends.
        expect(passed.some((end) => Math.abs(end - Number(went.getAttribute('x'))) < 1)).toBe(true);
    });

    it('is asked for no light until one is said, and forgets one that is taken out', async () => {
        const sent = server({ ...others, 'POST compute/lights': tool('tool-lights') });
        show(<LightsBench />, 'instructor', '/bench/lights');
        await waitFor(() => expect(last<LightsAsked>(sent, 'lights')).toBeDefined());
        expect(last<LightsAsked>(sent, 'lights')).not.toHaveProperty('heads');
        fireEvent.click(screen.getByRole('button', { name: 'Say which lights are in view' }));
        await waitFor(() => expect(last<LightsAsked>(sent, 'lights')!.heads).toEqual([{ shows: 'green' }]));
        fireEvent.click(screen.getByLabelText('other lane'));
        await waitFor(() => expect(last<LightsAsked>(sent, 'lights')!.heads).toEqual([{ shows: 'green', another_lane: true }]));
        fireEvent.click(screen.getByRole('button', { name: 'Take out light 1' }));
        // The question without one was asked before: its answer is still there.
        expect(screen.queryByLabelText('Light 1')).toBeNull();
        expect(screen.getByRole('button', { name: 'Say which lights are in view' })).toBeTruthy();
    });
});
