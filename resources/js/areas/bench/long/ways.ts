import type { VehicleUnit } from '@/api/types';

export type Point = [number, number];

const FIELDS = ['wheelbase_m', 'width_m', 'front_overhang_m', 'rear_overhang_m', 'hitch_offset_m'] as const;

/** Units as they stand in the address, one after the other. */
export const writeUnits = (units: VehicleUnit[]): string => units.map((unit) => FIELDS.map((field) => unit[field]).join(',')).join(';');

/** What is no unit is left out: an address typed by hand must not break the page. */
export function readUnits(text: string): VehicleUnit[] {
    return text
        .split(';')
        .map((part) => part.split(',').map(Number))
        .filter((numbers) => numbers.length === FIELDS.length && numbers.every(Number.isFinite))
        .map((numbers) => Object.fromEntries(FIELDS.map((field, i) => [field, numbers[i]])) as unknown as VehicleUnit);
}

/** A line beside another, so far to its left. */
export function beside(line: Point[], left: number): Point[] {
    return line.map(([x, y], i) => {
        const [from, to] = [line[Math.max(0, i - 1)]!, line[Math.min(line.length - 1, i + 1)]!];
        const length = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
        return [x - ((to[1] - from[1]) / length) * left, y + ((to[0] - from[0]) / length) * left];
    });
}
