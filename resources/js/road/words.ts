import type { Rules } from '@/api/types';

type Unit = Rules['speed_unit'];

/** Exact. */
const MPS: Record<Unit, number> = { mph: 0.44704, kmh: 1 / 3.6 };

/** A number of the unit in metres a second: for marks and words only. */
export const inMps = (value: number, unit: Unit): number => value * MPS[unit];

export const fromMps = (metresPerSecond: number, unit: Unit): number => metresPerSecond / MPS[unit];

/** A speed as it is said under the rules. */
export const speedWords = (metresPerSecond: number, unit: Unit): string => `${Math.round(fromMps(metresPerSecond, unit))} ${unit === 'mph' ? 'mph' : 'km/h'}`;
