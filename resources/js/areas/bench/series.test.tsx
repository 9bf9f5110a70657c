import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { SeriesAsked } from '@/api/types';
import { linesOf, RowPicture } from '@/road/RowPicture';
import { answer, besideATool, server, show, tool } from '@/testing/answers';
import { SeriesBench } from './SeriesBench';

const row = answer('tool-series');
const close = answer('tool-series-close');
const closeRow = [
    { what: 'join', at: 0, speed: 60, slip: 320 },
    { what: 'leave', at: 90, speed: 60, slip: 300 },
];
const others = besideATool();
const asked = (sent: ReturnType<typeof server>) => sent.filter(({ path }) => path === 'compute/series').map(({ body }) => (body as SeriesAsked).parts!);

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('several in a row', () => {
    it('say in the first view whether each fits, and what is said by where', async () => {
        server({ ...others, 'POST compute/series': tool('tool-series') });
        show(<SeriesBench />, 'instructor', '/bench/series');
        expect(await screen.findByText('Each fits behind the one before')).toBeTruthy();
        const said = within(screen.getByRole('region', { name: 'What is said' })).getAllByRole('listitem');
        expect(said.map((one) => one.textContent)).toEqual(
            row.directions.map((one) => expect.stringContaining(`“${one.say}” by ${Math.round(one.say_at_m)} m before ${one.parts[0]! + 1}`) as string),
        );
        const table = within(screen.getByRole('region', { name: 'One after the other' }));
        for (const [i, plan] of row.plans.entries()) {
            const line = table.getByRole('row', { name: new RegExp(`^${i + 1} `) });
            const at = plan.tool === 'approach' ? plan.plan.steps.find(({ step }) => step === 'mirrors')!.best_m : undefined;
            if (at !== undefined) expect(line.textContent).toContain(`${Math.round(at)} m`);
        }
        const waits = screen.getByRole('region', { name: 'Who waits for whom' });
        expect(waits.textContent).toContain('We wait for whoever is on it already and comes from the right.');
        expect(waits.textContent).toContain('Whoever comes to it after us');
    });

    it('name the one there is no room for, and why', async () => {
        server({ ...others, 'POST compute/series': tool('tool-series-close') });
        show(<SeriesBench />, 'instructor', `/bench/series?row=${encodeURIComponent(JSON.stringify(closeRow))}`);
        expect(await screen.findByText('2 Slip road off: no room behind the one before')).toBeTruthy();
        expect(screen.getAllByText(close.plans[1]!.message!, { exact: false }).length).toBeGreaterThan(0);
        // A row of two is the least there is.
        expect(screen.queryByRole('button', { name: /^Take out/ })).toBeNull();
    });

    it('are changed one by one: another kind, another place, one more, one less', async () => {
        const sent = server({ ...others, 'POST compute/series': tool('tool-series') });
        show(<SeriesBench />, 'instructor', '/bench/series');
        await waitFor(() => expect(asked(sent)).toHaveLength(1));
        expect(asked(sent)[0]).toMatchObject([
            { tool: 'approach', routine: 'roundabout', exit: 'left' },
            { tool: 'join', distance_m: 60, main_speed_mph: 60 },
            { tool: 'leave', distance_m: 1400 },
            { tool: 'approach', routine: 'roundabout', exit: 'right', distance_m: 0 },
            { tool: 'approach', routine: 'turn-left', distance_m: 90 },
        ]);
        fireEvent.change(screen.getByLabelText('What comes 4'), { target: { value: 'cross' } });
        fireEvent.change(screen.getByLabelText('From 2 to 3, m'), { target: { value: '800' } });
        fireEvent.change(screen.getByLabelText('Limit of 5, mph'), { target: { value: '9999' } });
        await waitFor(() =>
            expect(asked(sent).at(-1)).toMatchObject([{}, {}, { distance_m: 800 }, { tool: 'approach', routine: 'cross' }, { limit_mph: 160 }]),
        );
        expect(asked(sent).at(-1)![3]).not.toHaveProperty('exit');
        // Nothing typed is nothing said.
        fireEvent.change(screen.getByLabelText('From 2 to 3, m'), { target: { value: '' } });
        fireEvent.click(screen.getByRole('button', { name: 'Take out 1' }));
        fireEvent.click(screen.getByRole('button', { name: 'Another behind it' }));
        await waitFor(() => expect(asked(sent).at(-1)).toHaveLength(5));
        // What is first now has nothing before it to come of.
        expect(asked(sent).at(-1)![0]).toEqual({ tool: 'join', slip_length_m: 320, main_speed_mph: 60, entry_speed_mph: 39 });
        expect(asked(sent).at(-1)![4]).toEqual({ tool: 'approach', distance_m: 90, routine: 'turn-left', limit_mph: 160 });
    });
});

describe('the picture of a row', () => {
    it('has slip roads on the side that traffic keeps, and says what it shows', () => {
        const top = (keeps: 'left' | 'right') => {
            const { container } = show(<RowPicture answer={row} names={row.plans.map(({ tool: kind }) => kind)} unit="m" keeps={keeps} />);
            const d = container.querySelector('path')!.getAttribute('d')!;
            const road = Number(container.querySelector('rect')!.getAttribute('y'));
            const from = Number(/^M[\d.]+,([\d.]+)/.exec(d)![1]);
            expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(/^5 in a row over \d+ m: approach, then join/);
            cleanup();
            return from < road;
        };
        expect([top('left'), top('right')]).toEqual([true, false]);
    });

    it('puts what would lie on each other on lines of its own', () => {
        expect(linesOf([0, 10, 20, 30, 200], 25)).toEqual([0, 1, 2, 0, 0]);
        expect(linesOf([0, 5, 6, 7], 50)).toEqual([0, 1, 2, 0]);
        expect(linesOf([], 50)).toEqual([]);
    });
});
