import { cleanup, screen, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, expect, it, vi } from 'vitest';
import type { Lesson } from '@/api/types';
import { answer, server, show } from '@/testing/answers';
import { SheetPage } from './SheetPage';

/** The lesson on paper: whoever takes it over reads what it is for, why, and what helps. */

const lesson = answer('demo-lesson-planned');
const proposal = answer('demo-proposal');
const open = (more: Partial<Lesson>) => {
    const sent = server({ [`GET lessons/${lesson.id}`]: { ...lesson, items: [], ...more }, [`GET lessons/${lesson.id}/proposal`]: proposal });
    show(
        <Routes>
            <Route path="/lessons/:id/sheet" element={<SheetPage />} />
        </Routes>,
        'instructor',
        `/lessons/${lesson.id}/sheet`,
    );
    return () => sent.map(({ path }) => path);
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

it('says why, what helps and a drill for each aim, and which condition can be met', async () => {
    open({ state: 'booked', aim: null });
    const row = (await screen.findByText('From the record')).nextElementSibling as HTMLElement;
    expect(screen.getByText('not written yet')).toBeTruthy();
    for (const aim of proposal.aims) {
        expect(within(row).getByText(aim.message)).toBeTruthy();
        expect(row.textContent).toContain(aim.remedy.text);
        expect(row.textContent).toContain(aim.remedy.drill);
    }
    for (const one of proposal.lacking) expect(row.textContent.includes(one.message)).toBe(one.possible);
});

it('proposes nothing for a lesson that is over', async () => {
    const asked = open({ state: 'done' });
    await screen.findByRole('heading', { level: 1, name: lesson.learner.name });
    expect(screen.queryByText('From the record')).toBeNull();
    expect(asked()).not.toContain(`lessons/${lesson.id}/proposal`);
});
