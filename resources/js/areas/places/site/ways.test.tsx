import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { PastOfWay } from '@/api/types';
import { begun, type Draft, type Remark } from '@/site/draft';
import { answer, server, show } from '@/testing/answers';
import { Past } from './Past';
import { WayFacts, WayPlan, type Way } from './WayFacts';
import { Ways } from './Ways';

afterEach(cleanup);

const ways = answer('tool-site').ways;
const right = ways.find(({ from, to }) => from === 's' && to === 'e')!;
const name = (arm: string) => `Arm ${arm}`;

describe('all ways of a site as a list', () => {
    const said: Remark = {
        from: 's',
        to: 'e',
        routine: right.routine,
        difficulty: right.difficulty.words === 'hard' ? 'easy' : 'hard',
        note: 'school at four',
    };
    const draft: Draft = { ...begun('t'), remarks: [said] };

    it('has each by its roads and routine, and leads to it on a press', () => {
        const onChoose = vi.fn();
        show(<Ways draft={draft} ways={ways} name={name} onChoose={onChoose} />);
        fireEvent.click(screen.getByText(`All ${ways.length} ways`));
        expect(screen.getAllByRole('listitem')).toHaveLength(ways.length);
        for (const way of ways)
            expect(screen.getByRole('button', { name: new RegExp(`^Arm ${way.from} → Arm ${way.to}: ${way.title.toLowerCase()}`) })).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: /^Arm s → Arm e/ }));
        expect(onChoose).toHaveBeenCalledExactlyOnceWith(right);
    });

    it('says how hard in the instructor’s own word where there is one, with the note', () => {
        show(<Ways draft={draft} ways={ways} name={name} onChoose={vi.fn()} />);
        expect(screen.getByRole('button', { name: /^Arm s → Arm e/ }).textContent).toMatch(new RegExp(`, ${said.difficulty} · school at four$`));
        const other = ways.find(({ from, to }) => from === 's' && to === 'w')!;
        expect(screen.getByRole('button', { name: /^Arm s → Arm w/ }).textContent).toMatch(new RegExp(`, ${other.difficulty.words}$`));
    });
});

describe('a way in words', () => {
    const facts = (way: Way, ownWord: Parameters<typeof WayFacts>[0]['ownWord'] = null) => {
        server({});
        return show(<WayFacts way={way} ownWord={ownWord} first={[]} />).container.textContent;
    };

    it('says both halves of a staggered crossroads', () => {
        const then = { routine: 'turn-left', title: 'Turn left off the main road', distance_m: 18.4 } as const;
        expect(facts({ ...right, then })).toContain('Then at once, after 18 m: turn left off the main road.');
        cleanup();
        expect(facts(right)).not.toContain('Then at once');
    });

    it('keeps the computed word beside the instructor’s own', () => {
        const words = { easy: 'Easy', middling: 'Middling', hard: 'Hard' }[right.difficulty.words];
        expect(facts(right, 'easy')).toContain(`Easy in your word; computed: ${words}`);
        cleanup();
        expect(facts(right)).not.toContain('in your word');
    });

    it('says whose turn it is where nothing on the road does, as the core answers it', async () => {
        const priority = answer('tool-priority-unmarked');
        const asked = { pack: 'gb', place: 'unmarked', goes: 'ahead', vehicles: [{ line: 'right', goes: 'ahead' }] };
        const sent = server({ 'POST compute/priority': priority });
        const { unmount } = show(<WayFacts way={{ ...right, lanes: null, turn: asked }} ownWord={null} first={[]} />);
        const said = await screen.findByLabelText('Whose turn');
        expect(said.textContent).toContain(priority.message);
        expect(sent.find(({ path }) => path === 'compute/priority')!.body).toEqual(asked);
        unmount();
        show(<WayFacts way={{ ...right, turn: null }} ownWord={null} first={[]} />);
        expect(screen.queryByLabelText('Whose turn')).toBeNull();
    });

    it('says how one waits inside the lights, as the core answers it, and that it is not shown where it does not come', async () => {
        const lights = answer('tool-lights-inside');
        const asked = { pack: 'gb', goes: 'right' };
        const sent = server({ 'POST compute/lights': lights });
        const { unmount } = show(<WayFacts way={{ ...right, lanes: null, lights: asked }} ownWord={null} first={[]} />);
        expect((await screen.findByLabelText('Waiting inside the lights')).textContent).toContain(lights.message);
        expect(sent.find(({ path }) => path === 'compute/lights')!.body).toEqual(asked);
        unmount();
        server({ 'POST compute/lights': 500 });
        show(<WayFacts way={{ ...right, lanes: null, lights: asked }} ownWord={null} first={[]} />);
        expect(await screen.findByText(/How one waits inside the lights here is not shown/, {}, { timeout: 8_000 })).toBeTruthy();
    }, 12_000);

    it('has no plan under other rules than those in force but where a strip draws it', () => {
        server({ 'POST compute/approach': 503 });
        const join = answer('tool-site-slip').ways.find(({ tool }) => tool === 'join')!;
        show(<WayPlan way={join} />);
        expect(screen.getByRole('link', { name: 'Plan it on the bench' })).toBeTruthy();
        cleanup();
        show(<WayPlan way={{ ...join, inputs: { ...join.inputs!, pack: 'na' } }} />);
        expect(screen.queryByRole('link')).toBeNull();
        cleanup();
        const staying = ways.find(({ tool }) => tool === null)!;
        expect(show(<WayPlan way={staying} />).container.textContent).toBe('');
    });
});

describe('what went wrong on a way before', () => {
    const past = (more: Partial<PastOfWay>): PastOfWay => ({
        from: right.from,
        to: right.to,
        routine: right.routine,
        rounds: 1,
        taught: 0,
        learners: 1,
        levels: { beginner: 1 },
        last_on: '2026-05-19',
        wrong: [],
        lengths: [],
        ...more,
    });
    const shown = async (rows: PastOfWay[]) => {
        server({ 'GET sites/x/past': rows });
        show(<Past site="x" way={right} />);
        return (await screen.findByRole('region', { name: 'What went wrong here' })).textContent;
    };

    it('is said of one learner in the singular, and without a number of learners beside each', async () => {
        const text = await shown([past({ wrong: [{ step: 'look', fault: null, rounds: 1, learners: 1 }] })]);
        expect(text).toContain('Of 1 round by 1 learner (1 beginner)');
        expect(screen.getByRole('listitem').textContent).toBe('Look: 1 round');
    });

    it('says what was only shown, and that nothing went wrong where nothing did', async () => {
        const text = await shown([past({ rounds: 9, learners: 4, taught: 2, levels: { developing: 3, independent: 1 } })]);
        expect(text).toContain('Of 9 rounds by 4 learners (3 developing, 1 independent)');
        expect(text).toContain('2 were shown or talked through.');
        expect(text).toContain('Nothing that had to be prompted, or worse.');
    });

    it('is of this way and this routine only', async () => {
        server({ 'GET sites/x/past': [past({ routine: 'right-on-red' }), past({ from: 'w' })] });
        show(<Past site="x" way={right} />);
        expect(await screen.findByText('Nobody has driven it yet.')).toBeTruthy();
        expect(within(document.body).queryByRole('region')).toBeNull();
    });
});
