import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { Route, Routes, useLocation } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, tool } from '@/testing/answers';
import { SheetPage } from '../sheet/SheetPage';
import { KerbPage } from './KerbPage';

const planned = answer('demo-lesson-planned');
const tools = {
    [`GET lessons/${planned.id}`]: planned,
    'POST compute/approach': tool('tool-approach'),
    'GET routines?pack=gb': answer('demo-routines'),
};

const Where = () => <output>{useLocation().pathname}</output>;
const open = (at: string) =>
    show(
        <Routes>
            <Route path="lessons/:id/kerb" element={<KerbPage />} />
            <Route path="lessons/:id/sheet" element={<SheetPage />} />
            <Route path="*" element={<Where />} />
        </Routes>,
        'instructor',
        at,
    );
const place = () => screen.getByRole('heading', { level: 1 }).textContent;
const names = planned.items.map((item) => item.place.name);

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the kerb view', () => {
    it('shows one sentence and one number of a step, and another step on a press', async () => {
        server(tools);
        open(`/lessons/${planned.id}/kerb`);
        const mirrors = await screen.findByRole('button', { name: 'Mirrors' });
        expect(mirrors.getAttribute('aria-pressed')).toBe('true');
        const first = screen.getByText(/^\d+ m$/).textContent;
        fireEvent.click(screen.getByRole('button', { name: 'Look' }));
        const said = parseFloat(screen.getByText(/^\d+ m$/).textContent);
        expect(said).toBeLessThan(parseFloat(first));
        expect(screen.getByText(/^before (the line|the turn|it)$/)).toBeTruthy();
    });

    it('goes to the next place and back by keys, by the arrows of a keyboard and by a swipe, and stops at both ends', async () => {
        server(tools);
        open(`/lessons/${planned.id}/kerb`);
        await screen.findByRole('button', { name: 'Mirrors' });
        expect(place()).toBe(names[0]);
        fireEvent.click(screen.getAllByRole('button', { name: 'Next place' })[0]!);
        expect(place()).toBe(names[1]);
        fireEvent.keyDown(window, { key: 'ArrowLeft' });
        expect(place()).toBe(names[0]);
        fireEvent.keyDown(window, { key: 'ArrowLeft' });
        expect(place()).toBe(names[0]);
        const swipe = (from: [number, number], to: [number, number]) => {
            const on = screen.getByRole('heading', { level: 1 });
            fireEvent.pointerDown(on, { clientX: from[0], clientY: from[1] });
            fireEvent.pointerUp(on, { clientX: to[0], clientY: to[1] });
        };
        swipe([300, 400], [120, 420]);
        expect(place()).toBe(names[1]);
        // A finger that only slips, or scrolls, turns nothing over.
        swipe([300, 400], [270, 400]);
        swipe([300, 400], [220, 600]);
        expect(place()).toBe(names[1]);
        swipe([120, 400], [300, 400]);
        expect(place()).toBe(names[0]);
        for (const _ of names) fireEvent.keyDown(window, { key: 'ArrowRight' });
        expect(place()).toBe(names.at(-1));
    });

    it('begins with the place it was opened for, and goes back to the plan', async () => {
        server(tools);
        open(`/lessons/${planned.id}/kerb?place=${planned.items[1]!.id}`);
        expect((await screen.findByRole('heading', { level: 1 })).textContent).toBe(names[1]);
        fireEvent.keyDown(window, { key: 'Escape' });
        expect((await screen.findByRole('status')).textContent).toBe(`/lessons/${planned.id}/plan`);
    });

    it('leads back where nothing is planned', async () => {
        server({ ...tools, [`GET lessons/${planned.id}`]: { ...planned, items: [] } });
        open(`/lessons/${planned.id}/kerb`);
        expect((await screen.findByRole('link', { name: 'Back to the plan' })).getAttribute('href')).toBe(`/lessons/${planned.id}/plan`);
    });
});

describe('the lesson on paper', () => {
    it('has the aim whole, the times, and every place with its strip and all its steps; nothing is folded', async () => {
        server(tools);
        open(`/lessons/${planned.id}/sheet`);
        expect(await screen.findByText(planned.aim!)).toBeTruthy();
        for (const promise of planned.promised_before) expect(screen.getByText(promise.text)).toBeTruthy();
        for (const [i, name] of names.entries()) expect(screen.getByRole('heading', { name: `${i + 1}. ${name}` })).toBeTruthy();
        await waitFor(() => expect(screen.getAllByRole('slider', { name: 'Steps of the approach' })).toHaveLength(planned.items.length));
        expect(screen.getAllByRole('rowheader', { name: 'Mirrors' }).length).toBeGreaterThanOrEqual(planned.items.length);
        expect(document.querySelector('details')).toBeNull();
    });
});
