import type { Vehicle, VehicleAsked, VehicleFigures } from '@/api/types';

/** A car of the school as the core's tools take it. */
export type CoreVehicle = Exclude<VehicleAsked, string>;

export function forCore({ name, transmission, controls, length_m, width_m, figures }: Omit<Vehicle, 'id'>): CoreVehicle {
    return { ...figures, ...(name ? { name } : {}), transmission, controls, length_m, width_m };
}

/** Figures of the core's vehicle that a data sheet prints, in the order a form asks for them; labels as `useSay` says them. */
export const FIGURES = [
    ['tyre', '{Tyre}'],
    ['final_drive', 'Final drive'],
    ['ratios', 'Gear ratios, first to top'],
    ['shift_time_s', 'Time to change gear, s'],
    ['mass_kg', 'Weight with people in it, kg'],
    ['torque_nm', 'Peak torque, Nm'],
    ['torque_rpm', 'Peak torque at, rpm'],
    ['power_kw', 'Peak power, kW'],
    ['power_rpm', 'Peak power at, rpm'],
    ['idle_rpm', 'Idle, rpm'],
    ['red_line_rpm', 'Red line, rpm'],
    ['wheelbase_m', 'Wheelbase, m'],
    ['turning_circle_m', 'Turning circle, {kerb} to {kerb}, m'],
    ['steering_ratio', 'Steering ratio'],
    ['height_m', 'Height, m'],
] as const;

export type Typed = Partial<Record<(typeof FIGURES)[number][0], string>>;

/** What was typed, as the core reads it; what is left empty is left out and takes the demo car's figure. */
export function read(typed: Typed): VehicleFigures {
    const number = (text: string) => (text.trim() !== '' && Number.isFinite(Number(text.replace(',', '.'))) ? Number(text.replace(',', '.')) : text);
    return Object.fromEntries(
        FIGURES.flatMap(([key]): [string, unknown][] => {
            const text = typed[key]?.trim() ?? '';
            if (text === '') return [];
            if (key === 'tyre') return [[key, text]];
            return [[key, key === 'ratios' ? text.split(/[\s;]+/).map(number) : number(text)]];
        }),
    );
}

export function typed(figures: VehicleFigures): Typed {
    return Object.fromEntries(
        FIGURES.flatMap(([key]) => (key in figures ? [[key, Array.isArray(figures[key]) ? figures[key].join(' ') : String(figures[key])]] : [])),
    );
}
