import { cleanup, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, besideATool, server, show } from '@/testing/answers';
import { SteeringBench } from './SteeringBench';

/* Round a corner in a lorry: what is told of the wheel is of its own axles, and what it draws runs further in. */

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the wheel round a corner', () => {
    it('says beside the room at the kerb how far the trailer comes in, and warns of it', async () => {
        const lorry = answer('tool-steering-lorry');
        server({ ...besideATool(), 'POST compute/steering': () => lorry });
        const { container } = show(<SteeringBench />, 'instructor', '/bench/steering?vehicle=articulated-lorry');
        const row = await waitFor(() => screen.getByText('Trailer further in, up to'));
        expect(lorry.trailer_in_m).toBeGreaterThan(lorry.inner_clearance_m!);
        expect(row.nextElementSibling!.textContent).toBe(`${lorry.trailer_in_m!.toFixed(1)} m`);
        expect(container.textContent).toContain(lorry.warnings.find(({ code }) => code === 'trailer-cuts-in')!.message);
    });

    it('says nothing of a trailer where there is none', async () => {
        server({ ...besideATool(), 'POST compute/steering': () => answer('tool-steering') });
        show(<SteeringBench />, 'instructor', '/bench/steering');
        await waitFor(() => screen.getByText('Rear wheels cut in'));
        expect(screen.queryByText(/Trailer/)).toBeNull();
    });
});
