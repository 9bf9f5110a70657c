import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { SchoolForetelling } from '@/api/types';
import { server, show } from '@/testing/answers';
import { Trusted } from '../learners/Trusted';
import { SchoolPage } from './SchoolPage';
import { WellForetold } from './WellForetold';

const told: SchoolForetelling = {
    learners: 3,
    school: {
        ...{
            lessons: 20,
            marks: 1240,
            trust: 'trusted',
            message: 'What was foretold came about as often as was said.',
            loss: 1.1,
            expected: 1.09,
            counting: 1.3,
        },
        bins: [
            { from: 0.2, until: 0.3, marks: 240, foretold: 0.26, unaided: 60 },
            { from: 0.7, until: 0.8, marks: 1000, foretold: 0.74, unaided: 730 },
        ],
    },
    doubted: [{ learner: { id: 'l1', name: 'Orla Penhale' }, lessons: 8, marks: 400, message: 'Not to be relied on just now.' }],
    instructors: [
        { user: { id: 'u1', name: 'Ada' }, learners: 4, stricter: 0.3, low: 0.15, high: 0.45, message: 'Marks more strictly than colleagues do.' },
        { user: { id: 'u2', name: 'Ben' }, learners: 0, stricter: 0, low: -0.4, high: 0.4, message: 'Shares no learner with a colleague yet: nobody can say.' },
    ],
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('how well the school is foretold', () => {
    it('holds foretold against come, with its number, and names whose record is not to be relied on', async () => {
        server({ 'GET school/foretelling': told });
        show(<WellForetold />);
        expect(await screen.findByText(/1,240 marks in 20 lessons of 3 learners/)).toBeTruthy();
        expect(screen.getByText(/It told more than counting/)).toBeTruthy();
        const rows = within(screen.getByRole('table')).getAllByRole('row');
        expect(rows.map((row) => [...row.children].map((cell) => cell.textContent))).toEqual([
            ['Foretold', 'Came', 'Marks'],
            ['26', '25', '240'],
            ['74', '73', '1,000'],
        ]);
        expect(screen.getByRole('link', { name: /Orla Penhale/ }).getAttribute('href')).toBe('/learners/l1');
    });

    it('says by name, not by rank, how each marks, and nothing where there is one alone', async () => {
        server({ 'GET school/foretelling': told });
        show(<WellForetold />);
        const marking = within(await screen.findByRole('region', { name: 'How each of you marks' }));
        expect(marking.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
            'AdaMarks more strictly than colleagues do. 4 learners shared.',
            'BenShares no learner with a colleague yet: nobody can say. ',
        ]);
        cleanup();
        server({ 'GET school/foretelling': { ...told, instructors: told.instructors.slice(0, 1), doubted: [] } });
        show(<WellForetold />);
        expect(await screen.findByText(/No record stands out/)).toBeTruthy();
        expect(screen.queryByRole('region', { name: 'How each of you marks' })).toBeNull();
    });

    it('says when there is nothing yet, and where counting would have done better', async () => {
        server({ 'GET school/foretelling': { ...told, school: null } });
        show(<WellForetold />);
        expect(await screen.findByRole('heading', { name: 'Nothing to hold against yet' })).toBeTruthy();
        cleanup();
        server({ 'GET school/foretelling': { ...told, school: { ...told.school!, loss: 1.5 } } });
        show(<WellForetold />);
        expect(await screen.findByText(/would have told more/)).toBeTruthy();
    });

    it('is a view of the owner’s alone', async () => {
        const school = { learners: [], stale: 0, progress: null, failed: 0 };
        server({ 'GET school/learners': school });
        show(<SchoolPage />, 'owner');
        expect(await screen.findByRole('button', { name: 'How well it foretells' })).toBeTruthy();
        cleanup();
        server({ 'GET school/learners': school });
        show(<SchoolPage />, 'instructor');
        expect(await screen.findByRole('button', { name: 'Routines' })).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'How well it foretells' })).toBeNull();
    });
});

describe('whether a record is to be relied on', () => {
    const said = async (trust: 'too-early' | 'trusted' | 'surprised') => {
        server({ 'GET learners/l1/foretelling': { latest: { ...told.school!, trust, message: `It is ${trust}.` } } });
        show(<Trusted learner="l1" />);
        return trust === 'too-early' ? null : await screen.findByText(/It is/);
    };

    it('stands beside the record, loudly only where it is not', async () => {
        expect((await said('trusted'))!.className).toContain('text-quiet');
        expect(screen.getByText(/1240 marks in 20 lessons/)).toBeTruthy();
        cleanup();
        expect((await said('surprised'))!.className).toContain('font-semibold');
    });

    it('says nothing while it is too early, or nothing was foretold', async () => {
        await said('too-early');
        server({ 'GET learners/l2/foretelling': { latest: null } });
        show(<Trusted learner="l2" />);
        expect(screen.queryByText(/It is|marks in/)).toBeNull();
    });
});
