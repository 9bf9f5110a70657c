import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { server, show, written } from '@/testing/answers';
import { OwnCalendar } from './OwnCalendar';

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

const off = { on: false, calendar_names: 'adults' };
const address = 'https://school.test/calendar/secret.ics';
const one = { title: 'Choir', starts_at: '2027-03-17T17:30:00Z', ends_at: '2027-03-17T18:30:00Z' };
const bring = async (text: string) =>
    fireEvent.change(await screen.findByLabelText('Bring busy times in from a calendar file'), { target: { files: [new File([text], 'x.ics')] } });

describe('one’s own calendar', () => {
    it('makes an address that is shown once, says whose names stand there, and stops it', async () => {
        const sent = server({
            'GET calendar': off,
            'POST calendar': { on: true, calendar_names: 'adults', address },
            'PUT calendar': { on: true, calendar_names: 'nobody' },
        });
        show(<OwnCalendar />);
        fireEvent.click(await screen.findByRole('button', { name: 'Make an address' }));
        expect(await screen.findByText(address)).toBeTruthy();
        expect(screen.getByText(/Whoever has the address reads them, too\./)).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Whose names stand there'), { target: { value: 'nobody' } });
        await waitFor(() => expect(screen.getByLabelText<HTMLSelectElement>('Whose names stand there').value).toBe('nobody'));
        fireEvent.click(screen.getByRole('button', { name: 'Stop it' }));
        expect(await screen.findByRole('button', { name: 'Make an address' })).toBeTruthy();
        expect(screen.queryByText(address)).toBeNull();
        expect(written(sent).map(({ method, body }) => [method, body])).toEqual([
            ['POST', { calendar_names: 'adults' }],
            ['PUT', { calendar_names: 'nobody' }],
            ['DELETE', undefined],
        ]);
    });

    it('says what a file would hold and why not the rest, and holds it at a press', async () => {
        const said = { held: [one], left_out: [{ ...one, title: null, starts_at: '2027-03-24T17:30:00Z', why: 'You are taken.' }] };
        const sent = server({ 'GET calendar': off, 'POST busy-times/import': said });
        show(<OwnCalendar />);
        await bring('BEGIN:VCALENDAR');
        const told = within(await screen.findByRole('group', { name: 'What the file would hold' }));
        expect(told.getByText('1 would be held:')).toBeTruthy();
        expect(told.getByText('▸ You are taken.')).toBeTruthy();
        fireEvent.click(told.getByRole('button', { name: 'Hold these' }));
        expect(await screen.findByText('1 busy time is held')).toBeTruthy();
        expect(written(sent).map(({ body }) => body)).toEqual([
            { ics: 'BEGIN:VCALENDAR', keep: false },
            { ics: 'BEGIN:VCALENDAR', keep: true },
        ]);
    });

    it('says what is no calendar, and what holds nothing new', async () => {
        let tries = 0;
        const refused = { message: 'x', errors: { ics: ['This is no calendar file.'] } };
        const sent = server({ 'GET calendar': off, 'POST busy-times/import': () => (tries++ === 0 ? refused : { held: [], left_out: [] }) });
        show(<OwnCalendar />);
        await bring('Dear Wanda');
        expect((await screen.findByRole('alert')).textContent).toBe('▸ This is no calendar file.');
        await bring('BEGIN:VCALENDAR');
        expect(await screen.findByText(/Nothing in it is new and free/)).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Hold these' })).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
        expect(screen.queryByRole('group')).toBeNull();
        expect(written(sent)).toHaveLength(2);
    });
});
