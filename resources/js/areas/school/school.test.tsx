import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, written } from '@/testing/answers';
import { Causes } from './Causes';
import { LearnersAtAGlance } from './LearnersAtAGlance';
import { PlacesDriven } from './PlacesDriven';
import { RoutinesTaught } from './RoutinesTaught';

const teaching = answer('demo-teaching');
const learners = answer('demo-school-learners');
const rows = () => screen.getAllByRole('row').slice(1);

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('every learner at a glance', () => {
    const seen = () => screen.getAllByRole('link').map((link) => link.textContent);

    it('names everybody, and whoever has no marks without inventing a figure', async () => {
        server({ 'GET school/learners': learners, 'POST school/records': { stale: 0, progress: null, failed: 0 } });
        const { container } = show(<LearnersAtAGlance />);
        await screen.findByText(learners.learners[0]!.name);
        for (const learner of learners.learners) expect(container.textContent).toContain(learner.name);
        const fresh = learners.learners.find((learner) => Object.keys(learner.skill?.steps ?? {}).length === 0);
        expect(fresh, 'somebody of the demo has no marks yet').toBeTruthy();
        expect(container.textContent).not.toContain('NaN');
    });

    it('puts whoever needs most help first, and finds by name', async () => {
        server({ 'GET school/learners': { ...learners, stale: 0 } });
        show(<LearnersAtAGlance />);
        await screen.findByText(learners.learners[0]!.name);
        fireEvent.change(screen.getByLabelText('Order'), { target: { value: 'weakest' } });
        const lowest = [...learners.learners].filter((one) => one.skill?.average != null).sort((a, b) => a.skill!.average! - b.skill!.average!)[0]!;
        expect(seen()[0]).toContain(lowest.name);
        fireEvent.change(screen.getByLabelText('Search learners'), { target: { value: lowest.name.slice(0, 6) } });
        expect(seen().every((name) => name.toLowerCase().includes(lowest.name.slice(0, 6).toLowerCase()))).toBe(true);
    });

    it('brings records up to date where some are behind, and only there', async () => {
        const sent = server({ 'GET school/learners': { ...learners, stale: 3 }, 'POST school/records': { stale: 3, progress: { done: 1, of: 3 }, failed: 0 } });
        show(<LearnersAtAGlance />);
        await screen.findByText(learners.learners[0]!.name);
        await waitFor(() => expect(written(sent).map((one) => one.path)).toContain('school/records'));
        cleanup();
        const none = server({ 'GET school/learners': { ...learners, stale: 0, progress: null } });
        show(<LearnersAtAGlance />);
        await screen.findByText(learners.learners[0]!.name);
        expect(written(none)).toEqual([]);
    });
});

describe('what is taught', () => {
    it('compares only what enough learners have met, and names what nobody was taught', () => {
        show(<RoutinesTaught routines={teaching.routines} />);
        const compared = within(screen.getByRole('region', { name: 'Routines with enough learners' }));
        expect(compared.getAllByRole('row').slice(1)).toHaveLength(teaching.routines.filter((one) => one.enough).length);
        const never = teaching.routines.filter((one) => one.learners === 0);
        expect(never.length).toBeGreaterThan(0);
        expect(screen.getByRole('heading', { name: /Never taught to anybody/ }).parentElement!.textContent.split('·')).toHaveLength(never.length);
    });

    it('says whether a cause is at work by the figures with it and without', () => {
        show(<Causes failures={teaching.failures} />);
        const first = teaching.failures.find((one) => one.enough)!;
        const text = rows()[0]!.textContent;
        expect(text).toContain(first.cause_shows ? 'probably connected' : 'not clearly connected');
        expect(text).toContain(`wrong in ${Math.round((100 * first.with!.count) / first.with!.of)} % of those attempts`);
        expect(rows()).toHaveLength(teaching.failures.filter((one) => one.enough).length);
    });

    it('says where help is needed more than elsewhere', () => {
        const { container } = show(<PlacesDriven places={teaching.places} />);
        const more = teaching.places.find((one) => one.enough && one.fails_more)!;
        expect(container.textContent).toContain(more.name);
    });

    it('says that fewer are no pattern where there are few', () => {
        show(<Causes failures={teaching.failures.map((one) => ({ ...one, enough: false }))} />);
        expect(screen.getByText(/fewer are no pattern/)).toBeTruthy();
        expect(screen.getByText(`${teaching.failures.length} more steps have too few marks or learners to be a pattern.`)).toBeTruthy();
    });
});
