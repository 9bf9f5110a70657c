import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { ReverseAnswer, ReverseAsked } from '@/api/types';
import { answer, besideATool, server, show, type Sent } from '@/testing/answers';
import { ReverseBench } from './ReverseBench';

/* Out of a bay, into one nose first, and forwards to the kerb. */

const swept =
    (kept: ReverseAnswer) =>
    ({ body }: Sent): object => {
        const { sweep } = body as { sweep?: { from: number; to: number; step: number } };
        if (!sweep) return kept;
        const many = Math.round((sweep.to - sweep.from) / sweep.step) + 1;
        const answers = Array.from({ length: many }, (_, i) => ({ at: Math.round((sweep.from + i * sweep.step) * 100) / 100 }));
        return { tool: 'reverse', version: { core: 'x' }, sweep: 'gradient', common: kept, answers };
    };
const asked = (sent: Sent[]) =>
    sent
        .filter(({ path }) => path === 'compute/reverse')
        .map(({ body }) => body as ReverseAsked)
        .at(-1)!;
const verdict = () => screen.getAllByRole('status')[0]!.textContent;

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('room at the kerb and in bays', () => {
    it('says what aisle it takes out of a bay, and asks for nothing of the kerb', async () => {
        const kept = answer('tool-reverse-bay-out');
        const sent = server({ ...besideATool(), 'POST compute/reverse': swept(kept) });
        const { container } = show(<ReverseBench />, 'instructor', '/bench/reverse?exercise=out-of-bay');
        await waitFor(() => expect(container.textContent).toContain(kept.room!.message));
        expect(verdict()).toBe(`${kept.room!.fits ? 'Fits' : 'Not in one go'}: ${kept.room!.needed_m.toFixed(1)} m of aisle needed`);
        expect(asked(sent)).toMatchObject({ exercise: 'out-of-bay', bay_width_m: 2.4, aisle_m: 7 });
        for (const none of ['space_m', 'kerb_gap_m']) expect(asked(sent)).not.toHaveProperty(none);
        // Straight to begin with, along the aisle in the end.
        const poses = [...container.querySelectorAll('svg g[transform*="rotate"]')].map(
            (one) => /rotate\((-?[\d.]+)\)/.exec(one.getAttribute('transform')!)![1],
        );
        expect([poses[0], poses.at(-1)]).toEqual(['-90', '-180']);
        fireEvent.click(screen.getByRole('button', { name: 'Aisle, wide: more' }));
        await waitFor(() => expect(asked(sent)).toMatchObject({ aisle_m: 7.25 }));
    });

    it('goes backwards into the bay that is there: what aisle it takes, and whether a door opens in it', async () => {
        const kept = answer('tool-reverse-bay');
        const sent = server({ ...besideATool(), 'POST compute/reverse': swept(kept) });
        const { container } = show(<ReverseBench />, 'instructor', '/bench/reverse?exercise=bay&bay=2.1&aisle=5.5');
        await waitFor(() => expect(verdict()).toBe(`Not in one go: ${kept.bay!.aisle_needed_m.toFixed(1)} m of aisle needed`));
        expect(kept.bay!.aisle_needed_m).toBeGreaterThan(5.5);
        expect(asked(sent)).toMatchObject({ exercise: 'bay', bay_width_m: 2.1, aisle_m: 5.5 });
        expect(kept.warnings.map(({ code }) => code)).toEqual(['no-door']);
        expect(container.textContent).toContain(kept.warnings[0]!.message);
        fireEvent.click(screen.getByRole('button', { name: 'Bay, wide: more' }));
        await waitFor(() => expect(asked(sent)).toMatchObject({ bay_width_m: 2.15 }));
    });

    it('draws the space at the kerb on the side that traffic keeps to', async () => {
        const kept = answer('tool-reverse-space');
        const sent = server({ ...besideATool(), 'POST compute/reverse': swept(kept) });
        const { container } = show(<ReverseBench />, 'instructor', '/bench/reverse?exercise=kerb-space');
        await waitFor(() => expect(verdict()).toBe(`Fits: ${kept.room!.needed_m.toFixed(1)} m of space needed`));
        expect(asked(sent)).toMatchObject({ space_m: 10 });
        expect(asked(sent)).not.toHaveProperty('aisle_m');
        const picture = screen.getByRole('img', { name: /^Forwards to the kerb/ });
        expect(picture.querySelector('g')!.getAttribute('transform')).toBeNull();
        expect(container.textContent).toContain('Then both front corners in turn');
    });
});
