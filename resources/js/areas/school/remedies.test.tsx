import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { GivenRemedy } from '@/api/types';
import { answer, server, show } from '@/testing/answers';
import { Remedies } from './Remedies';

/** Whether what was given helps, on what the demo’s school is told. */

const told = answer('demo-school-remedies');
const shown = (said: GivenRemedy[]) => {
    server({ 'GET school/remedies': said });
    show(<Remedies />);
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

it('says of each what it is against, how often it was given to how many, and the core’s sentence, in the order told', async () => {
    shown(told);
    const rows = await screen.findAllByRole('listitem');
    expect(rows).toHaveLength(told.length);
    rows.forEach((row, i) => {
        const { effect, what, given_to: learners } = told[i]!;
        expect(row.textContent).toContain(effect.message);
        expect(row.textContent).toContain(`the ${what}`);
        expect(row.textContent).toContain(`to ${learners} learner`);
    });
});

it('says one in the singular, and what a school without any can do', async () => {
    shown([{ ...told[0]!, times: 1, given_to: 1, fault: null }]);
    expect((await screen.findByRole('listitem')).textContent).toContain('1 time, to 1 learner');
    cleanup();
    shown([]);
    expect(await screen.findByText('Nothing was given yet')).toBeTruthy();
});
