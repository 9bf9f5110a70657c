import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { simulated } from '@/device/receiver';
import { answer, server, show, written } from '@/testing/answers';
import { WhereItLies } from './WhereItLies';

const replies = { 'GET sites': answer('demo-sites'), 'PUT school/position': { latitude_deg: 49.2, longitude_deg: -8.1 } };

afterEach(() => {
    cleanup();
    simulated.set(null);
    vi.unstubAllGlobals();
});

describe('where the school lies', () => {
    it('is kept by who stands there, and off the map again by undo', async () => {
        const sent = server(replies);
        simulated.set({ latitude_deg: 49.2, longitude_deg: -8.1, accuracy_m: 5 });
        show(<WhereItLies />);
        fireEvent.click(screen.getByRole('button', { name: 'I am at the school now' }));
        await screen.findByText('Taken here, give or take 5 m.');
        fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
        expect(await screen.findByText('The school is on the map.')).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: /undo/i }));
        await waitFor(() =>
            expect(written(sent).map(({ body }) => body)).toEqual([
                { latitude_deg: 49.2, longitude_deg: -8.1 },
                { latitude_deg: null, longitude_deg: null },
            ]),
        );
        expect(screen.getByLabelText<HTMLInputElement>('Latitude, degrees north').value).toBe('');
    });

    it('says in the server’s words what is missing, and keeps what was typed', async () => {
        server({ ...replies, 'PUT school/position': { message: 'no', errors: { longitude_deg: ['is missing: a place lies at both.'] } } });
        show(<WhereItLies />);
        fireEvent.change(screen.getByLabelText('Latitude, degrees north'), { target: { value: '49.2' } });
        fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
        expect((await screen.findByRole('alert')).textContent).toContain('a place lies at both');
        expect(screen.getByLabelText<HTMLInputElement>('Latitude, degrees north').value).toBe('49.2');
    });
});
