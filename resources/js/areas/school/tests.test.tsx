import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { SchoolTests } from '@/api/types';
import { answer, server, show } from '@/testing/answers';
import { Tests } from './Tests';

/** Real tests, on what the demo’s school is told of them. */

const told = answer('demo-school-tests');
const [centre] = told.centres;
const shown = (said: SchoolTests) => {
    server({ 'GET school/tests': said });
    show(<Tests />);
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

it('says in one sentence whether it came as it was said, and then how many passed of those of whom as much was said', async () => {
    shown(told);
    expect(await screen.findByText(told.held.message)).toBeTruthy();
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows).toHaveLength(told.held.bins.length);
    rows.forEach((row, i) => {
        const { said, passed } = told.held.bins[i]!;
        expect(row.textContent).toContain(String(Math.round(said * 100)));
        expect(row.textContent).toContain(`${passed.count} of ${passed.of}`);
        expect(row.textContent).toContain(`${Math.round(passed.low * 100)} to ${Math.round(passed.high * 100)} %`);
    });
    // They are all in one bin or another.
    expect(told.held.bins.reduce((sum, { passed }) => sum + passed.of, 0)).toBe(told.held.tests);
});

it('names at each centre what decided failed tests, the most often first, and leads there', async () => {
    shown(told);
    const there = within(await screen.findByRole('article', { name: centre!.name }));
    expect(there.getByRole('link', { name: centre!.name }).getAttribute('href')).toBe(`/places/centres/${centre!.id}`);
    const found = there.getAllByRole('listitem');
    expect(found).toHaveLength(Math.min(6, centre!.steps.length));
    const [first] = centre!.steps;
    expect(found[0]!.textContent).toContain(`${first!.share.count} of ${first!.share.of}`);
    const counts = centre!.steps.map(({ share }) => share.count);
    expect(counts).toEqual([...counts].sort((one, other) => other - one));
});

it('claims nothing where too few are known: no table, no list, and how many it takes', async () => {
    const few = { ...centre!, tests: 4, passed: null, known: 3, steps: [] };
    const none = { ...centre!, id: 'x', name: 'Nowhere yet', tests: 0, passed: null, known: 0, steps: [] };
    const unknown = { ...few, id: 'y', name: 'Nobody knows', known: 0 };
    shown({
        held: { ...told.held, tests: 5, enough: false, expected: null, passed: null, bins: [], message: 'Nothing can be said.' },
        centres: [few, none, unknown],
    });
    expect(await screen.findByText('Nothing can be said.')).toBeTruthy();
    expect(screen.queryByRole('table')).toBeNull();
    const article = (name: string) => screen.getByRole('article', { name }).textContent;
    expect(article(few.name)).toContain('4 tests written down');
    expect(article(few.name)).not.toContain('passed');
    expect(article(few.name)).toMatch(/Of 3 that were failed it is known by what: nothing can be said\s+from fewer than 8/);
    expect(article('Nowhere yet')).toContain('No test that was taken there is written down.');
    expect(article('Nobody knows')).toContain('Of none that was failed it is known by what');
});

it('says that no centre is written down where none is', async () => {
    shown({ ...told, centres: [] });
    expect(await screen.findByText(/No test centre is written down/)).toBeTruthy();
});
