import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, show } from '@/testing/answers';
import { armIs, begun, STARTS, type Arm, type Draft, type Start } from './draft';
import { SitePicture } from './SitePicture';

afterEach(cleanup);

const nothing = { met: {}, seen: {}, from: null, to: null, onTurn: vi.fn(), onShift: vi.fn(), onChoose: vi.fn() };
const picture = (draft: Draft, more: Partial<Parameters<typeof SitePicture>[0]> = {}) =>
    show(<SitePicture draft={draft} keeps="left" {...nothing} {...more} />).container.querySelector('svg')!;

describe('the picture of a site', () => {
    it.each(Object.keys(STARTS) as Start[])('shows every road of %s by its name and compass point, to be held and pressed', (start) => {
        const draft = begun(start);
        picture(draft);
        const group = screen.getByRole('group', { name: 'The site from above, north up' });
        expect(group.querySelectorAll('[data-arm]')).toHaveLength(draft.arms.length);
        for (const arm of draft.arms) {
            const held = group.querySelector(`[data-arm=${arm.id}]`)!;
            expect(held.getAttribute('aria-label')).toMatch(/, (north|east|south|west)/);
            expect(held.textContent).toBe(arm.name);
        }
    });

    it('draws what lies along a road, each thing of its own, and nothing that is only seen', () => {
        const features = ['parked', 'narrow', 'bus-stop', 'crossing', 'school', 'humps', 'queue', 'railway', 'free-kerb', 'kerb-space', 'bay', 'ramp'] as const;
        const drawn = new Set<string>();
        for (const feature of features) {
            const svg = picture(armIs(begun('kerb'), 'w', { holds: [feature] }));
            const marks = [...svg.querySelectorAll(`[data-holds=${feature}] path`)].map((path) => path.getAttribute('d')!);
            expect(marks.length, feature).toBeGreaterThan(0);
            for (const d of marks) expect(d).not.toMatch(/NaN|undefined/);
            drawn.add(marks.join(' '));
            cleanup();
        }
        expect(drawn.size).toBe(features.length);
        const view = picture(armIs(begun('stretch'), 'w', { holds: ['long-view'] }));
        expect(view.querySelectorAll('[data-holds=long-view] path')).toHaveLength(0);
    });

    it('draws it on the side it is met on: in a mirror where one keeps right', () => {
        const row = (keeps: 'left' | 'right') => {
            const svg = picture(armIs(begun('stretch'), 'e', { holds: [] }), { keeps });
            const [, y] = svg.querySelector('[data-holds=parked] path')!.getAttribute('d')!.slice(1).split(/[ ,]/).map(Number) as [number, number];
            cleanup();
            return y;
        };
        // Eastwards, keeping left, the kerb is to the north.
        expect(row('left')).toBeLessThan(0);
        expect(row('right')).toBeCloseTo(-row('left'), 2);
    });

    it('moves an opening by key, farther and nearer, by one with Shift, and turns no road by it', () => {
        const [onShift, onTurn, onChoose] = [vi.fn(), vi.fn(), vi.fn()];
        const draft = armIs(begun('t'), 's', { openings: [{ side: 'left', from_m: 40, to_m: 34 }], parked: [{ side: 'right', from_m: 20, to_m: 12 }] });
        picture(draft, { onShift, onTurn, onChoose });
        const opening = screen.getByRole('button', { name: 'An opening on the left of Side road, 40 to 34 m before' });
        fireEvent.keyDown(opening, { key: 'ArrowUp' });
        fireEvent.keyDown(opening, { key: 'ArrowLeft', shiftKey: true });
        fireEvent.keyDown(opening, { key: 'Enter' });
        const cars = screen.getByRole('button', { name: 'Parked cars on the right of Side road, 20 to 12 m before' });
        fireEvent.keyDown(cars, { key: 'ArrowRight' });
        expect(onShift.mock.calls).toEqual([
            [{ arm: 's', what: 'openings', at: 0 }, 5],
            [{ arm: 's', what: 'openings', at: 0 }, -1],
            [{ arm: 's', what: 'parked', at: 0 }, 5],
        ]);
        expect(onTurn).not.toHaveBeenCalled();
        expect(onChoose).not.toHaveBeenCalled();
    });

    it('shows the whole of a site of the demo, as large written however far its openings lie', () => {
        const site = answer('demo-site-driven');
        const draft: Draft = { ...begun('t'), kind: site.kind, arms: site.arms as Arm[] };
        const near = picture({ ...draft, arms: draft.arms.map((arm) => ({ ...arm, openings: [], parked: [] })) });
        const letters = (svg: SVGSVGElement) =>
            Number(svg.querySelector('text')!.getAttribute('font-size')) / Number(svg.getAttribute('viewBox')!.split(' ')[2]);
        const before = { letters: letters(near), wide: Number(near.getAttribute('viewBox')!.split(' ')[2]) };
        cleanup();
        const far = picture(draft);
        expect(Number(far.getAttribute('viewBox')!.split(' ')[2])).toBeGreaterThan(before.wide * 1.5);
        expect(letters(far)).toBeCloseTo(before.letters, 6);
        expect(far.querySelectorAll('[data-beside]')).toHaveLength(draft.arms.flatMap(({ openings = [], parked = [] }) => [...openings, ...parked]).length);
    });
});
