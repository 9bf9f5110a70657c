import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { unfold } from '@/api/folded';
import type { AmberAnswer, CrossingAnswer, FollowingAnswer, StoppingAnswer } from '@/api/types';
import { answer, server, show, tool } from '@/testing/answers';
import { AmberBench } from './AmberBench';
import { CrossingBench } from './CrossingBench';
import { FollowingBench } from './FollowingBench';
import { StoppingBench } from './StoppingBench';

/* Stopping, following, amber and somebody on foot: what is said is what the core said, and what is pressed is what it is asked. */

const amber = unfold<AmberAnswer>(answer('tool-amber'));
const stopping = unfold<StoppingAnswer>(answer('tool-stopping'));
/** What a table says, row by row, once it has so many. */
const rowsOf = async (label: string, many: number) => {
    const table = await screen.findByRole('region', { name: label });
    await waitFor(() => expect(table.querySelectorAll('tbody tr')).toHaveLength(many));
    return [...table.querySelectorAll('tbody tr')].map((row) => [...row.children].map((cell) => cell.textContent));
};
const verdict = () => screen.getAllByRole('status')[0]!.textContent;
const served = (name: 'stopping' | 'following' | 'amber' | 'crossing') => {
    const swept = name === 'following' || name === 'crossing' ? (`tool-${name}-swept` as const) : (`tool-${name}` as const);
    const sent = server({ 'GET rules': answer('demo-rules'), [`POST compute/${name}`]: tool(`tool-${name}`, swept) });
    return () => sent.filter((one) => one.path === `compute/${name}`).map((one) => one.body as Record<string, unknown>);
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
});

describe('stopping', () => {
    it('follows the slider without asking again, and holds somebody who steps out against it', async () => {
        const asked = served('stopping');
        const { container } = show(<StoppingBench />, 'instructor', '/bench/stopping?speed=30&surface=wet');
        const said = (mph: number) => `${Math.round(stopping.find((one) => one.at === mph)!.total_m!)} m to stop`;
        await waitFor(() => expect(verdict()).toBe(said(30)));
        const before = asked().length;
        fireEvent.click(screen.getByRole('button', { name: 'Speed: more' }));
        await waitFor(() => expect(verdict()).toBe(said(31)));
        // Both ranges, of this road and of the dry one it is held against, were asked already.
        expect(asked()).toHaveLength(before);
        const at = stopping.find((one) => one.at === 31)!.reached_at_mps!;
        expect(at).toBeGreaterThan(0);
        expect(container.textContent).toContain(`is reached at ${Math.round(at / 0.44704)} mph`);
        expect(screen.getByRole('region', { name: 'Other speeds' }).querySelectorAll('tbody tr')).toHaveLength(6);
    });

    it('asks of the vehicle that is chosen, and draws it as long as it is told', async () => {
        const asked = served('stopping');
        const { container } = show(<StoppingBench />, 'instructor', '/bench/stopping?vehicle=rigid-lorry&speed=30&surface=wet');
        await waitFor(() => expect(asked().every(({ vehicle }) => vehicle === 'rigid-lorry')).toBe(true));
        expect(asked().length).toBeGreaterThan(0);
        const ours = () => container.querySelector('g[transform] > circle')!.parentElement!.querySelector('rect')!;
        await waitFor(() => expect(ours()).toBeTruthy());
        const perMetre = Number(ours().getAttribute('width')) / stopping.find((one) => one.at === 30)!.our_length_m;
        expect(perMetre).toBeGreaterThan(2);
        expect(container.textContent).toContain('Before the brakes act');
    });

    it('asks with own figures only where they are chosen', async () => {
        const asked = served('stopping');
        show(<StoppingBench />, 'instructor', '/bench/stopping?model=own&reaction=1.5&brake=5');
        await waitFor(() => expect(asked()[0]).toMatchObject({ model: 'own', reaction_s: 1.5, decel_mps2: 5 }));
        fireEvent.change(screen.getByLabelText(/^Figures of/), { target: { value: 'aashto' } });
        await waitFor(() => expect(asked().at(-1)).toMatchObject({ model: 'aashto' }));
        expect(asked().at(-1)).not.toHaveProperty('reaction_s');
    });
});

describe('following', () => {
    it('counts the gap by two presses, and forgets a first one whose second never came', async () => {
        const asked = served('following');
        show(<FollowingBench />, 'instructor', '/bench/following');
        await waitFor(() => expect(verdict()).toContain('Too close'));
        let now = 1000;
        vi.spyOn(performance, 'now').mockImplementation(() => now);
        fireEvent.click(screen.getByRole('button', { name: 'They pass the mark' }));
        now += 2340;
        fireEvent.click(screen.getByRole('button', { name: 'We pass it' }));
        await waitFor(() => expect(asked().at(-1)).toMatchObject({ gap_s: 2.3 }));

        vi.useFakeTimers();
        fireEvent.click(screen.getByRole('button', { name: 'They pass the mark' }));
        vi.advanceTimersByTime(20_000);
        vi.useRealTimers();
        expect(await screen.findByRole('button', { name: 'They pass the mark' })).toBeTruthy();
    });

    it('asks of the vehicle that is chosen, and draws it as long as it is told', async () => {
        const asked = served('following');
        const { container } = show(<FollowingBench />, 'instructor', '/bench/following?vehicle=articulated-lorry');
        await waitFor(() => expect(asked()[0]).toMatchObject({ vehicle: 'articulated-lorry' }));
        const { our_length_m: long, wanted_s: wanted } = answer('tool-following');
        await waitFor(() => expect(container.textContent).toContain(`Wanted${wanted} s`));
        expect(long).toBe(4.5);
    });

    it('says of other speeds what is wanted and how far that is', async () => {
        const asked = served('following');
        show(<FollowingBench />, 'instructor', '/bench/following?vehicle=articulated-lorry&gap=1.4');
        const rows = await rowsOf('Other speeds', 6);
        const speeds = unfold<FollowingAnswer>(answer('tool-following-swept'));
        expect(rows).toEqual(
            speeds.map((one) => [`${one.at} mph`, `${Number(one.wanted_s.toFixed(1))} s`, `${Math.round(one.wanted_m)} m`, `${Math.round(one.gap_m)} m`]),
        );
        // A lorry wants the more, the faster it goes.
        expect(speeds.every((one, i) => i === 0 || one.wanted_s > speeds[i - 1]!.wanted_s)).toBe(true);
        expect(asked().find((one) => one.sweep)).toMatchObject({ sweep: { field: 'speed_mph', from: 20, to: 70, step: 10 } });
        // Whatever the slider says, the other speeds are asked once.
        fireEvent.click(screen.getByRole('button', { name: 'We drive: more' }));
        await waitFor(() => expect(asked().at(-1)).toMatchObject({ speed_mph: 51 }));
        expect(asked().filter((one) => one.sweep)).toHaveLength(1);
    });

    it('says how far both gaps are, and what opens the one', async () => {
        served('following');
        const { container } = show(<FollowingBench />, 'instructor', '/bench/following');
        const kept = answer('tool-following');
        await waitFor(() => expect(container.textContent).toContain(`${Math.round(kept.gap_m)} m between you, ${Math.round(kept.wanted_m)} m wanted`));
        expect(container.textContent).toContain(`ease off for about ${kept.seconds_to_open_gap!.toFixed(1)} s`);
    });
});

describe('amber', () => {
    it('goes from going on over neither to stopping as the line is farther, each by the core', async () => {
        served('amber');
        const seen = new Set<string>();
        const heads = { stop: 'Stop', go: 'Go on', neither: 'Neither fits: stop, if it is safe' };
        for (const distance of [5, 50, 75, 150]) {
            show(<AmberBench />, 'instructor', `/bench/amber?speed=40&surface=wet&distance=${distance}`);
            const one = amber.find(({ at }) => at === distance)!;
            await waitFor(() => expect(verdict()).toBe(heads[one.verdict]));
            expect(one.beyond_line_m! > 0 && one.verdict !== 'go').toBe(false);
            seen.add(one.verdict);
            cleanup();
        }
        expect(seen).toEqual(new Set(['go', 'neither', 'stop']));
    });

    it('does not say stop where no brake stops in time, as in the wet just beyond what amber covers', async () => {
        served('amber');
        const { container } = show(<AmberBench />, 'instructor', '/bench/amber?speed=40&surface=wet&distance=54');
        const one = amber.find(({ at }) => at === 54)!;
        expect([one.verdict, one.beyond_line_m! > 0]).toEqual(['neither', true]);
        await waitFor(() => expect(verdict()).toBe('Too near to stop, too far to go on'));
        expect(container.textContent).not.toContain('Stop, unless');
    });

    it('says of every tenth metre what fits, what a stop takes and when the line is passed', async () => {
        served('amber');
        show(<AmberBench />, 'instructor', '/bench/amber?speed=40&surface=wet&distance=60');
        const rows = await rowsOf('Other distances', 15);
        const fits = { stop: 'stop', go: 'go on', neither: 'neither' };
        for (const row of rows) {
            const one = amber.find(({ at }) => `${at} m` === row[0])!;
            expect(row[1]).toBe(fits[one.verdict]);
            expect(row[2]).toBe(one.beyond_line_m === 0 ? `${one.decel_needed_mps2!.toFixed(1)} m/s²` : 'more than holds');
            expect(row[3]).toBe(one.into_red_s === 0 ? 'before red' : `${one.into_red_s.toFixed(1)} s after red`);
        }
        // Nearer than amber covers it is before red, and somewhere out there one stops.
        expect(new Set(rows.map((row) => row[1]))).toEqual(new Set(['go on', 'neither', 'stop']));
        expect(rows.find(([at]) => at === '60 m')).toBeDefined();
    });

    it('draws the stretch where neither fits, and says where it begins and ends', async () => {
        served('amber');
        const { container } = show(<AmberBench />, 'instructor', '/bench/amber?speed=40&surface=wet&distance=60');
        const { stretch } = amber[0]!;
        await waitFor(() => expect(container.textContent).toContain(`${Math.round(stretch!.to_m)} m to ${Math.round(stretch!.from_m!)} m`));
        expect(container.querySelector('rect[stroke-dasharray="8 5"]')).toBeTruthy();
    });

    it('asks of the vehicle that is chosen', async () => {
        const asked = served('amber');
        show(<AmberBench />, 'instructor', '/bench/amber?vehicle=rigid-lorry');
        await waitFor(() => expect(asked()[0]).toMatchObject({ vehicle: 'rigid-lorry' }));
    });
});

describe('somebody on foot', () => {
    it('walks on with the time, and is over when the core says', async () => {
        served('crossing');
        const { container } = show(<CrossingBench />, 'instructor', '/bench/crossing');
        await waitFor(() => expect(verdict()).toMatch(/^Wait \d+ s$/));
        const y = () => Number(container.querySelector('circle')!.getAttribute('cy'));
        const before = y();
        for (let i = 0; i < 40; i++) fireEvent.click(screen.getByRole('button', { name: 'From now: more' }));
        expect(y()).not.toBe(before);
        expect(container.textContent).not.toMatch(/NaN|Infinity/);
    });

    it('says wherever they are whether we wait, and nothing of elsewhere while they stand at the kerb', async () => {
        served('crossing');
        show(<CrossingBench />, 'instructor', '/bench/crossing?width=7&at=2');
        const rows = await rowsOf('Wherever they are', 8);
        const places = unfold<CrossingAnswer>(answer('tool-crossing-swept'));
        expect(rows.map((row) => row[1])).toEqual(places.map((one) => (one.verdict === 'go' ? 'go' : `wait ${Math.ceil(one.wait_s)} s`)));
        const over = rows.map((row) => Number.parseFloat(row[2]!));
        expect(over.every((seconds, i) => i === 0 || seconds < over[i - 1]!)).toBe(true);
        cleanup();
        served('crossing');
        show(<CrossingBench />, 'instructor', '/bench/crossing?waiting=true');
        await waitFor(() => expect(verdict()).toMatch(/^Wait/));
        expect(screen.queryByRole('region', { name: 'Wherever they are' })).toBeNull();
    });

    it('asks of an island only where there is one between the kerbs', async () => {
        const asked = served('crossing');
        show(<CrossingBench />, 'instructor', '/bench/crossing?width=14&island=7&towards=false');
        await waitFor(() => expect(asked()[0]).toMatchObject({ island_at_m: 7, towards_us: false }));
        cleanup();
        const none = served('crossing');
        show(<CrossingBench />, 'instructor', '/bench/crossing?width=6&island=7');
        await waitFor(() => expect(none()[0]).not.toHaveProperty('island_at_m'));
    });
});
