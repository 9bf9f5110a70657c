import { cleanup, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { answer, server, show } from '@/testing/answers';
import { DayLine } from './DayLine';

/** What the lessons of a day are for, where somebody wrote it and where the record proposes it. */

const { lessons } = answer('demo-today');
const proposal = answer('demo-proposal');
const [first] = lessons;
const day = ['a', 'b', 'c', 'd'].map((id, i) => ({
    ...first!,
    id,
    state: 'booked' as const,
    aim: id === 'b' ? 'Quiet right turns' : null,
    starts_at: `2026-05-20T${String(9 + 2 * i).padStart(2, '0')}:00:00Z`,
}));
const shown = (one: typeof day, reply: object | number = proposal) => {
    const sent = server(Object.fromEntries(one.map(({ id }) => [`GET lessons/${id}/proposal`, reply])));
    show(<DayLine lessons={one} busy={[]} between={[]} />);
    return () => sent.map(({ path }) => path);
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

it('says of each lesson its aim, or what the record proposes, asked one after the other and only where none is written', async () => {
    const asked = shown(day);
    expect(screen.getByText('Quiet right turns')).toBeTruthy();
    expect(asked().length).toBeLessThanOrEqual(1);
    await waitFor(() => expect(screen.getAllByText(`Proposed: ${proposal.aims[0]!.message}`)).toHaveLength(3));
    expect(asked()).toEqual(['a', 'c', 'd'].map((id) => `lessons/${id}/proposal`));
});

it('goes on to the next where one cannot be proposed, and claims nothing of it', async () => {
    const asked = shown(
        day.filter(({ aim }) => aim === null),
        403,
    );
    await waitFor(() => expect(asked()).toHaveLength(3));
    expect(screen.queryByText(/^Proposed/)).toBeNull();
});

it('asks nothing of lessons that are over', async () => {
    const asked = shown(day.slice(0, 1).map((lesson) => ({ ...lesson, state: 'done' as const })) as unknown as typeof day);
    await screen.findByRole('link');
    expect(asked()).toEqual([]);
});
