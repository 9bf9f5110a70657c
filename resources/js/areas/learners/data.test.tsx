import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { LearnerData } from '@/api/types';
import { answer, server, show, written } from '@/testing/answers';
import { DataSheet, markWords } from './DataSheet';
import { EraseForm } from './EraseForm';

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

const data = answer('learner-data');
type Mark = LearnerData['lessons'][number]['rounds'][number]['marks'][number];

/** Every text somebody wrote or said, wherever it stands in what is handed out; ids, clocks and codes are not for reading. */
function texts(value: unknown, name = ''): string[] {
    if (Array.isArray(value)) return value.flatMap((one) => texts(one, name));
    if (value !== null && typeof value === 'object') return Object.entries(value).flatMap(([key, one]) => texts(one, key));
    return typeof value === 'string' &&
        [
            'name',
            'phone',
            'email',
            'pick_up',
            'guardian_name',
            'what',
            'where',
            'aim',
            'went_well',
            'worked_on',
            'note',
            'text',
            'reason',
            'place',
            'instructor',
            'car',
            'title',
            'by',
            'body',
            'centre',
        ].includes(name)
        ? [value]
        : [];
}

describe('all that is kept of a learner, as a sheet', () => {
    it('leaves out nothing that somebody wrote', () => {
        server({});
        // Whatever was empty when it was recorded is filled: nothing is to be left out because it happened to be missing.
        const lesson = data.lessons[0]!;
        const full: LearnerData = {
            ...data,
            learner: { ...data.learner, email: 'wanda@example.test', pick_up: '3 Wren Row' },
            lessons: [{ ...lesson, aim: 'An aim', went_well: 'What went well', worked_on: 'What to improve' }],
            tests: [
                {
                    starts_at: '2026-06-01T09:00:00Z',
                    ends_at: '2026-06-01T10:00:00Z',
                    title: 'A word for it',
                    centre: 'Lantern Hill',
                    instructor: 'Somebody',
                    taken_away: true,
                },
            ],
            accompanied_drives: [{ ...data.accompanied_drives[0]!, note: 'With an aunt', conditions: { surface: 'wet' } }],
            waiting: [{ ...data.waiting[0]!, note: 'Works late' }],
            texts: [{ ...data.texts[0]!, body: 'What was told' }],
            drawings: [{ lesson_id: lesson.id, title: 'A drawing', page: 'gap', state: '', asked: null }],
        };
        const { container } = show(<DataSheet data={full} />);
        for (const text of texts({ ...full, learner: { ...full.learner, name: undefined }, changes: full.changes.map(({ by }) => ({ by })) })) {
            expect(container.textContent).toContain(text);
        }
    });

    it('says dates with their year', () => {
        server({});
        const { container } = show(<DataSheet data={{ ...data, learner: { ...data.learner, licence_seen_on: '2025-03-09' } }} />);
        expect(container.textContent).toContain('9 March 2025');
        expect(container.textContent).toContain('20 May 2026');
        expect(container.textContent).not.toMatch(/\d{4}-\d{2}-\d{2}/);
    });

    it.each<[Partial<Mark>, boolean, string]>([
        [{ step: 'look', outcome: 'missed' }, false, 'look: missed'],
        [{ step: 'look', outcome: 'missed', out_of_order: true, note: 'Van' }, false, 'look: missed, wrong order, “Van”'],
        [{ step: 'look', outcome: 'missed' }, true, 'look: missed, corrected later'],
        [{ step: 'look', withdrawn: true }, false, 'look, taken back'],
        [{ kind: 'taught', withdrawn: true }, false, 'taught, taken back'],
        [{ kind: 'taught', taught: 'talked-through' }, false, 'taught: talked through'],
        [{ kind: 'held-back-rightly' }, false, 'correctly waited'],
        [
            { step: 'position', outcome: 'missed', stage: 'rejoin', fault: 'too-near', effect: 'potential' },
            false,
            'position (rejoin): missed, too near, others: potential',
        ],
        [{ kind: 'decision', decision: 'let-go' }, false, 'decided rightly: let go'],
        [{ kind: 'decision', withdrawn: true }, false, 'decided rightly, taken back'],
        [{ kind: 'count', what: 'wait', number: 1, seconds: 9 }, false, 'waited 9.0 s'],
        [{ kind: 'count', withdrawn: true }, false, 'a count, taken back'],
        [{ kind: 'moment', note: 'Cyclist' }, false, 'moment, “Cyclist”'],
    ])('%#: a mark in words', (mark, corrected, words) => {
        const whole: Mark = {
            ...data.lessons[0]!.rounds[0]!.marks[0]!,
            kind: 'step',
            step: null,
            outcome: null,
            taught: null,
            stage: null,
            decision: null,
            what: null,
            number: null,
            seconds: null,
            fault: null,
            effect: null,
            out_of_order: false,
            note: null,
            corrects_id: null,
            withdrawn: false,
        };
        expect(markWords({ ...whole, ...mark }, corrected)).toBe(words);
    });
});

describe('erasing', () => {
    it('asks for the name, letter by letter, before it does anything', async () => {
        const sent = server({});
        show(<EraseForm id="7" name="Wanda Wren" />);
        const key = screen.getByRole<HTMLButtonElement>('button', { name: 'Erase Wanda Wren' });
        for (const [typed, open] of [
            ['', false],
            ['Wanda', false],
            ['wanda wren', false],
            [' Wanda Wren ', true],
        ] as const) {
            fireEvent.change(screen.getByLabelText(/^Type the name/), { target: { value: typed } });
            expect(key.disabled).toBe(!open);
        }
        fireEvent.click(key);
        await waitFor(() => expect(written(sent)).toEqual([{ method: 'POST', path: 'learners/7/erasure', body: { name: ' Wanda Wren ' } }]));
        await screen.findByText(/kept without a name/);
    });
});
