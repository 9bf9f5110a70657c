import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { dipHeight } from '@/road/sight/geometry';
import { HillView } from '@/road/sight/HillView';
import { answer, server, show, tool } from '@/testing/answers';
import { SightBench } from './SightBench';

const others = {
    'GET vehicles': answer('demo-vehicles'),
    'GET vehicle-kinds': answer('demo-vehicle-kinds'),
    'GET rules': answer('demo-rules'),
};
const open = (at: string, file: 'tool-sight' | 'tool-sight-crest' | 'tool-sight-vehicle' = 'tool-sight') => {
    const sent = server({ ...others, 'POST compute/sight': tool(file) });
    return {
        sent,
        asked: () => sent.filter((one) => one.path === 'compute/sight').at(-1)!.body as Record<string, unknown>,
        ...show(<SightBench />, 'instructor', at),
    };
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the page sight', () => {
    it('asks of what hides the road and of nothing else, and keeps the rest for when it is chosen again', async () => {
        const { asked, container } = open('/bench/sight?radius=80&change=12&gap=30&wide=2.2');
        await waitFor(() => expect(container.querySelector('svg')).toBeTruthy());
        expect(asked()).toMatchObject({ bend_radius_m: 80, offset_m: 3 });
        expect(asked()).not.toHaveProperty('crest');

        const choose = (value: string) => fireEvent.change(screen.getByLabelText(/^What hides the road/), { target: { value } });
        choose('crest');
        await waitFor(() => expect(asked()).toMatchObject({ crest: { length_m: 100, gradient_change: 0.12 } }));
        expect(asked()).not.toHaveProperty('bend_radius_m');
        choose('vehicle');
        await waitFor(() => expect(asked()).toMatchObject({ vehicle_ahead: { distance_m: 30, width_m: 2.2, aside_m: 0 } }));
        choose('bend');
        expect(await screen.findByLabelText<HTMLInputElement>('Its radius, typed')).toHaveProperty('value', '80 m');
    });

    it('says the speed, what it is for, and what the view is long enough for', async () => {
        const sight = answer('tool-sight');
        const { container } = open('/bench/sight');
        await waitFor(() => expect(screen.getAllByRole('status')[0]!.textContent).toBe(`No faster than ${Math.round(sight.come_at_mph!)} mph`));
        const table = screen.getByRole('region', { name: 'What the view is long enough for' });
        for (const { words, needed_m: needed } of sight.purposes) {
            expect(table.textContent).toContain(words);
            expect(table.textContent).toContain(`${Math.round(needed!)} m`);
        }
        // The view is drawn as the core found it, and said to who cannot see it.
        expect(container.querySelector('svg')!.getAttribute('aria-label')).toBe(sight.message);
    });

    it('moves us along the way, and the end of the view with us', async () => {
        const { container } = open('/bench/sight');
        await waitFor(() => expect(container.querySelector('circle[r="6"]')).toBeTruthy());
        const end = () => Number(container.querySelector('circle[r="6"]')!.getAttribute('cx'));
        const before = end();
        const nearer = screen.getByRole('button', { name: 'We are before it: less' });
        for (let i = 0; i < 8; i++) fireEvent.click(nearer);
        await waitFor(() => expect(end()).not.toBe(before));
        expect(container.textContent).not.toMatch(/NaN|Infinity/);
    });

    it('gives no speed behind a vehicle, whose view hides the other lane, but what overtaking takes', async () => {
        const past = answer('tool-sight-vehicle');
        const { container } = open('/bench/sight?hides=vehicle', 'tool-sight-vehicle');
        await waitFor(() => expect(screen.getAllByRole('status')[0]!.textContent).toBe(`${Math.round(past.seen_m!)} m seen past it`));
        expect(container.textContent).toContain('to overtake');
        expect(container.textContent).not.toContain('One stops within it from');
    });

    it('keeps eyes and target on the picture, however high they are and wherever one stands', () => {
        for (const eye of [0.8, 1.08, 2.33, 2.8])
            for (const target of [0, 0.6, 3])
                for (const toGo of [-60, 0, 40, 150]) {
                    const road = (along: number) => dipHeight(120, 3, along);
                    const { container } = render(
                        <svg>
                            <HillView road={road} long={120} {...{ eye, target, toGo }} seen={70} width={600} height={230} />
                        </svg>,
                    );
                    const ends = [...container.querySelectorAll('circle')].map((one) => Number(one.getAttribute('cy')));
                    expect(ends).toHaveLength(2);
                    for (const y of ends) expect(y, `${eye} ${target} ${toGo}`).toBeGreaterThan(8);
                    cleanup();
                }
    });

    it('leaves it to the core how high our eyes are in the vehicle, until somebody says so', async () => {
        const { asked } = open('/bench/sight?hides=crest&vehicle=rigid-lorry', 'tool-sight-crest');
        await waitFor(() => expect(asked()).toMatchObject({ vehicle: 'rigid-lorry', target_height_m: 0.6 }));
        expect(asked()).not.toHaveProperty('eye_height_m');
        fireEvent.click(await screen.findByText('More that can matter'));
        expect((await screen.findByLabelText<HTMLInputElement>('Our eyes, typed')).value).toBe(`${answer('tool-sight-crest').eye_m.toFixed(1)} m`);
        fireEvent.click(screen.getByRole('button', { name: 'Our eyes: more' }));
        await waitFor(() => expect(asked()).toHaveProperty('eye_height_m'));
    });

    it('draws a crest from the side, with eyes and target above the road', async () => {
        const { container } = open('/bench/sight?hides=crest&from=40', 'tool-sight-crest');
        await waitFor(() => expect(container.querySelector('svg')!.textContent).toContain('heights drawn larger'));
        const ys = [...container.querySelectorAll('svg')[0]!.querySelectorAll('circle')].map((one) => Number(one.getAttribute('cy')));
        expect(ys).toHaveLength(2);
        expect(ys.every((y) => y > 0 && y < 230)).toBe(true);
    });
});
