import { cleanup, screen, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { unfold } from '@/api/folded';
import type { AmberAnswer, EngineAnswer, GapAnswer, ReverseAnswer, StoppingAnswer } from '@/api/types';
import { answer, besideATool, server, show, tool, written } from '@/testing/answers';
import { ApproachBench } from './ApproachBench';
import { ClearanceBench } from './ClearanceBench';
import { GapBench } from './GapBench';
import { EngineBench } from './EngineBench';
import { JoinBench } from './JoinBench';
import { LaneChangeBench } from './LaneChangeBench';
import { LeaveBench } from './LeaveBench';
import { SweptPathBench } from './SweptPathBench';
import { OvertakeBench } from './OvertakeBench';
import { ReverseBench } from './ReverseBench';
import { LanesBench } from './LanesBench';
import { AmberBench } from './AmberBench';
import { CrossingBench } from './CrossingBench';
import { FollowingBench } from './FollowingBench';
import { StoppingBench } from './StoppingBench';
import { SeriesBench } from './SeriesBench';
import { LightsBench } from './LightsBench';
import { PriorityBench } from './PriorityBench';
import { SightBench } from './SightBench';
import { SteeringBench } from './SteeringBench';

/** Each page of the bench on an answer of its tool: what is drawn is what the core said, and what is kept is what it was asked. */

const [join, leave, overtake, change, lanes] = [
    answer('tool-join'),
    answer('tool-leave'),
    answer('tool-overtake'),
    answer('tool-lane-change'),
    answer('tool-lanes'),
];
const [swept, steering, clearance] = [answer('tool-swept-path'), answer('tool-steering'), answer('tool-clearance')];
const [sight, following, crossing] = [answer('tool-sight'), answer('tool-following'), answer('tool-crossing')];
const stopping = unfold<StoppingAnswer>(answer('tool-stopping'));
const amber = unfold<AmberAnswer>(answer('tool-amber'));
const series = answer('tool-series');
const priority = answer('tool-priority');
const lights = answer('tool-lights');
const gap = unfold<GapAnswer>(answer('tool-gap'));
const engine = unfold<EngineAnswer>(answer('tool-engine'));
const reverse = unfold<ReverseAnswer>(answer('tool-reverse'));
const round = (metres: number) => String(Math.round(metres));

const PAGES: [string, ReactNode, string, string, string[]][] = [
    ['gap', <GapBench key="p" />, '/bench/gap?distance=110', 'gap', [gap.find((one) => one.at === 110)!.message, gap[0]!.critical_gap_s.toFixed(1)]],
    ['gears', <EngineBench key="p" />, '/bench/engine?speed=30', 'engine', [round(engine.find((one) => one.at === 30)!.gears[2]!.rpm)]],
    ['reversing', <ReverseBench key="p" />, '/bench/reverse?angle=2', 'reverse', [reverse.find((one) => one.at === 2)!.control]],
    ['join', <JoinBench key="p" />, '/bench/join', 'join', [join.accel_needed_mps2.toFixed(1), join.glances[0]!.why]],
    ['leave', <LeaveBench key="p" />, '/bench/leave', 'leave', [leave.slip_lane_reason]],
    ['overtake', <OvertakeBench key="p" />, '/bench/overtake', 'overtake', [overtake.message]],
    [
        'stopping',
        <StoppingBench key="p" />,
        '/bench/stopping?speed=40&surface=wet',
        'stopping',
        [`${round(stopping.find((one) => one.at === 40)!.total_m!)} m to stop`],
    ],
    ['following', <FollowingBench key="p" />, '/bench/following', 'following', [`${following.short_by_s.toFixed(1)} s short`, round(following.wanted_m)]],
    ['amber', <AmberBench key="p" />, '/bench/amber?speed=40&distance=50&surface=wet', 'amber', [amber.find((one) => one.at === 50)!.message]],
    ['crossing', <CrossingBench key="p" />, '/bench/crossing', 'crossing', [`Wait ${Math.ceil(crossing.wait_s)} s`, crossing.reason]],
    ['in a row', <SeriesBench key="p" />, '/bench/series', 'series', [series.directions[0]!.say, series.plans[1]!.message!, 'Who waits for whom']],
    ['whose turn', <PriorityBench key="p" />, '/bench/priority', 'priority', [priority.message]],
    ['lights', <LightsBench key="p" />, '/bench/lights', 'lights', [lights.message, lights.head!.message]],
    ['sight', <SightBench key="p" />, '/bench/sight', 'sight', [sight.message, `${Math.round(sight.come_at_mph!)} mph`]],
    ['lane change', <LaneChangeBench key="p" />, '/bench/lane-change', 'lane-change', [change.message]],
    ['steering', <SteeringBench key="p" />, '/bench/steering', 'steering', [steering.turns.toFixed(2)]],
    ['clearance', <ClearanceBench key="p" />, '/bench/clearance', 'clearance', [clearance.clearance_ft_in]],
    ['lanes', <LanesBench key="p" />, '/bench/lanes', 'lanes', [lanes.reasons[0]!]],
    ['long vehicle', <SweptPathBench key="p" />, '/bench/swept-path', 'swept-path', [swept.off_tracking_m.most.toFixed(2)]],
];

const others = besideATool();
const recorded = {
    gap: 'tool-gap',
    engine: 'tool-engine',
    reverse: 'tool-reverse',
    join: 'tool-join',
    leave: 'tool-leave',
    series: 'tool-series',
    priority: 'tool-priority',
    lights: 'tool-lights',
    sight: 'tool-sight',
    stopping: 'tool-stopping',
    amber: 'tool-amber',
    overtake: 'tool-overtake',
    'lane-change': 'tool-lane-change',
    steering: 'tool-steering',
    clearance: 'tool-clearance',
    lanes: 'tool-lanes',
    'swept-path': 'tool-swept-path',
} as const;
const tools = {
    ...Object.fromEntries(Object.entries(recorded).map(([name, file]) => [`POST compute/${name}`, tool(file)])),
    'POST compute/following': tool('tool-following', 'tool-following-swept'),
    'POST compute/crossing': tool('tool-crossing', 'tool-crossing-swept'),
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe.each(PAGES)('the page %s', (_, page, at, name, says) => {
    it('says what its tool answered, and what that rests on', async () => {
        server({ ...others, ...tools });
        const { container } = show(page, 'instructor', at);
        await waitFor(() => expect(container.textContent).toContain(says[0]));
        for (const said of says) expect(container.textContent).toContain(said);
        expect(container.querySelectorAll('details table tr').length).toBeGreaterThan(0);
        expect(container.textContent).not.toMatch(/NaN|undefined|\[object/);
    });

    it('is kept with what its tool was asked', async () => {
        const place = answer('demo-places')[0]!;
        const sent = server({ ...others, ...tools, [`GET places/${place.id}/lessons`]: [], [`POST places/${place.id}/drawings`]: place.drawings[0] ?? {} });
        const { container } = show(page, 'instructor', at);
        await waitFor(() => expect(container.textContent).toContain(says[0]));
        screen.getByRole('button', { name: 'Save to a place' }).click();
        const choice = await screen.findByLabelText<HTMLSelectElement>(/^Place/);
        await waitFor(() => expect(choice.options.length).toBeGreaterThan(5));
        choice.value = place.id;
        choice.dispatchEvent(new Event('change', { bubbles: true }));
        screen.getByRole('button', { name: 'Keep' }).click();
        const kept = await waitFor(
            () => written(sent).find((one) => one.path.endsWith('/drawings'))!.body as { asked: { tool: string; inputs: Record<string, unknown> } },
        );
        expect(kept.asked.tool).toBe(name);
        // What is kept is one question the tool was really asked, with its slider where it stands.
        const asked = sent.filter((one) => one.path === `compute/${name}`).map((one) => one.body as Record<string, unknown>);
        const { sweep, ...rest } = asked[0]!;
        expect(kept.asked.inputs).toMatchObject(rest);
        if (sweep) expect(kept.asked.inputs).toHaveProperty((sweep as { field: string }).field);
    });
});

describe('the page approach', () => {
    it('asks once for each control at rest, and draws the plan nearest to it', async () => {
        const sent = server({ ...others, 'POST compute/approach': tool('tool-approach') });
        const { container } = show(
            <ApproachBench />,
            'instructor',
            `/bench/approach?road=${encodeURIComponent('{"routine":"emerge-right","limit_mph":30}')}&speed=30`,
        );
        await waitFor(() => expect(container.querySelector('svg')).toBeTruthy());
        const asked = sent.filter((one) => one.path === 'compute/approach').map((one) => (one.body as { sweep: { field: string } }).sweep.field);
        expect(asked.sort()).toEqual(['gradient', 'speed_mph']);
    });
});

describe('the page leave', () => {
    it('says what is wrong with the verdict and not once more below, and what else is to be known below', async () => {
        const message = 'Even from the beginning on the brake would reach 2.2 m/s²: more than holds here at all.';
        const harsh = { ...leave, verdict: 'harsh' as const, message, warnings: [{ code: 'harsh-braking', message, data: {} }, ...leave.warnings] };
        server({ ...others, 'POST compute/leave': harsh });
        const { container } = show(<LeaveBench />, 'instructor', '/bench/leave');
        await waitFor(() => expect(container.textContent).toContain(message));
        expect(container.textContent.split(message)).toHaveLength(2);
        expect(screen.getAllByRole('status')[0]!.textContent).toContain('Harsh');
        expect(leave.warnings.length).toBeGreaterThan(0);
        for (const other of leave.warnings) expect(container.textContent).toContain(other.message);
    });
});

describe('the page overtake', () => {
    it('tells the tool that nobody is behind only where that was said', async () => {
        for (const [at, followed] of [
            ['/bench/overtake', undefined],
            ['/bench/overtake?alone=true', false],
        ] as const) {
            const sent = server({ ...others, ...tools });
            const { container } = show(<OvertakeBench />, 'instructor', at);
            await waitFor(() => expect(container.textContent).toContain(overtake.message));
            const asked = sent.find((one) => one.path === 'compute/overtake')!.body as { followed?: boolean };
            expect(asked.followed).toBe(followed);
            cleanup();
        }
    });
});
