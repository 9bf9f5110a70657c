import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { simulated } from '@/device/receiver';
import { show } from '@/testing/answers';
import { Receiver } from './Receiver';

const box = () => screen.getByLabelText<HTMLInputElement>(/^A simulated receiver/);

afterEach(() => {
    cleanup();
    simulated.set(null);
});

describe('the receiver of this device', () => {
    it('is its own until a simulated one is wanted, and its own again after', () => {
        show(<Receiver />);
        expect(box().checked).toBe(false);
        expect(screen.queryByRole('group', { name: 'Where it finds itself' })).toBeNull();
        fireEvent.click(box());
        expect(simulated.get()).toEqual({ latitude_deg: 49.2, longitude_deg: -8.1, accuracy_m: 8 });
        fireEvent.click(box());
        expect(simulated.get()).toBeNull();
    });

    it('finds itself where it is told, and nowhere off the earth', () => {
        show(<Receiver />);
        fireEvent.click(box());
        fireEvent.change(screen.getByLabelText('Degrees north'), { target: { value: '51.5' } });
        fireEvent.change(screen.getByLabelText('Degrees east'), { target: { value: '-200' } });
        fireEvent.change(screen.getByLabelText('Give or take, m'), { target: { value: '30' } });
        expect(simulated.get()).toEqual({ latitude_deg: 51.5, longitude_deg: -8.1, accuracy_m: 30 });
    });
});
