import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Drawing } from '@/api/types';
import { answer, server, show, tool } from '@/testing/answers';
import { questions } from '@/api/questions';
import type { Asked } from '@/api/tools';
import { judgementQuestions } from './asked';
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

it('waits for no gap out of the stem of a T under lights, and asks nothing for it', async () => {
    const sent = server({});
    show(<Judgement routine="lights-right" road={{ junction: 't-stem' }} />);
    expect(await screen.findByLabelText('The gap here')).toHaveProperty('textContent', expect.stringContaining('no gap to wait for'));
    expect(sent.filter((one) => one.path.startsWith('compute/'))).toEqual([]);
});

it('takes the gap from the road met, and says where that is only assumed', async () => {
    const sent = server({ 'POST compute/gap': tool('tool-gap') });
    const { unmount } = show(<Judgement routine="emerge-right" road={{ limit_mph: 20 }} />);
    expect(await screen.findByLabelText('The gap here')).toHaveProperty('textContent', expect.stringContaining('assumed as fast as ours: check'));
    unmount();
    show(<Judgement routine="emerge-right" road={{ limit_mph: 20, road_met: { limit_mph: 40, lanes: 2 } }} />);
    expect(await screen.findByLabelText('The gap here')).not.toHaveProperty('textContent', expect.stringContaining('assumed'));
    const bodies = sent.filter((one) => one.path === 'compute/gap').map((one) => one.body as { other_speed_mph: number; road_met?: object });
    expect(bodies.map((body) => body.other_speed_mph)).toEqual([20, 40]);
    expect(bodies[1]!.road_met).toEqual({ limit_mph: 40, lanes: 2 });
});

it('asks under the law of the place, and leads to the bench only where that is the law in force', async () => {
    const sent = server({ 'POST compute/gap': tool('tool-gap') });
    const { unmount } = show(<Judgement routine="emerge-right" road={{ limit_mph: 20 }} />);
    expect(await screen.findByRole('link', { name: 'On the bench' })).toBeTruthy();
    unmount();
    show(<Judgement routine="emerge-right" road={{ limit_mph: 20 }} pack="ie" />);
    await screen.findByLabelText('The gap here');
    expect(screen.queryByRole('link')).toBeNull();
    const packs = sent.filter((one) => one.path === 'compute/gap').map((one) => (one.body as { pack: string }).pack);
    expect(packs).toEqual([rules.pack, 'ie']);
    // What is fetched ahead for the lesson is what is asked there.
    const [ahead] = judgementQuestions('emerge-right', { limit_mph: 20 }, [], rules, 'ie');
    expect(ahead!.queryKey).toEqual(questions.tool('gap', sent.at(-1)!.body as Asked<'gap'>).queryKey);
});
