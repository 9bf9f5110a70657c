import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Drawing } from '@/api/types';
import { answer, server, show, tool } from '@/testing/answers';
import { hasJudgement, Judgement } from './Judgement';

/** What is said at a place whose lanes were drawn: on the core's own answer, for what was kept with it. */

const rules = answer('session').rules;
const lanes = answer('tool-lanes');
const drawing = (page: Drawing['page'], inputs: object = {}): Drawing => ({
    ...answer('demo-places').find((place) => place.drawings.length > 0)!.drawings[0]!,
    page,
    state: '',
    asked: { tool: page, inputs } as Drawing['asked'],
});

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

it('says the lane where lanes are drawn, asked as it is taught here', async () => {
    const sent = server({ 'POST compute/lanes': tool('tool-lanes') });
    const kept = { arms: [], from: 'home', to: 'third', practice: { roundabout_signal: 'rule' } };
    show(<Judgement routine="roundabout" road={{}} drawings={[drawing('join'), drawing('lanes', kept)]} />);
    expect(await screen.findByLabelText('The lane here')).toHaveProperty('textContent', expect.stringContaining(`lane ${lanes.approach_lane}`));
    expect(sent.find((one) => one.path === 'compute/lanes')!.body).toMatchObject({ from: 'home', to: 'third', practice: rules.practice });
});

it('has nothing to say of a place where nothing is waited for and no lane is drawn', () => {
    expect(hasJudgement('hump', [drawing('join')], rules)).toBe(false);
    expect(hasJudgement('hump', [drawing('lanes')], rules)).toBe(true);
    expect(hasJudgement('emerge-right', [], rules)).toBe(true);
});
