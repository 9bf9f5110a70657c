import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { server, show, written } from '@/testing/answers';
import { WorkingHours } from './WorkingHours';

const usual = { works_from: '08:00', works_until: '20:00', most_minutes: null };

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('when one gives lessons', () => {
    it('is said in hours, kept in minutes, and taken back', async () => {
        const sent = server({ 'GET working-hours': usual, 'PUT working-hours': ({ body }) => body as object });
        show(<WorkingHours />);
        expect((await screen.findByLabelText<HTMLInputElement>('Hours a day, at most')).value).toBe('');
        fireEvent.change(screen.getByLabelText('First lesson from'), { target: { value: '09:30' } });
        fireEvent.change(screen.getByLabelText('Hours a day, at most'), { target: { value: '7.5' } });
        fireEvent.click(screen.getByRole('button', { name: 'Keep these hours' }));
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent)).toHaveLength(2));
        expect(written(sent).map(({ body }) => body)).toEqual([{ works_from: '09:30', works_until: '20:00', most_minutes: 450 }, usual]);
        await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('First lesson from').value).toBe('08:00'));
    });

    it('says what is wrong where it is, and keeps what was typed', async () => {
        server({ 'GET working-hours': usual, 'PUT working-hours': { message: 'x', errors: { works_until: ['must be later than the day begins.'] } } });
        show(<WorkingHours />);
        fireEvent.change(await screen.findByLabelText('Last ends by'), { target: { value: '07:00' } });
        fireEvent.click(screen.getByRole('button', { name: 'Keep these hours' }));
        expect((await screen.findByRole('alert')).textContent).toContain('must be later than the day begins.');
        expect(screen.getByLabelText<HTMLInputElement>('Last ends by').value).toBe('07:00');
    });
});
