import type { Rules } from '@/api/types';

/** Exact. */
const MPS_IN_A_MPH = 0.44704;

/** A speed as it is said under the rules. */
export const speedWords = (metresPerSecond: number, unit: Rules['speed_unit']): string =>
    unit === 'mph' ? `${Math.round(metresPerSecond / MPS_IN_A_MPH)} mph` : `${Math.round(metresPerSecond * 3.6)} km/h`;
