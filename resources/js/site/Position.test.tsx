import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { simulated } from '@/device/receiver';
import { answer, server, show } from '@/testing/answers';
import { Position, type Where } from './Position';

let last: Where;
const heard = (where: Where) => {
    last = where;
};

/** As a form holds it. */
function Held({ begin }: { begin: Where }) {
    const [where, setWhere] = useState(begin);
    return (
        <Position
            where={where}
            errors={{ latitude: [], longitude: ['is missing: a place lies at both.'] }}
            here="I am there now"
            onChange={(there) => {
                heard(there);
                setWhere(there);
            }}
        />
    );
}

const NOWHERE: Where = { latitude_deg: null, longitude_deg: null };
const open = (begin: Where = NOWHERE) => {
    heard(begin);
    server({ 'GET sites': answer('demo-sites') });
    show(<Held begin={begin} />);
};

afterEach(() => {
    cleanup();
    simulated.set(null);
    vi.unstubAllGlobals();
});

describe('where something lies', () => {
    it('is typed, taken back, and wrong in the server’s own words', () => {
        open();
        fireEvent.change(screen.getByLabelText('Latitude, degrees north'), { target: { value: '49.2' } });
        expect(last).toEqual({ latitude_deg: 49.2, longitude_deg: null });
        expect(screen.getByRole('alert').textContent).toContain('a place lies at both');
        fireEvent.click(screen.getByRole('button', { name: 'Not known' }));
        expect(last).toEqual(NOWHERE);
    });

    it('is taken from the receiver, with how sure that is', async () => {
        simulated.set({ latitude_deg: 49.2031, longitude_deg: -8.1044, accuracy_m: 6 });
        open();
        fireEvent.click(screen.getByRole('button', { name: 'I am there now' }));
        expect(await screen.findByText('Taken here, give or take 6 m.')).toBeTruthy();
        expect(last).toEqual({ latitude_deg: 49.2031, longitude_deg: -8.1044 });
    });

    it('stays as it was where the receiver finds nothing, which it says', async () => {
        vi.stubGlobal('navigator', { geolocation: { getCurrentPosition: (_: unknown, failed: (error: { code: number }) => void) => failed({ code: 1 }) } });
        open({ latitude_deg: 1, longitude_deg: 2 });
        fireEvent.click(screen.getByRole('button', { name: 'I am there now' }));
        expect(await screen.findByText(/may not tell where it is/)).toBeTruthy();
        expect(last).toEqual({ latitude_deg: 1, longitude_deg: 2 });
    });

    it('is put on the map under the cross, by keys: as far as the map was moved', async () => {
        open({ latitude_deg: 49.2, longitude_deg: -8.1 });
        fireEvent.click(screen.getByRole('button', { name: 'Put it on the map' }));
        const sheet = await screen.findByRole('dialog', { name: 'Where it lies' });
        const map = within(sheet).getByRole('group', { name: /^Map to put it on/ });
        fireEvent.keyDown(map, { key: 'ArrowUp' });
        fireEvent.keyDown(map, { key: 'ArrowRight' });
        fireEvent.click(within(sheet).getByRole('button', { name: 'Put it at the cross' }));
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        // The map shows 600 m from side to side where one place alone lies on it, and a key moves it by a fifth of its width or height.
        expect((last.longitude_deg! + 8.1) * 111_200 * Math.cos((49.2 * Math.PI) / 180)).toBeCloseTo(120, 0);
        expect((last.latitude_deg! - 49.2) * 111_200).toBeCloseTo((600 * 0.2 * 320) / 900, 0);
        expect(screen.getByText('Put on the map.')).toBeTruthy();
    });
});
