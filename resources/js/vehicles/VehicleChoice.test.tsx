import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { carChosen } from '@/bench/car';
import { answer, server, show } from '@/testing/answers';
import { DEFAULT_KIND, VehicleChoice } from './VehicleChoice';

const cars = answer('demo-vehicles');
const open = async (value: string) => {
    server({ 'GET vehicles': cars, 'GET vehicle-kinds': answer('demo-vehicle-kinds') });
    const onChange = vi.fn();
    show(<VehicleChoice value={value} onChange={onChange} />);
    await screen.findByRole('option', { name: cars[0]!.name });
    return { onChange, field: screen.getByLabelText<HTMLSelectElement>('Vehicle') };
};

afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
});

describe('choosing a vehicle', () => {
    it('shows the one that is chosen, a kind or a car of the school', async () => {
        expect((await open(cars[0]!.id)).field.value).toBe(cars[0]!.id);
        cleanup();
        expect((await open('loaded-van')).field.value).toBe('loaded-van');
    });

    it('shows what is asked where the chosen one is not known here, such as the car of another school', async () => {
        expect((await open('00000000-0000-7000-8000-000000000000')).field.value).toBe(DEFAULT_KIND);
    });

    it('is kept for the other pages', async () => {
        const { field, onChange } = await open(DEFAULT_KIND);
        fireEvent.change(field, { target: { value: cars[0]!.id } });
        expect(onChange).toHaveBeenCalledWith(cars[0]!.id);
        expect(carChosen()).toBe(cars[0]!.id);
    });
});
