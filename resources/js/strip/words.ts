import type { Outcome } from '@/api/types';
import type { AxisUnit, Drawable, StripStep } from './plan';

export const STEP_WORDS: Record<StripStep, string> = { mirrors: 'Mirrors', signal: 'Signal', position: 'Position', speed: 'Speed', gear: 'Gear', look: 'Look' };

export const OUTCOME_WORDS: Record<Outcome, string> = {
    unaided: 'unaided',
    reminded: 'reminded',
    prompted: 'prompted',
    missed: 'missed',
    intervened: 'I stepped in',
};

/** The same after a number: "4 missed, 2 with my hand or foot". */
export const COUNTED_WORDS: Record<Outcome, string> = { ...OUTCOME_WORDS, intervened: 'with my hand or foot' };

/** Words inside a sentence: small, but for who says them. */
export const inside = (words: string): string => (words.startsWith('I ') ? words : words.charAt(0).toLowerCase() + words.slice(1));

export const STATUS_WORDS = {
    published: 'published',
    'common-practice': 'usual teaching, no published source',
    'from-memory': 'published, from memory',
    assumed: 'assumed, adjustable',
    given: 'as entered',
} as const;

/** Exact. */
export const METRES_IN_A_FOOT = 0.3048;

/** A number of metres in the unit of the axis. */
export const inUnit = (metres: number, unit: AxisUnit): number => (unit === 'ft' ? metres / METRES_IN_A_FOOT : metres);

/** A place on the axis as it is said. */
export const spoken = (value: number, unit: AxisUnit): string => (unit === 's' ? `${value.toFixed(1)} s` : `${Math.round(inUnit(value, unit))} ${unit}`);

/** By where the way has to be known, and from whom. */
export function wayIsKnown(plan: Pick<Drawable, 'sign' | 'unit'>, said: number): string {
    const { sign, unit } = plan;
    if (!sign) return `give the direction at least ${spoken(said, unit)}`;
    return sign.in_time
        ? `read the sign from ${spoken(sign.from_m, unit)}, at the latest by ${spoken(sign.by_m, unit)}`
        : `sign legible only from ${spoken(sign.from_m, unit)}: give the direction at least ${spoken(said, unit)}`;
}

export const seconds = (value: number) => `${value.toFixed(1)} s`;
