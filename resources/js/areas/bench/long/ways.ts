import type { VehicleUnit } from '@/api/types';

export type Point = [number, number];

type Piece = { length_m: number } | { radius_m: number; angle_deg: number };

/** Heading of the car when it leaves a roundabout, from the way it came: + to the left. */
export const EXITS = { left: 90, over: 0, right: -90, back: -180 };
export type Exit = keyof typeof EXITS;

/** Angle from the entry's direction to the roundabout's, at entry and at exit. */
const DEFLECTION = 50;

/** Out to one side and back again. */
export const sBend = (radius: number, angle: number, between: number): Piece[] => [
    { length_m: 12 },
    { radius_m: radius, angle_deg: angle },
    ...(between > 0 ? [{ length_m: between }] : []),
    { radius_m: radius, angle_deg: -angle },
    { length_m: 25 },
];

/** In, round and out: keeping left the way round turns right. `side` is 1 keeping left, -1 keeping right. */
export const roundabout = (radius: number, deflectionRadius: number, exit: Exit, side: 1 | -1): Piece[] => [
    { length_m: 12 },
    { radius_m: deflectionRadius, angle_deg: side * DEFLECTION },
    { radius_m: radius, angle_deg: side * (EXITS[exit] - 2 * DEFLECTION) },
    { radius_m: deflectionRadius, angle_deg: side * DEFLECTION },
    { length_m: 25 },
];

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
