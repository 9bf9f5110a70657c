import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, written } from '@/testing/answers';
import { LEVEL_WORDS } from '@/skill/words';
import { HoldsBack } from './HoldsBack';
import { HoursTable } from './HoursTable';
import { OwnRatings } from './OwnRatings';
import { SkillField } from './SkillField';

const record = answer('demo-learner');
const skill = answer('demo-skill');
const behind = answer('demo-cell');

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the field of ink', () => {
    const field = () => {
        const cell = [...skill.cells].sort((a, b) => b.evidence - a.evidence)[0]!;
        const sent = server({
            [`GET learners/${record.id}/skill/${cell.routine}/${cell.step}`]: behind,
            [`POST learners/${record.id}/overrulings`]: behind.overrulings[0] ?? {},
        });
        show(<SkillField learner={record.id} tallies={record.tallies} skill={skill} />, 'instructor');
        return { cell, sent };
    };
    const squares = () => within(screen.getByRole('region', { name: 'Routines by steps' })).getAllByRole('button');

    it('has a square for each step that was marked, each with its range', () => {
        field();
        expect(squares()).toHaveLength(skill.cells.length);
        for (const cell of skill.cells) {
            expect(squares().some((square) => square.textContent.includes(`${Math.round(cell.low * 100)}–${Math.round(cell.high * 100)}`))).toBe(true);
        }
    });

    it('opens everything behind a square: every mark with its place', async () => {
        const { cell } = field();
        squares()
            .find((square) => square.textContent.includes(`${Math.round(cell.low * 100)}–${Math.round(cell.high * 100)}`))!
            .click();
        const sheet = within(await screen.findByRole('dialog'));
        for (const place of new Set(behind.marks.map((mark) => mark.place))) expect((await sheet.findAllByText(new RegExp(place))).length).toBeGreaterThan(0);
    });

    it('takes the instructor’s word against the marks only with a reason', async () => {
        const { cell, sent } = field();
        squares()
            .find((square) => square.textContent.includes(`${Math.round(cell.low * 100)}–${Math.round(cell.high * 100)}`))!
            .click();
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
