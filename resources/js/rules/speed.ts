import type { Rules } from '@/api/types';

export type SpeedUnit = Rules['speed_unit'];

/** Exact. */
const MPS: Record<SpeedUnit, number> = { mph: 0.44704, kmh: 1 / 3.6 };

const WORDS: Record<SpeedUnit, string> = { mph: 'mph', kmh: 'km/h' };

/** What a slider offers. */
const RANGES: Record<SpeedUnit, { from: number; to: number; step: number }> = { mph: { from: 5, to: 70, step: 1 }, kmh: { from: 10, to: 120, step: 2 } };

/** Limits are signed in these. */
const SIGNED: Record<SpeedUnit, number> = { mph: 5, kmh: 10 };

/** A number of the unit in metres a second: for marks and words only. */
export const inMps = (value: number, unit: SpeedUnit): number => value * MPS[unit];

export const fromMps = (metresPerSecond: number, unit: SpeedUnit): number => metresPerSecond / MPS[unit];

export const unitWords = (unit: SpeedUnit): string => WORDS[unit];

/** A number of the unit as it is said. */
export const saidSpeed = (value: number, unit: SpeedUnit): string => `${Math.round(value)} ${WORDS[unit]}`;

/** A speed as it is said under the rules. */
export const speedWords = (metresPerSecond: number, unit: SpeedUnit): string => saidSpeed(fromMps(metresPerSecond, unit), unit);

/** The same speed as a number of another unit. */
export const converted = (value: number, from: SpeedUnit, to: SpeedUnit): number => (from === to ? value : fromMps(inMps(value, from), to));

/** A speed in mph as a page begins with it: as it would be signed where another unit is spoken. */
export const usual = (mph: number, unit: SpeedUnit): number => (unit === 'mph' ? mph : Math.round(converted(mph, 'mph', unit) / SIGNED[unit]) * SIGNED[unit]);

export const speedRange = (unit: SpeedUnit) => RANGES[unit];

/** A field of the core in the unit of the rules: `main_speed` to `main_speed_mph`. */
export const speedField = (unit: SpeedUnit): 'speed_mph' | 'speed_kmh' => `speed_${unit}`;
