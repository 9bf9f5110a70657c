import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { EngineAnswer, EngineAsked } from '@/api/types';
import { unfold } from '@/api/folded';
import { answer, server, show, tool } from '@/testing/answers';
import { EngineBench } from './EngineBench';
import { TwoPresses } from './TwoPresses';

const swept = unfold<EngineAnswer>(answer('tool-engine'));
const at30 = swept.find((one) => one.at === 30)!;
const others = {
    'GET vehicles': answer('demo-vehicles'),
    'GET vehicle-kinds': answer('demo-vehicle-kinds'),
    'GET places': answer('demo-places'),
    'GET rules': answer('demo-rules'),
};
const asked = (sent: ReturnType<typeof server>) => sent.filter(({ path }) => path === 'compute/engine').map(({ body }) => body as EngineAsked);

afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

describe('what the right foot does', () => {
    it('stands for each gear that can be changed to, and of the one chosen in the first view', async () => {
        server({ ...others, 'POST compute/engine': tool('tool-engine') });
        show(<EngineBench />, 'instructor', '/bench/engine?speed=30&to=2');
        const chosen = at30.changes.find(({ to_gear: to }) => to === 2)!;
        expect(await screen.findByText(chosen.message)).toBeTruthy();
        const table = within(screen.getByRole('region', { name: `From ${at30.gear}: what the right foot does` }));
        expect(table.getAllByRole('row')).toHaveLength(at30.changes.length + 1);
        const words = { nothing: 'foot off', hold: 'hold a little', add: 'add some', blip: 'blip' };
        for (const change of at30.changes) {
            const row = table.getByRole('row', { name: new RegExp(`^${change.to_gear} `) });
            expect(row.textContent).toContain(change.foot ? words[change.foot] : change.wait_s === null ? 'too high a gear' : 'brake first');
        }
    });

    it('is asked by how fast the revs fall: as it is set, or as a watch says', async () => {
        const sent = server({ ...others, 'POST compute/engine': tool('tool-engine') });
        show(<EngineBench />, 'instructor', '/bench/engine?speed=30&falls=2.5');
        await screen.findByRole('region', { name: /right foot/ });
        expect(asked(sent)[0]).toMatchObject({ rev_fall_s: 2.5 });
        cleanup();
        const timed = server({ ...others, 'POST compute/engine': tool('tool-engine') });
        show(<EngineBench />, 'instructor', '/bench/engine?speed=30&watch=1.6&watchFrom=3000&watchTo=1500');
        await screen.findByRole('region', { name: /right foot/ });
        expect(asked(timed)[0]).toMatchObject({ rev_fall_measured: { from_rpm: 3000, to_rpm: 1500, time_s: 1.6 } });
        expect(asked(timed)[0]).not.toHaveProperty('rev_fall_s');
        // What was timed is forgotten by a press, and what was set counts again.
        fireEvent.click(screen.getByRole('button', { name: 'Forget the 1.6 s' }));
        await waitFor(() => expect(asked(timed).at(-1)).toMatchObject({ rev_fall_s: 1.2 }));
    });
});

describe('a time taken by two presses', () => {
    it('is said to a tenth of a second, and begins anew after it', () => {
        vi.useFakeTimers();
        const onCounted = vi.fn();
        show(<TwoPresses first="Begin" second="End" onCounted={onCounted} />);
        for (const seconds of [1.64, 0.3]) {
            fireEvent.click(screen.getByRole('button', { name: 'Begin' }));
            vi.advanceTimersByTime(seconds * 1000);
            fireEvent.click(screen.getByRole('button', { name: 'End' }));
        }
        expect(onCounted.mock.calls.map(([seconds]) => seconds as number)).toEqual([1.6, 0.3]);
    });

    it('is given up where the second press was forgotten', () => {
        vi.useFakeTimers();
        const onCounted = vi.fn();
        show(<TwoPresses first="Begin" second="End" onCounted={onCounted} />);
        fireEvent.click(screen.getByRole('button', { name: 'Begin' }));
        act(() => void vi.advanceTimersByTime(16_000));
        expect(screen.getByRole('button', { name: 'Begin' })).toBeTruthy();
        expect(onCounted).not.toHaveBeenCalled();
    });
});
