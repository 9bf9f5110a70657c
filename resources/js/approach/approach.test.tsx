import { execFileSync } from 'node:child_process';
import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { ApproachAsked } from '@/api/types';
import { server, show } from '@/testing/answers';
import { ApproachView } from './ApproachView';

/** What a plan says beside its strip, on answers of the core itself. */

const SLOW = 20_000;

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

/** The core by the command line stands in for the server. */
function view(asked: ApproachAsked) {
    server({
        'POST compute/approach': ({ body }) =>
            JSON.parse(execFileSync('php', ['artisan', 'compute', 'approach'], { input: JSON.stringify(body), maxBuffer: 2 ** 27 }).toString()) as object,
    });
    const conditions = { speed: 30, gradient: 0, surface: 'dry', follower: false } as const;
    return show(<ApproachView inputs={{ limit_mph: 30, ...asked }} conditions={conditions} onConditions={vi.fn()} />);
}

describe('a plan', () => {
    it('is a long vehicle’s own: where it keeps for its rear stands beside the strip', { timeout: SLOW }, async () => {
        const { container } = view({ routine: 'emerge-left', vehicle: 'articulated-lorry' });
        await screen.findByText(/off the kerb: your lane has not that room/, undefined, { timeout: SLOW });
        expect(container.querySelector('svg')).not.toBeNull();
    });

    it('is none for a long vehicle that would have to back up, and says so', { timeout: SLOW }, async () => {
        const { container } = view({ routine: 'pull-up-right-reverse', vehicle: 'articulated-lorry' });
        expect((await screen.findByText(/^Not planned for this vehicle/, undefined, { timeout: SLOW })).getAttribute('role')).toBe('status');
        expect(container.querySelector('svg')).toBeNull();
    });

    it('is none between parked cars that leave no room', { timeout: SLOW }, async () => {
        const parked = (['left', 'right'] as const).map((side) => ({ side, from_m: 60, to_m: 30 }));
        view({ routine: 'pass-parked', road_width_m: 5.9, parked });
        await screen.findByText(/^Does not fit: the parked cars leave/, undefined, { timeout: SLOW });
    });

    it('tells three hazards in a row, each with what is said and its own strip', { timeout: SLOW }, async () => {
        const { container } = view({
            routine: 'turn-left',
            then: [
                { routine: 'emerge-right', distance_m: 40 },
                { routine: 'turn-left', distance_m: 30 },
            ],
        });
        const second = await screen.findByRole('region', { name: 'The next hazard' }, { timeout: SLOW });
        expect(second.textContent.match(/; then:/g)).toHaveLength(2);
        expect(within(screen.getByRole('region', { name: 'Hazard 3' })).getByText(/^Say both together/)).toBeTruthy();
        expect(container.querySelectorAll('svg[role=slider]')).toHaveLength(3);
    });

    it('of an exercise in two says both parts, and where one ends', { timeout: SLOW }, async () => {
        view({ routine: 'pull-up-right-reverse' });
        const parts = within(await screen.findByRole('list', { name: 'In two' }, { timeout: SLOW })).getAllByRole('listitem');
        expect(parts.map((part) => part.textContent)).toEqual([
            expect.stringMatching(/^First, \d+ m to \d+ m: Up to the centre/),
            expect.stringMatching(/^Then, \d+ m to 0 m: Nobody comes/),
        ]);
    });

    it('under a green that may change says from where one goes on', { timeout: SLOW }, async () => {
        const { container } = view({ routine: 'lights-ahead', light: 'green-long', path_before_m: 8 });
        await screen.findByText(/to the line we go on even if the lights change/, undefined, { timeout: SLOW });
        expect(container.textContent).toContain('First the path at 8 m');
    });
});
