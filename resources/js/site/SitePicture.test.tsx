import { cleanup, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, show } from '@/testing/answers';
import { armIs, begun, STARTS, type Arm, type Draft, type Start } from './draft';
import { SitePicture } from './SitePicture';

afterEach(cleanup);

const nothing = { met: {}, seen: {}, from: null, to: null, onChange: vi.fn(), onChoose: vi.fn() };
const picture = (draft: Draft, more: Partial<Parameters<typeof SitePicture>[0]> = {}) =>
    show(<SitePicture draft={draft} keeps="left" {...nothing} {...more} />).container.querySelector('svg')!;

/** A picture that is changed as it is on its page. */
function held(begin: Draft, more: Partial<Parameters<typeof SitePicture>[0]> = {}) {
    let draft = begin;
    const Page = () => {
        const [now, setNow] = useState(begin);
        draft = now;
        return <SitePicture draft={now} keeps="left" {...nothing} {...more} onChange={(_, to) => setNow(to)} />;
    };
    show(<Page />);
    return { now: () => draft };
}

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

    it('moves an opening by key, farther and nearer, by one with Shift, with its number beside it, and turns no road by it', () => {
        const onChoose = vi.fn();
        const [row, turned] = [
            () => now().arms.find(({ id }) => id === 's')!,
            () =>
                now()
                    .arms.map(({ bearing_deg: bearing }) => bearing)
                    .join(),
        ];
        const { now } = held(
            armIs(begun('t'), 's', { openings: [{ side: 'left', from_m: 40, to_m: 34 }], parked: [{ side: 'right', from_m: 20, to_m: 12 }] }),
            {
                onChoose,
            },
        );
        const lay = turned();
        const opening = screen.getByRole('slider', { name: 'An opening on the left of Side road' });
        expect(opening.getAttribute('aria-valuetext')).toBe('40 to 34 m before');
        expect(opening.querySelector('[data-number]')).toBeNull();
        fireEvent.focus(opening);
        fireEvent.keyDown(opening, { key: 'ArrowUp' });
        fireEvent.keyDown(opening, { key: 'ArrowLeft', shiftKey: true });
        fireEvent.keyDown(opening, { key: 'Enter' });
        expect(row().openings).toEqual([{ side: 'left', from_m: 44, to_m: 38 }]);
        expect(opening.querySelector('[data-number]')!.textContent).toBe('44 to 38 m before');
        fireEvent.keyDown(screen.getByRole('slider', { name: 'Parked cars on the right of Side road' }), { key: 'ArrowRight' });
        expect(row().parked).toEqual([{ side: 'right', from_m: 25, to_m: 17 }]);
        expect(turned()).toBe(lay);
        expect(onChoose).not.toHaveBeenCalled();
    });

    it('is pulled by hand as far as the finger goes at the scale it was taken hold of, and lets go', () => {
        // Two pixels a metre, with the middle at 200, 200.
        Object.assign(SVGElement.prototype, { getScreenCTM: () => ({ a: 2, d: 2, e: 200, f: 200 }), setPointerCapture: () => {} });
        const { now } = held(begun('t'), { from: 's' });
        const road = () => now().arms.find(({ id }) => id === 's')!;
        const lanes = screen.getByRole('slider', { name: 'Lanes in of Side road' });
        // Keeping left, who comes in from the south has the kerb in the west: one lane more lies 7 pixels to the left.
        fireEvent.pointerDown(lanes, { clientX: 193, clientY: 240, pointerId: 1 });
        fireEvent.pointerMove(lanes, { clientX: 184.5, clientY: 250, pointerId: 1 });
        expect(road().lanes_in).toBe(2);
        fireEvent.pointerMove(lanes, { clientX: 400, clientY: 250, pointerId: 1 });
        // Never less than none.
        expect(road().lanes_in).toBe(0);
        fireEvent.pointerMove(lanes, { clientX: 193, clientY: 250, pointerId: 1 });
        fireEvent.pointerUp(lanes, { pointerId: 1 });
        fireEvent.pointerMove(lanes, { clientX: 150, clientY: 250, pointerId: 1 });
        expect(road().lanes_in).toBe(1);
        Reflect.deleteProperty(SVGElement.prototype, 'getScreenCTM');
        Reflect.deleteProperty(SVGElement.prototype, 'setPointerCapture');
    });

    it('draws nothing anew where a figure is as far as it can be', () => {
        const onChange = vi.fn();
        picture(begun('t'), { from: 's', onChange });
        const lanes = screen.getByRole('slider', { name: 'Lanes in of Side road' });
        fireEvent.keyDown(lanes, { key: 'ArrowDown' });
        expect(onChange).toHaveBeenCalledTimes(1);
        cleanup();
        picture(armIs(begun('t'), 's', { lanes_in: 0 }), { from: 's', onChange });
        fireEvent.keyDown(screen.getByRole('slider', { name: 'Lanes in of Side road' }), { key: 'ArrowDown' });
        expect(onChange).toHaveBeenCalledTimes(1);
    });

    it('holds lanes, line, bend and what is seen of the road one comes from, and of no other', () => {
        const draft = armIs(begun('crossroads'), 's', { bend: { radius_m: 40, from_m: 60, to_m: 30 }, sight_left_m: 30 });
        const [west, east] = ['w', 'e'].map((id) => draft.arms.find((arm) => arm.id === id)!) as [Arm, Arm];
        held(draft, { from: null });
        expect(screen.queryAllByRole('slider')).toHaveLength(0);
        cleanup();
        const { now } = held(draft, { from: 's', met: { left: west, right: east }, seen: { left: 45 } });
        const said = Object.fromEntries(
            screen.getAllByRole('slider').map((one) => [one.getAttribute('aria-label')!, one.getAttribute('aria-valuetext')] as const),
        );
        expect(said).toEqual({
            'Lanes in of Side road (south)': '1 lane',
            'Lanes out of Side road (south)': '1 lane',
            'The line of Side road (south)': 'in the middle',
            // What was written this moment, not what the last answer was planned with.
            'Seen to the left from the line': '30 m',
            'Seen to the right from the line': 'not said yet',
            'The bend begins': '60 m before the line',
            'The bend ends': '30 m before the line',
            'How tight the bend is': 'radius 40 m',
        });
        fireEvent.keyDown(screen.getByRole('slider', { name: 'Seen to the right from the line' }), { key: 'ArrowUp' });
        expect(now().arms.find(({ id }) => id === 's')!.sight_right_m).toBe(30);
        expect(document.querySelector('[data-bend]')!.getAttribute('d')).not.toMatch(/NaN/);
        // One sees across it: no hedge is drawn.
        expect(document.querySelector('[data-hedge]')).toBeNull();
    });

    it('draws the hedge that hides a bend, and hills as strokes that point downhill, on the road that has them', () => {
        const ends = { from_m: 60, to_m: 30 };
        const hills = { crest: { gradient_change: 0.1, ...ends }, dip: { depth_m: 2, from_m: 90, to_m: 62 } };
        const draft = armIs(begun('crossroads'), 's', { bend: { radius_m: 40, offset_m: 3, ...ends }, ...hills });
        const { now } = held(draft, { from: 's' });
        const [bend, hedge] = ['bend', 'hedge'].map((what) => document.querySelectorAll(`[data-${what}]`));
        expect([bend!.length, hedge!.length]).toEqual([1, 1]);
        expect(hedge![0]!.getAttribute('d')).not.toBe(bend![0]!.getAttribute('d'));
        // South lies down the picture: each stroke is widest where it is high, and points up or down to where it is low.
        const strokes = (what: string) =>
            [...document.querySelectorAll(`[data-${what}] path`)].map((one) => {
                const [left, y, right, level, x, low] = one
                    .getAttribute('d')!
                    .match(/-?[\d.]+/g)!
                    .map(Number);
                expect(level).toBeCloseTo(y!, 6);
                expect(x).toBeCloseTo((left! + right!) / 2, 6);
                return { high: y!, low: low! };
            });
        for (const [what, uphill] of [['crest', -1] as const, ['dip', 1] as const]) {
            const all = strokes(what);
            const middle = all.reduce((sum, { high }) => sum + high, 0) / all.length;
            expect(all.length).toBeGreaterThan(3);
            // Away from the middle of a crest, towards that of a dip.
            for (const { high, low } of all) expect(Math.sign(Math.abs(high - middle) - Math.abs(low - middle)), what).toBe(uphill);
        }
        const begins = screen.getByRole('slider', { name: 'The crest begins' });
        expect(begins.getAttribute('aria-valuetext')).toBe('60 m before the line');
        fireEvent.keyDown(begins, { key: 'ArrowUp' });
        expect(now().arms.find(({ id }) => id === 's')!.crest).toEqual({ gradient_change: 0.1, from_m: 65, to_m: 30 });
        fireEvent.keyDown(screen.getByRole('slider', { name: 'The dip ends' }), { key: 'ArrowUp' });
        expect(now().arms.find(({ id }) => id === 's')!.dip).toEqual({ depth_m: 2, from_m: 90, to_m: 67 });
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
