import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, written } from '@/testing/answers';
import { HoursPage } from './HoursPage';
import { behind, drivenIn, lasting, minutesIn, type Part } from './parts';

const lessons = answer('demo-hours');
const asked = answer('demo-hours-asked');
const night: Part = { kind: 'light', condition: 'night' };

function page(hours: typeof lessons) {
    show(
        <Routes>
            <Route path="/learners/:id/hours" element={<HoursPage />} />
        </Routes>,
        'instructor',
        `/learners/${hours.learner.id}/hours`,
    );
}
const drives = async () => within((await screen.findByRole('heading', { name: /Every drive|drives?$/ })).closest('section')!).queryAllByRole('listitem');

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('what is counted', () => {
    it('is said in hours and minutes, none of them rounded away', () => {
        expect([0, 0.4, 1, 59.6, 60, 61, 90, 3000].map(lasting)).toEqual(['0 min', '0 min', '1 min', '1 h', '1 h', '1 h 1 min', '1 h 30 min', '50 h']);
    });

    it.each([lessons, asked])('adds up from the drives behind each figure', (hours) => {
        for (const { kind, condition, instructor, accompanied } of hours.parts) {
            const part = { kind, condition };
            const sum = behind(hours.drives, part).reduce((total, drive) => total + minutesIn(drive, part), 0);
            expect(sum, `${kind} ${condition}`).toBeCloseTo(instructor + accompanied, 6);
        }
        expect(behind(hours.drives, null).reduce((total, drive) => total + drive.minutes, 0)).toBeCloseTo(hours.total, 6);
    });

    it('says what a drive was in: one thing by its word, several with their minutes, the sun’s light as such, nothing of what nobody noted', () => {
        const drive = asked.drives.find((one) => one.minutes_of.light.night! > 0)!;
        expect(drivenIn(drive)).toMatch(/^day 1 h \d+ min, dusk \d+ min, night 2 min \(by the sun\)/);
        expect(drivenIn(drive)).not.toContain('not noted');
        expect(drivenIn(lessons.drives[0]!)).toContain('day · dry');
        expect(drivenIn(lessons.drives[0]!)).not.toContain('by the sun');
    });
});

describe('the book of hours', () => {
    it('says what the law asks, how much there is and how sure the figure is; where it asks for none it says so', async () => {
        server({ [`GET learners/${asked.learner.id}/hours`]: asked, [`GET learners/${lessons.learner.id}/hours`]: lessons });
        page(asked);
        const law = within((await screen.findByRole('heading', { name: 'Asked by law' })).closest('section')!);
        for (const { title, message, source } of asked.asked) {
            expect(law.getByText(title)).toBeTruthy();
            expect(law.getByText(message).textContent).toBe(`${message} (${source})`);
        }
        cleanup();
        page(lessons);
        expect(await screen.findByText('Great Britain asks for no hours: the figures below are for the learner and you.')).toBeTruthy();
        cleanup();
        server({ [`GET learners/${asked.learner.id}/hours`]: { ...asked, asked: [] } });
        page(asked);
        expect(await screen.findByText('North America asks for hours of learners who are under age only.')).toBeTruthy();
    });

    it('shows the drives behind a figure, by the figure or by what the law asks, and all of them again', async () => {
        server({ [`GET learners/${asked.learner.id}/hours`]: asked });
        page(asked);
        expect(await drives()).toHaveLength(asked.drives.length);
        fireEvent.click(screen.getByRole('button', { name: 'wet' }));
        expect(await drives()).toHaveLength(behind(asked.drives, { kind: 'surface', condition: 'wet' }).length);
        expect(screen.getByRole('heading', { name: 'Road surface, wet: 1 h 10 min in 1 drive' })).toBeTruthy();
        expect(screen.getByRole('button', { name: 'wet' }).getAttribute('aria-pressed')).toBe('true');
        fireEvent.click(screen.getByRole('button', { name: 'Drives behind it' }));
        expect(screen.getByRole('heading', { name: 'Light, night: 2 min in 1 drive' })).toBeTruthy();
        expect((await drives())[0]!.textContent).toContain(`2 min of ${lasting(behind(asked.drives, night)[0]!.minutes)}`);
        fireEvent.click(screen.getByRole('button', { name: 'Show every drive' }));
        expect(await drives()).toHaveLength(asked.drives.length);
    });

    it('leads from a lesson to its debrief; what was driven with somebody else is changed here', async () => {
        server({ [`GET learners/${lessons.learner.id}/hours`]: lessons });
        page(lessons);
        const [first] = await drives();
        expect(within(first!).getByRole('link').getAttribute('href')).toBe(`/lessons/${lessons.drives[0]!.id}/debrief`);
        expect(screen.queryByRole('button', { name: 'Change' })).toBeNull();
    });

    it('takes a drive with somebody else by the clock of the school, and keeps what was typed where it is refused', async () => {
        const address = `POST learners/${lessons.learner.id}/accompanied`;
        let refuse = true;
        const sent = server({
            [`GET learners/${lessons.learner.id}/hours`]: lessons,
            [address]: () => (refuse ? { message: 'x', errors: { starts_at: ['is in a lesson that the learner had then.'] } } : { id: 'x' }),
        });
        page(lessons);
        fireEvent.click(await screen.findByRole('button', { name: 'Accompanied drive' }));
        fireEvent.change(screen.getByLabelText('Set off'), { target: { value: '2026-05-10T19:30' } });
        fireEvent.change(screen.getByLabelText('Minutes at the wheel'), { target: { value: '50' } });
        fireEvent.change(screen.getByLabelText('Road surface'), { target: { value: 'wet' } });
        fireEvent.change(screen.getByLabelText('With whom, where to'), { target: { value: 'With her aunt' } });
        fireEvent.click(screen.getByRole('button', { name: 'Add the drive' }));
        expect((await screen.findByRole('alert')).textContent).toContain('is in a lesson that the learner had then.');
        expect(screen.getByLabelText<HTMLInputElement>('Minutes at the wheel').value).toBe('50');
        refuse = false;
        fireEvent.click(screen.getByRole('button', { name: 'Add the drive' }));
        await waitFor(() => expect(screen.queryByLabelText('Set off')).toBeNull());
        expect(written(sent).at(-1)!.body).toEqual({
            starts_at: '2026-05-10T18:30:00.000Z',
            minutes: 50,
            note: 'With her aunt',
            conditions: { surface: 'wet' },
        });
    });

    it('changes and takes away what was told, and puts it back', async () => {
        const drive = asked.drives[0]!;
        const sent = server({ [`GET learners/${asked.learner.id}/hours`]: asked });
        page(asked);
        fireEvent.click((await screen.findAllByRole('button', { name: 'Change' }))[0]!);
        expect(screen.getByLabelText<HTMLSelectElement>('Kind of road').value).toBe('rural');
        fireEvent.change(screen.getByLabelText('Kind of road'), { target: { value: '' } });
        fireEvent.click(screen.getByRole('button', { name: 'Keep it so' }));
        await waitFor(() => expect(screen.queryByLabelText('Set off')).toBeNull());
        expect(written(sent)[0]).toEqual({
            method: 'PUT',
            path: `accompanied/${drive.id}`,
            body: { starts_at: '2026-05-17T18:30:00.000Z', minutes: 95, note: drive.note, conditions: { surface: 'dry' } },
        });
        fireEvent.click(screen.getAllByRole('button', { name: 'Change' })[0]!);
        fireEvent.click(screen.getByRole('button', { name: 'Take it away' }));
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent).at(-1)!.path).toBe(`accompanied/${drive.id}/restore`));
        expect(written(sent).at(-2)).toEqual({ method: 'DELETE', path: `accompanied/${drive.id}`, body: undefined });
    });

    it('is handed on as a table, as the server made it', async () => {
        const made: Blob[] = [];
        vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: (blob: Blob) => `blob:${made.push(blob)}`, revokeObjectURL: () => undefined }));
        server({
            [`GET learners/${lessons.learner.id}/hours`]: lessons,
            [`GET learners/${lessons.learner.id}/hours/file`]: { csv: 'date,minutes\r\n2026-05-18,60\r\n' },
        });
        page(lessons);
        fireEvent.click(await screen.findByRole('button', { name: 'As a table' }));
        await waitFor(() => expect(made).toHaveLength(1));
        expect(await made[0]!.text()).toBe('date,minutes\r\n2026-05-18,60\r\n');
        expect(made[0]!.type).toBe('text/csv');
    });

    it('says what to do where nothing was driven yet', async () => {
        server({ [`GET learners/${lessons.learner.id}/hours`]: { ...lessons, total: 0, drives: [], parts: [], with: [] } });
        page(lessons);
        expect(await screen.findByText(/^Nothing has been driven yet/)).toBeTruthy();
        expect(screen.queryByRole('table')).toBeNull();
    });
});
