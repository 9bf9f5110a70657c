import { describe, expect, it } from 'vitest';
import type { Change } from '@/api/types';
import { byDay, said, takenBack } from './changes';

let n = 0;
const change = (what: Change['what'], kind: Change['kind'], name: string, details: Change['details'] = {}): Change => ({
    id: `c${++n}`,
    at: '2026-11-27T10:00:00.000Z',
    by: 'Petra',
    what,
    kind,
    subject_id: name,
    name,
    details,
});

describe('what somebody changed, in words', () => {
    it.each<[Change, string]>([
        [change('added', 'learner', 'Ivo'), 'Petra added the learner Ivo.'],
        [change('added', 'person', 'Sam'), 'Petra invited Sam.'],
        [change('changed', 'learner', 'Ivo', { fields: ['pick_up', 'guardian_name'] }), 'Petra changed the learner Ivo: pick-up, guardian.'],
        [change('changed', 'person', 'Petra', { fields: ['password'] }), 'Petra changed Petra: password.'],
        [change('changed', 'car', 'Hatch', { fields: ['never_named_here'] }), 'Petra changed the car Hatch: never named here.'],
        [change('archived', 'place', 'Mill Lane'), 'Petra archived the place Mill Lane.'],
        [change('restored', 'place', 'Mill Lane'), 'Petra brought the place Mill Lane back.'],
        [change('handed-over', 'person', 'Sam', { lessons: 3, to: 'Ida' }), 'Petra handed 3 of Sam’s lessons over to Ida.'],
        [change('handed-out', 'learner', 'Ivo'), 'Petra took out everything kept of the learner Ivo.'],
        [change('handed-out', 'learner', 'Erased learner'), 'Petra took out everything kept of a learner who is erased.'],
        // Nobody is named who is erased.
        [change('erased', 'learner', 'Erased learner'), 'Petra erased a learner.'],
    ])('%#', (one, words) => expect(said(one)).toBe(words));
});

describe('what can be brought back', () => {
    it('is what was archived last and not touched since, and nothing that cannot be', () => {
        const rows = [
            change('changed', 'learner', 'Ada', { fields: ['name'] }),
            change('archived', 'learner', 'Ada'),
            change('restored', 'place', 'Quay'),
            change('archived', 'place', 'Quay'),
            change('erased', 'learner', 'Bo'),
            change('archived', 'learner', 'Bo'),
            change('archived', 'learner', 'Ada'),
            change('archived', 'car', 'Hatch'),
        ];
        expect(takenBack(rows)).toEqual(new Set([rows[1]!.id, rows[7]!.id]));
    });
});

it('groups by day without losing or moving a change', () => {
    const rows = ['27', '27', '26', '26', '25'].map((day) => ({ ...change('added', 'car', 'x'), at: `2026-11-${day}T10:00:00Z` }));
    const days = byDay(rows, (moment) => moment.slice(8, 10));
    expect(days.map(({ day, changes }) => [day, changes.length])).toEqual([
        ['27', 2],
        ['26', 2],
        ['25', 1],
    ]);
    expect(days.flatMap((day) => day.changes)).toEqual(rows);
});
