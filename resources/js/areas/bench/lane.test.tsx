import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { SweptPathAsked } from '@/api/types';
import { answer, besideATool, server, show, tool } from '@/testing/answers';
import { SweptPathBench } from './SweptPathBench';

/* The best line of a long vehicle through a lane that bends more than once. */

const kept = answer('tool-swept-path-lane');
const others = besideATool();

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('a line through a lane', () => {
    it('is said as places to aim at, and that two lanes are covered where one is too narrow', async () => {
        const sent = server({ ...others, 'POST compute/swept-path': tool('tool-swept-path-lane') });
        const { container } = show(<SweptPathBench />, 'instructor', '/bench/swept-path?way=roundabout&best=true&lane=4');
        await waitFor(() => expect(container.textContent).toContain(kept.cover_two!.message));
        const aim = within(screen.getByRole('region', { name: 'Where to aim' })).getAllByRole('listitem');
        expect(aim.map((one) => one.textContent)).toEqual(kept.aim.map(({ message }) => message));
        expect(screen.getAllByRole('status')[0]!.textContent).toBe(`Does not fit: ${kept.cover_two!.missing_m.toFixed(2)} m missing`);
        const asked = sent.filter(({ path }) => path === 'compute/swept-path').map(({ body }) => body as SweptPathAsked)[0]!;
        expect(asked).toMatchObject({ lane_width_m: 4, path: { roundabout: { radius_m: 14 } } });
        expect(asked).not.toHaveProperty('kerbs');
        // The edges are drawn as they were answered, and nothing is dragged.
        expect(container.querySelector('polygon')!.getAttribute('points')!.split(' ').length).toBe(kept.lane!.left.length + kept.lane!.right.length);
        expect(container.querySelector('[data-grip]')).toBeNull();
    });

    it('is looked for only where that is wanted, and never round a corner', async () => {
        const sent = server({ ...others, 'POST compute/swept-path': tool('tool-swept-path-lane') });
        const asked = () =>
            sent
                .filter(({ path }) => path === 'compute/swept-path')
                .map(({ body }) => body as SweptPathAsked)
                .at(-1)!;
        show(<SweptPathBench />, 'instructor', '/bench/swept-path?way=s-bend');
        await waitFor(() => expect(asked()).toMatchObject({ kerbs: { left_m: 3.5 } }));
        expect(screen.queryByRole('slider', { name: 'Lane, wide' })).toBeNull();
        fireEvent.click(screen.getByLabelText('Look for the best line in a lane'));
        await waitFor(() => expect(asked()).toMatchObject({ lane_width_m: 6 }));
        expect(asked()).not.toHaveProperty('kerbs');
        fireEvent.change(screen.getByLabelText('Way'), { target: { value: 'bend' } });
        await waitFor(() => expect(asked()).toHaveProperty('bend'));
        expect(asked()).not.toHaveProperty('lane_width_m');
    });
});
