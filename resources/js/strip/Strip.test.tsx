import { execFileSync } from 'node:child_process';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { drawn, type DrawnPlan, type Planned, type StripStep } from './plan';
import { Strip } from './Strip';

/** The core's own answer: what is drawn is tested on what is really computed. */
const ask = (input: object) =>
    drawn(
        JSON.parse(
            execFileSync('php', ['artisan', 'compute', 'approach'], { input: JSON.stringify({ routine: 'emerge-right', limit_mph: 30, ...input }) }).toString(),
        ) as Planned,
    );

let plan: DrawnPlan;
beforeAll(() => {
    plan = ask({});
    // jsdom lays nothing out: every frame is as wide as a tablet's.
    vi.stubGlobal(
        'ResizeObserver',
        class {
            observe = () => undefined;
            unobserve = () => undefined;
            disconnect = () => undefined;
        },
    );
    Object.defineProperty(HTMLElement.prototype, 'clientWidth', { configurable: true, get: () => 1100 });
});
afterEach(cleanup);

const show = (current: StripStep, props: Partial<Parameters<typeof Strip>[0]> = {}) => {
    const onStep = vi.fn<(step: StripStep) => void>();
    render(<Strip plan={plan} current={current} onStep={onStep} {...props} />);
    return onStep;
};

describe('the strip', () => {
    it('is walked from step to step by arrow keys and stops at both ends', () => {
        const onStep = show('signal');
        const slider = screen.getByRole('slider', { name: 'Steps of the approach' });
        fireEvent.keyDown(slider, { key: 'ArrowRight' });
        fireEvent.keyDown(slider, { key: 'ArrowLeft' });
        fireEvent.keyDown(slider, { key: 'a' });
        expect(onStep.mock.calls).toEqual([['position'], ['mirrors']]);
        cleanup();
        const atEnd = show('look');
        fireEvent.keyDown(screen.getByRole('slider', { name: 'Steps of the approach' }), { key: 'ArrowDown' });
        expect(atEnd).toHaveBeenCalledWith('look');
    });

    it('shows what hides the road where it lies, and how much is seen there: a hedge round a bend, a crest, a dip', () => {
        const lying = { from_m: 50, to_m: 30 };
        const hidden = ask({ bend: { radius_m: 60, offset_m: 3, ...lying }, crest: { gradient_change: 0.12, from_m: 28, to_m: 12 } });
        show('signal', { plan: hidden });
        const seen = (kind: 'bend' | 'crest' | 'dip') => document.querySelector(`[data-hidden=${kind}]`)!.textContent;
        expect(seen('bend')).toBe(`${Math.round(hidden.place.bend!.seen_m!)} m seen`);
        expect(seen('crest')).toBe(`${Math.round(hidden.place.crest!.seen_m)} m seen`);
        cleanup();
        // What falls to its middle leans the other way than what falls from it.
        const leans = () => Array.from(document.querySelectorAll('[data-hidden] path'), (one) => Number(/l(-?3)/.exec(one.getAttribute('d')!)![1]));
        show('signal', { plan: ask({ crest: { gradient_change: 0.12, ...lying } }) });
        expect([leans()[0], leans().at(-1)]).toEqual([-3, 3]);
        cleanup();
        const dipped = ask({ dip: { depth_m: 2, ...lying } });
        show('signal', { plan: dipped });
        expect(seen('dip')).toBe(`${Math.round(dipped.place.dip!.seen_m!)} m seen`);
        expect([leans()[0], leans().at(-1)]).toEqual([3, -3]);
        cleanup();
        // Across a bend without a hedge one sees; what lies before the strip begins is not on it.
        show('signal', { plan: ask({ bend: { radius_m: 60, ...lying }, crest: { gradient_change: 0.12, from_m: 900, to_m: 860 } }) });
        expect(seen('bend')).toBe('');
        expect(document.querySelector('[data-hidden=crest]')).toBeNull();
        cleanup();
        show('signal');
        expect(document.querySelector('[data-hidden]')).toBeNull();
    });

    it('says the current step in words, and all of them as a table with the core’s own figures', () => {
        show('signal');
        const signal = plan.steps.find((step) => step.step === 'signal')!;
        expect(screen.getByRole('slider', { name: 'Steps of the approach' }).getAttribute('aria-valuetext')).toBe(
            `Signal at ${Math.round(signal.best)} m, ${signal.best_s.toFixed(1)} seconds to go`,
        );
        const rows = within(screen.getByRole('table')).getAllByRole('row').slice(1);
        expect(rows.map((row) => row.textContent)).toEqual(
            plan.steps.map(
                (step) =>
                    `${step.step[0]!.toUpperCase()}${step.step.slice(1)}${step.earliest.toFixed(0)}${step.best.toFixed(0)}${step.latest.toFixed(0)}${step.best_s.toFixed(1)}`,
            ),
        );
    });

    it('offers the speed to be dragged only where somebody listens', () => {
        show('signal');
        expect(screen.queryByTestId('speed-grip')).toBeNull();
        cleanup();
        const onSpeed = vi.fn();
        show('signal', { speed: 30, onSpeed });
        const grip = screen.getByTestId('speed-grip');
        grip.setPointerCapture = () => undefined;
        fireEvent.pointerMove(grip, { clientY: 90 });
        expect(onSpeed).not.toHaveBeenCalled();
        fireEvent.pointerDown(grip, { clientY: 100, pointerId: 1 });
        fireEvent.pointerMove(grip, { clientY: 80 });
        expect(onSpeed).toHaveBeenLastCalledWith(35);
        fireEvent.pointerMove(grip, { clientY: 140 });
        expect(onSpeed).toHaveBeenLastCalledWith(20);
    });
});
