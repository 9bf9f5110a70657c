import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, written } from '@/testing/answers';
import { exactly, LEVEL_WORDS, times, timesSurely } from '@/skill/words';
import { STEP_WORDS } from '@/strip/words';
import { Habits } from './Habits';
import { HoldsBack } from './HoldsBack';
import { HoursTable } from './HoursTable';
import { Leaning } from './Leaning';
import { OwnRatings } from './OwnRatings';
import { SkillField } from './SkillField';

const record = answer('demo-learner');
const skill = answer('demo-skill');
const behind = answer('demo-cell');
const { rules } = answer('demo-lesson-driven');

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('timid or bold', () => {
    const leaning = { estimate: -0.6, low: -0.87, high: -0.3, evidence: 8, timid: 7, bold: 1, message: 'Timid: holds back.' };
    const drawn = (of: typeof leaning) => {
        show(<Leaning skill={{ ...skill, leaning: of }} />);
        return screen.getByRole('img').getAttribute('aria-label');
    };

    it('says which, by what, and how surely, for the eye and for the ear', () => {
        expect(drawn(leaning)).toBe('Between wholly timid and a little timid, likeliest clearly timid.');
        expect(screen.getByRole('heading', { name: 'Timid or bold' })).toBeTruthy();
        expect(screen.getByText('Timid: holds back.')).toBeTruthy();
        expect(screen.getByText(/By 7 times too careful and one too daring/)).toBeTruthy();
        cleanup();
        expect(drawn({ ...leaning, estimate: 0.05, low: -0.4, high: 0.55, timid: 1, bold: 4 })).toBe(
            'Between a little timid and clearly bold, likeliest even.',
        );
        expect(screen.getByText(/By one time too careful and 4 too daring/)).toBeTruthy();
    });

    it('says nothing where too little was seen', () => {
        show(<Leaning skill={{ ...skill, leaning: null }} />);
        expect(screen.queryByRole('heading')).toBeNull();
    });
});

describe('the field of ink', () => {
    const field = () => {
        const cell = [...skill.cells].sort((a, b) => b.evidence - a.evidence)[0]!;
        const sent = server({
            [`GET learners/${record.id}/skill/${cell.routine}/${cell.step}`]: behind,
            [`POST learners/${record.id}/overrulings`]: behind.overrulings[0] ?? {},
        });
        show(<SkillField learner={record.id} tallies={record.tallies} skill={skill} lessons={record.lessons} />, 'instructor');
        return { cell, sent };
    };
    const squares = () =>
        within(screen.getByRole('region', { name: 'Routines by steps' }))
            .getAllByRole('button')
            .filter((square) => square.textContent.includes('alone '));

    const openSquare = ({ routine, step }: (typeof skill.cells)[number]) => {
        const label = `${rules.routines.find((one) => one.code === routine)!.title}, ${STEP_WORDS[step]}: `;
        squares()
            .find((square) => square.textContent.includes(label))!
            .click();
    };

    it('has a square for each step that was marked, each with how often and how certain', () => {
        field();
        expect(squares()).toHaveLength(skill.cells.length);
        for (const cell of skill.cells) {
            expect(squares().some((square) => square.textContent.includes(`alone ${timesSurely(cell)};`))).toBe(true);
        }
    });

    it('opens everything behind a square: every mark with its place', async () => {
        const { cell } = field();
        openSquare(cell);
        const sheet = within(await screen.findByRole('dialog'));
        // As somebody says it; the exact figures are in the sheet.
        expect(sheet.getByText(times(cell.estimate))).toBeTruthy();
        expect(sheet.getByText(new RegExp(exactly(cell)))).toBeTruthy();
        for (const place of new Set(behind.marks.map((mark) => mark.place))) expect((await sheet.findAllByText(new RegExp(place))).length).toBeGreaterThan(0);
    });

    it('leads from every routine that was never done to a place for it on the next lesson, or says that it needs none', async () => {
        const places = answer('demo-places');
        const ahead = { ...record.lessons[0]!, id: 'next', state: 'booked' as const, starts_at: '2030-01-01T09:00:00Z' };
        const { id: _, ...item } = answer('demo-lesson-planned').items[0]!;
        const sent = server({ 'GET places': places, 'POST lessons/next/items': { ...item, id: 'i' } });
        show(<SkillField learner={record.id} tallies={record.tallies} skill={skill} lessons={[ahead]} />, 'instructor');
        const never = skill.never_done;
        expect(never.length).toBeGreaterThan(3);
        const titles = answer('session')
            .rules.routines.filter((one) => never.includes(one.code))
            .map((one) => one.title.toLowerCase());
        for (const title of titles) expect(screen.getByRole('button', { name: title })).toBeTruthy();
        const titleOf = (code: string) => answer('session').rules.routines.find((one) => one.code === code)!.title;
        const anywhere = never.find((code) => !places.some((place) => place.routine === code))!;
        fireEvent.click(screen.getByRole('button', { name: titleOf(anywhere).toLowerCase() }));
        const none = within(await screen.findByRole('dialog', { name: titleOf(anywhere) }));
        expect(await none.findByText(/marked anywhere/)).toBeTruthy();
        expect(none.getByRole('link', { name: /^Drive of/ }).getAttribute('href')).toBe('/lessons/next/drive');
        expect(none.getByRole('link', { name: 'Open the card' }).getAttribute('href')).toBe(`/routines/${anywhere}`);
        fireEvent.click(none.getByRole('button', { name: 'Close' }));
        const shown = never.find((code) => places.some((place) => place.routine === code));
        if (shown) {
            fireEvent.click(screen.getByRole('button', { name: titleOf(shown).toLowerCase() }));
            const place = places.find((one) => one.routine === shown)!;
            fireEvent.click(await screen.findByRole('button', { name: place.name }));
            await waitFor(() => expect(written(sent)).toEqual([{ method: 'POST', path: 'lessons/next/items', body: { place_id: place.id } }]));
        }
    });

    it('takes the instructor’s word against the marks only with a reason', async () => {
        const { cell, sent } = field();
        openSquare(cell);
        const sheet = within(await screen.findByRole('dialog'));
        fireEvent.click(within(await sheet.findByRole('group', { name: 'Unaided, in your judgement' })).getByRole('button', { name: LEVEL_WORDS.mostly }));
        const reason = await sheet.findByLabelText(/^Reason/);
        const keep = sheet.getByRole('button', { name: /^keep/i });
        fireEvent.click(keep);
        expect(await sheet.findByText(/Say why/)).toBeTruthy();
        expect(written(sent)).toEqual([]);
        fireEvent.change(reason, { target: { value: 'A van hid the line.' } });
        fireEvent.click(keep);
        await waitFor(() =>
            expect(written(sent)[0]).toMatchObject({
                method: 'POST',
                path: `learners/${record.id}/overrulings`,
                body: { routine: cell.routine, step: cell.step, level: 'mostly', reason: 'A van hid the line.' },
            }),
        );
    });
});

describe('what holds back', () => {
    it('asks for the marks that say so, by what it is about and nothing else', async () => {
        const one = skill.holds_back[0]!;
        const asked = new URLSearchParams(
            Object.entries({ step: one.step, section: one.section, routine: one.routine, condition: one.condition }).flatMap(([key, said]) =>
                said === null ? [] : [[key, said]],
            ),
        );
        const path = `GET learners/${record.id}/marks?${asked.toString()}`;
        const sent = server({ [path]: answer('demo-marks-behind') });
        show(<HoldsBack learner={record.id} skill={skill} />);
        screen.getAllByRole('button')[0]!.click();
        expect(await screen.findByRole('dialog')).toBeTruthy();
        await waitFor(() => expect(sent.map((one) => `${one.method} ${one.path}`)).toContain(path));
    });
});

describe('what is counted', () => {
    it('adds up the hours of each kind of conditions to no more than all', () => {
        show(<HoursTable hours={record.hours} />);
        for (const kind of Object.values(record.hours.minutes)) {
            const sum = Object.values(kind).reduce((all, minutes) => all + minutes, 0);
            expect(sum).toBeLessThanOrEqual(record.hours.total + 0.5);
        }
        expect(screen.getByRole('heading', { name: /at the wheel/ })).toBeTruthy();
    });

    it('holds the learner’s own word beside the marks', () => {
        const { container } = show(<OwnRatings skill={skill} />);
        const leaning = skill.own_ratings.filter((one) => one.leans !== 'alike');
        expect(leaning.length).toBeGreaterThan(0);
        expect(container.textContent.toLowerCase()).toContain(leaning[0]!.step);
    });
});

describe('what the key counted', () => {
    const counted = answer('demo-habits');
    const habits = (body: typeof counted) => {
        server({ [`GET learners/${record.id}/habits`]: body });
        show(<Habits learner={record.id} />, 'instructor');
    };

    it('shows rear looks lesson by lesson with their range, and says whether they changed', async () => {
        habits(counted);
        const lessons = within(await screen.findByRole('list', { name: 'Rear looks by lesson' })).getAllByRole('link');
        const looked = counted.lessons.flatMap((one) => (one.rear_looks ? [one.rear_looks] : []));
        expect(looked.length).toBeGreaterThan(1);
        expect(lessons.map((link) => link.textContent)).toEqual(
            looked.map((looks) => expect.stringContaining(`${looks.a_minute.toFixed(1)}${looks.low.toFixed(1)} to ${looks.high.toFixed(1)};`) as string),
        );
        expect(screen.getByText(counted.change.message)).toBeTruthy();
        const ahead = counted.lessons.flatMap((one) => one.ahead_s);
        expect(screen.getByText(new RegExp(`counted ${ahead.length} times`)).textContent).toContain(`${ahead.at(-1)!.toFixed(1)} s`);
    });

    it('shows lesson by lesson whether signals, place and speed were right between hazards, and what it was where not', async () => {
        habits(counted);
        const table = within(await screen.findByRole('region', { name: 'Between hazards by lesson' })).getByRole('table');
        const rows = within(table).getAllByRole('row').slice(1);
        expect(rows.map((row) => within(row).getByRole('rowheader').textContent)).toEqual(['Signals', 'Steady', 'Speed kept']);
        const marked = counted.lessons.filter((one) => one.kept.length > 0);
        expect(marked.length).toBeGreaterThan(1);
        for (const [i, step] of (['signal', 'position', 'speed'] as const).entries()) {
            const cells = within(rows[i]!).getAllByRole('cell');
            for (const [at, lesson] of marked.entries()) {
                const kept = lesson.kept.find((one) => one.step === step)!;
                expect(cells[at]!.textContent).toContain(kept.of === 1 ? (kept.clean === 1 ? 'right' : 'not yet') : `${kept.clean} of ${kept.of}`);
                for (const fault of Object.keys(kept.faults)) {
                    expect(cells[at]!.textContent).toContain(rules.faults[step]![fault]!.toLowerCase());
                }
            }
        }
    });

    it('draws no table of what was never marked', async () => {
        habits({ ...counted, lessons: counted.lessons.map((one) => ({ ...one, kept: [] })) });
        await screen.findByRole('list', { name: 'Rear looks by lesson' });
        expect(screen.queryByRole('region', { name: 'Between hazards by lesson' })).toBeNull();
    });

    it('sets from which gap a learner goes beside the one that is needed, and says where that is not known yet', async () => {
        habits(counted);
        for (const junction of counted.junctions) {
            expect(await screen.findByText(junction.message, { exact: false })).toBeTruthy();
            const { threshold } = junction;
            if (!threshold) continue;
            const drawn = screen.getByRole('img', { name: new RegExp(`^Goes from about ${threshold.estimate_s.toFixed(1)} s on`) });
            expect(drawn.getAttribute('aria-label')).toContain(`${junction.needed_s!.toFixed(1)} s are needed`);
        }
        expect(counted.junctions.some((junction) => junction.threshold)).toBe(true);
    });

    it('says how to count where nothing has been', async () => {
        habits({ lessons: [], junctions: [], change: { more: null, message: 'Not counted yet.' } });
        expect(await screen.findByText(/the one key can count rear looks/)).toBeTruthy();
        expect(screen.queryByRole('list')).toBeNull();
    });
});
