import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Lesson } from '@/api/types';
import { answer, server, show, written } from '@/testing/answers';
import { PromiseList } from './PromiseList';

/** What is agreed for next time: in words, or by the routine it is about, which the next lesson then proposes. */

const lesson = answer('demo-lesson-driven');
const { routines } = answer('session').rules;
const driven = routines.find(({ code }) => lesson.rounds.some((round) => round.routine === code))!;
const shown = (more: Partial<Lesson> = {}, kind: 'promise' | 'homework' = 'promise') => {
    const sent = server({ [`POST lessons/${lesson.id}/promises`]: lesson.promises[0] ?? {}, [`GET lessons/${lesson.id}`]: lesson });
    show(<PromiseList lesson={{ ...lesson, promises: [], ...more }} kind={kind} title="Agreed" add="Next lesson begins with" />);
    return () => written(sent).map(({ body }) => body as { kind: string; text: string; routine: string | null; step: string | null });
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

it('is said by a routine of this lesson and a step of it alone, in its own words', async () => {
    const sent = shown();
    const which = screen.getByLabelText('About which routine');
    expect(within(within(which).getByRole('group', { name: 'In this lesson' })).getByRole('option', { name: driven.title })).toBeTruthy();
    const add = screen.getByRole('button', { name: 'Add' });
    expect(add).toHaveProperty('disabled', true);
    expect(screen.queryByLabelText('Which step of it')).toBeNull();
    fireEvent.change(which, { target: { value: driven.code } });
    const steps = within(screen.getByLabelText('Which step of it')).getAllByRole('option');
    // Only steps that it has, and all of it.
    expect(steps).toHaveLength(driven.steps.length + 1);
    fireEvent.change(screen.getByLabelText('Which step of it'), { target: { value: driven.steps[0] } });
    fireEvent.click(add);
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]).toMatchObject({ kind: 'promise', routine: driven.code, step: driven.steps[0] });
    expect(sent()[0]!.text.toLowerCase()).toBe(`${driven.title}: ${driven.steps[0]}`.toLowerCase());
    // The next one begins with nothing said.
    await waitFor(() => expect(which).toHaveProperty('value', ''));
    expect(add).toHaveProperty('disabled', true);
});

it('keeps the words that are typed before those of the routine, and forgets the step with another routine', async () => {
    const sent = shown();
    const other = routines.find(({ code }) => code !== driven.code)!;
    fireEvent.change(screen.getByLabelText('About which routine'), { target: { value: driven.code } });
    fireEvent.change(screen.getByLabelText('Which step of it'), { target: { value: driven.steps[0] } });
    fireEvent.change(screen.getByLabelText('About which routine'), { target: { value: other.code } });
    fireEvent.change(screen.getByLabelText('Next lesson begins with'), { target: { value: '  The quiet one first ' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(sent()).toHaveLength(1));
    expect(sent()[0]).toMatchObject({ text: 'The quiet one first', routine: other.code, step: null });
});

it('says what one is about where its words do not, and asks for no routine of what is practised at home', () => {
    const promise = {
        id: 'p',
        lesson_id: lesson.id,
        kind: 'promise' as const,
        text: 'The quiet one first',
        routine: driven.code,
        step: 'look' as const,
        kept_at: null,
    };
    shown({ promises: [promise, { ...promise, id: 'q', text: 'As usual', routine: null, step: null }] });
    const [first, second] = screen.getAllByRole('listitem');
    expect(first!.textContent).toContain(`${driven.title}: look`);
    expect(second!.textContent).toBe('As usual✕');
    cleanup();
    shown({}, 'homework');
    expect(screen.queryByLabelText('About which routine')).toBeNull();
});
