import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { LessonText, People, Person } from '@/api/types';
import { answer, server, show, written } from '@/testing/answers';
import { HandOver } from './HandOver';
import { Keeping } from './Keeping';
import { Letters } from './Letters';
import { PeoplePage } from './PeoplePage';
import { PersonForm } from './PersonForm';
import { Staff } from './Staff';
import { Texts } from './Texts';

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

const recorded = answer('people');
// Each answer was recorded in a school of its own: the owner who is signed in here is the one of that list.
const me = answer('session').user;
const staff: People = { ...recorded, people: recorded.people.map((person) => (person.name === me.name ? { ...person, id: me.id } : person)) };
const by = (name: string): Person => staff.people.find((person) => person.name === name)!;
const row = async (name: string) => within((await screen.findByRole('heading', { name: new RegExp(`^${name}`) })).closest('li')!);

describe('texts to learners', () => {
    const settings = answer('demo-school-texts');
    const page = (more: Record<string, unknown> = {}) => {
        const sent = server({ 'GET school/texts': { ...settings, ...more }, 'PUT school/texts': ({ body }) => ({ ...settings, ...(body as object) }) });
        show(<Texts />);
        return sent;
    };

    it('are nobody’s until the owner says so: off, there is nothing else to choose', async () => {
        page({ on: false, outbox: [] });
        const on = await screen.findByRole('checkbox', { name: 'Tell learners of their lessons by text' });
        expect(screen.queryByLabelText('No texts from')).toBeNull();
        expect(screen.getByText('No texts yet')).toBeTruthy();
        fireEvent.click(on);
        expect(screen.getByLabelText<HTMLInputElement>('No texts from').value).toBe('21:00');
        expect(screen.getByLabelText<HTMLInputElement>('Reminder at').value).toBe('17:00');
    });

    it('are written in the school’s words, with an example of each and what may stand in it', async () => {
        const sent = page();
        const words = await screen.findByLabelText<HTMLTextAreaElement>('Words: when it is moved, or lasts longer or shorter');
        expect(words.value).toBe(settings.usual.moved);
        fireEvent.change(words, { target: { value: '{learner}: {was} is now {day}, {time} {nonsense}' } });
        expect(screen.getByText('For example: “Robin: 10:00 is now Tuesday 9 March, 10:30 {nonsense}”')).toBeTruthy();
        fireEvent.click(screen.getByRole('checkbox', { name: 'When a lesson is booked' }));
        expect(screen.queryByLabelText('Words: when a lesson is booked')).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect(written(sent)[0]!.body).toEqual({
            on: true,
            quiet_from: '21:00',
            quiet_until: '08:00',
            reminds_at: '17:00',
            words: { ...settings.words, moved: '{learner}: {was} is now {day}, {time} {nonsense}', booked: null },
        });
        // Taken back as it was, whole.
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent)).toHaveLength(2));
        expect((written(sent)[1]!.body as typeof settings).words).toEqual(settings.words);
    });

    it('say under the words what is wrong with them, and lose nothing', async () => {
        server({
            'GET school/texts': settings,
            'PUT school/texts': { message: 'x', errors: { 'words.late': ['knows no {dya}: there are {learner}.'] } },
        });
        show(<Texts />);
        const words = await screen.findByLabelText<HTMLTextAreaElement>('Words: when the day runs late');
        fireEvent.change(words, { target: { value: 'On {dya}' } });
        fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
        expect((await screen.findByRole('alert')).textContent).toContain('knows no {dya}');
        expect(words.value).toBe('On {dya}');
    });

    it('stand in the outbox with what became of them', async () => {
        const [moved, off] = settings.outbox as [LessonText, LessonText];
        page({ outbox: [moved, { ...off, unsent: 'no-texts' }, { ...moved, id: 'x', passed_on_at: '2026-05-20T10:00:00Z' }] });
        const lines = within((await screen.findByRole('heading', { name: 'The outbox' })).closest('section')!).getAllByRole('listitem');
        expect(lines[0]!.textContent).toContain('not passed on');
        expect(lines[0]!.textContent).toContain(moved.body);
        expect(lines[1]!.textContent).toContain('wants no texts: ring');
        expect(lines[2]!.textContent).toContain('passed on 20 May, 11:00');
    });
});

describe('the people of a school', () => {
    it('offers for each what makes sense, and nothing against oneself', async () => {
        server({ 'GET people': staff });
        show(<Staff onLetters={vi.fn()} />);
        const keys = async (name: string) => (await row(name)).getAllByRole('button').map((key) => key.textContent);
        expect(await keys('Lev Heath')).toEqual(['Change', 'New password', 'Hand over', 'Suspend']);
        expect(await keys('Nia New')).toEqual(['Change', 'Invite again', 'Suspend']);
        expect(await keys('Una Ridge')).toEqual(['Change']);
        const suspended = staff.people.find((person) => person.state === 'suspended')!;
        expect(await keys(suspended.name)).toEqual(['Change', 'Let in again']);
        expect((await row('Nia New')).getByText(/has not joined yet/)).toBeTruthy();
        expect((await row('Lev Heath')).getByText(/2 lessons ahead/)).toBeTruthy();
        expect((await row('Sunniva Oar')).getByText(/1 lesson ahead/)).toBeTruthy();
    });

    it('suspends on one press and takes it back on the next', async () => {
        const sent = server({ 'GET people': staff });
        show(<Staff onLetters={vi.fn()} />);
        fireEvent.click((await row('Lev Heath')).getByRole('button', { name: 'Suspend' }));
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        const path = `people/${by('Lev Heath').id}/suspension`;
        await waitFor(() =>
            expect(written(sent)).toEqual([
                { method: 'POST', path, body: undefined },
                { method: 'DELETE', path, body: undefined },
            ]),
        );
    });

    it('leads to the outbox after a letter was written, and not where it went by mail', async () => {
        const onLetters = vi.fn();
        server({ 'GET people': staff });
        show(<Staff onLetters={onLetters} />);
        fireEvent.click((await row('Lev Heath')).getByRole('button', { name: 'New password' }));
        await screen.findByText(/is in the outbox: hand it on/);
        expect(onLetters).toHaveBeenCalledOnce();
        cleanup();
        server({ 'GET people': { ...staff, mail: true } });
        show(<Staff onLetters={onLetters} />);
        fireEvent.click((await row('Nia New')).getByRole('button', { name: 'Invite again' }));
        await screen.findByText('A letter is on its way to nia@example.test.');
        expect(onLetters).toHaveBeenCalledOnce();
    });

    it('shows an instructor nothing of it', () => {
        const sent = server({});
        show(<PeoplePage />, 'instructor');
        expect(screen.getByRole('heading', { name: 'Not yours to open' })).toBeTruthy();
        expect(sent).toEqual([]);
    });
});

describe('who reads whose lessons', () => {
    it('is one box, taken back by Undo', async () => {
        const sent = server({ 'GET people': staff });
        show(<Staff onLetters={vi.fn()} />);
        fireEvent.click(await screen.findByRole('checkbox', { name: /^Instructors may open each other’s lessons/ }));
        await screen.findByText('A lesson is now read only by whoever gives it, and by owners.');
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() =>
            expect(written(sent).map((one) => [one.path, one.body])).toEqual([
                ['school/reading', { colleagues_read: false }],
                ['school/reading', { colleagues_read: true }],
            ]),
        );
    });
});

describe('an invitation', () => {
    it('loses nothing that was typed where the server refuses it, and names the field', async () => {
        const onKept = vi.fn();
        const sent = server({ 'POST people': { message: 'x', errors: { email: ['The email has already been taken.'] } } });
        show(<PersonForm onKept={onKept} />);
        fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Nia New' } });
        fireEvent.change(screen.getByLabelText('Email'), { target: { value: 'nia@example.test' } });
        fireEvent.change(screen.getByLabelText('Role'), { target: { value: 'owner' } });
        fireEvent.click(screen.getByRole('button', { name: 'Write the invitation' }));
        expect((await screen.findByRole('alert')).textContent).toContain('already been taken');
        expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Nia New');
        expect(screen.getByLabelText('Email').getAttribute('aria-invalid')).toBe('true');
        expect(written(sent)[0]!.body).toEqual({ name: 'Nia New', email: 'nia@example.test', role: 'owner' });
        expect(onKept).not.toHaveBeenCalled();
    });
});

describe('handing over', () => {
    const ahead = answer('lessons-ahead');
    const colleagues = [by('Sunniva Oar')];
    const path = `people/${by('Lev Heath').id}/lessons-ahead?to=${colleagues[0]!.id}`;

    it('says only the overlaps of whom it is about to give', async () => {
        server({ [`GET ${path}`]: ahead });
        show(<HandOver from={by('Lev Heath')} colleagues={colleagues} onDone={vi.fn()} />);
        // Ada's at 10:00 meets Cy's at 10:30; Bo's at 14:00 meets nobody. Said in the school's own time, an hour on in summer.
        expect((await screen.findByText(/would overlap/)).textContent).toMatch(/11:00: Ada Ebb would overlap Cy Dune\./);
        fireEvent.click(screen.getByRole('checkbox', { name: /^Ada Ebb/ }));
        expect(screen.queryByText(/would overlap/)).toBeNull();
        expect(screen.getByRole('button', { name: 'Hand over 1 lesson' })).toBeTruthy();
    });

    it('gives whom was chosen, and nobody where nobody was', async () => {
        const onDone = vi.fn(() => Promise.resolve());
        const sent = server({ [`GET ${path}`]: ahead, [`POST people/${by('Lev Heath').id}/hand-over`]: { moved: 1 } });
        show(<HandOver from={by('Lev Heath')} colleagues={colleagues} onDone={onDone} />);
        fireEvent.click(await screen.findByRole('checkbox', { name: /^Ada Ebb/ }));
        fireEvent.click(screen.getByRole('checkbox', { name: /^Bo Tern/ }));
        expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Choose whose lessons' }).disabled).toBe(true);
        fireEvent.click(screen.getByRole('checkbox', { name: /^Bo Tern/ }));
        fireEvent.click(screen.getByRole('button', { name: 'Hand over 1 lesson' }));
        await waitFor(() => expect(onDone).toHaveBeenCalledWith('1 lesson handed over to Sunniva Oar.'));
        expect(written(sent)[0]!.body).toEqual({ to: colleagues[0]!.id, learners: [ahead.learners.find((one) => one.name === 'Bo Tern')!.id] });
    });

    it('says so where there is nobody to give to', () => {
        server({});
        show(<HandOver from={by('Lev Heath')} colleagues={[]} onDone={vi.fn()} />);
        expect(screen.getByText(/invite a colleague first/)).toBeTruthy();
    });
});

describe('the outbox', () => {
    const outbox = answer('letters');

    it('shows a letter whole while it opens, and no way in once it does not', async () => {
        server({ 'GET letters': outbox });
        show(<Letters />);
        expect((await screen.findAllByText(/\/way-in#email=/)).length).toBe(outbox.letters.filter((letter) => letter.opens).length);
        expect(screen.getByText(/whoever has its link can choose their password/)).toBeTruthy();
        cleanup();
        server({ 'GET letters': { ...outbox, letters: outbox.letters.map((letter) => ({ ...letter, opens: false, body: null })) } });
        show(<Letters />);
        expect((await screen.findAllByText(/no longer works/)).length).toBe(outbox.letters.length);
        expect(screen.queryByText(/way-in/)).toBeNull();
    });

    it('copies the letter, or says that it cannot', async () => {
        const writeText = vi.fn(() => Promise.resolve());
        vi.stubGlobal('navigator', { clipboard: { writeText } });
        server({ 'GET letters': outbox });
        show(<Letters />);
        fireEvent.click((await screen.findAllByRole('button', { name: /^Copy the letter to/ }))[0]!);
        await screen.findByText('The letter is copied.');
        expect(writeText).toHaveBeenCalledWith(outbox.letters.find((letter) => letter.opens)!.body);
        vi.stubGlobal('navigator', { clipboard: { writeText: () => Promise.reject(new Error('no')) } });
        fireEvent.click(screen.getAllByRole('button', { name: /^Copy the letter to/ })[0]!);
        await screen.findByText(/mark the text and copy it/);
    });
});

describe('how long learners are kept', () => {
    const kept = answer('retention');

    it('sends an empty box as “for ever”, and shows what the server says of minors', async () => {
        const sent = server({
            'GET retention': kept,
            'PUT retention': { message: 'x', errors: { keep_minors_months: ['Minors are never kept longer than others.'] } },
        });
        show(<Keeping />);
        fireEvent.change(await screen.findByLabelText('Months to keep learners'), { target: { value: '' } });
        fireEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect((await screen.findByRole('alert')).textContent).toContain('Minors are never kept longer');
        expect(written(sent)[0]!.body).toEqual({ keep_months: null, keep_minors_months: 1 });
    });

    it('keeps somebody a year longer than their day, and takes it back to what it was', async () => {
        const one = kept.coming[0]!;
        const until = `${Number(one.erased_on.slice(0, 4)) + 1}${one.erased_on.slice(4)}`;
        vi.setSystemTime('2026-05-20T12:00:00Z');
        const sent = server({
            'GET retention': kept,
            [`PUT learners/${one.id}/keep`]: (said) => ({ ...kept, coming: (said.body as { until: string | null }).until ? [] : kept.coming }),
        });
        show(<Keeping />);
        fireEvent.click(await screen.findByRole('button', { name: `Keep ${one.name} a year longer` }));
        await screen.findByText('Nobody’s record ends within the next two months.');
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await screen.findByRole('button', { name: `Keep ${one.name} a year longer` });
        expect(written(sent).map((said) => said.body)).toEqual([{ until }, { until: one.keep_until }]);
        vi.useRealTimers();
    });
});
