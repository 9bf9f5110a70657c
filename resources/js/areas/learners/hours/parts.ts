import type { LearnerHours } from '@/api/types';
import { CONDITIONS, type KINDS } from '@/skill/words';

type Drive = LearnerHours['drives'][number];
type Kind = (typeof KINDS)[number];

/** One condition of a kind: what a figure is of. */
export interface Part {
    kind: Kind;
    condition: string;
}

/** As a book of hours is asked about: day and night first. */
export const IN_ORDER = ['light', 'surface', 'road', 'traffic'] as const satisfies Kind[];

const NOT_NOTED = 'not-noted';

export const conditionWords = ({ kind, condition }: Part): string => CONDITIONS[kind].names[condition] ?? 'not noted';

/** Time as it is written into a book: hours and minutes, none of them rounded away. */
export function lasting(minutes: number): string {
    const whole = Math.round(minutes);
    const [hours, rest] = [Math.floor(whole / 60), whole % 60];
    return [...(hours > 0 ? [`${hours} h`] : []), ...(rest > 0 || hours === 0 ? [`${rest} min`] : [])].join(' ');
}

export const minutesIn = (drive: Drive, part: Part | null): number => (part ? (drive.minutes_of[part.kind][part.condition] ?? 0) : drive.minutes);

/** The drives behind a figure: those of which some of it is. */
export const behind = (drives: readonly Drive[], part: Part | null): Drive[] => drives.filter((drive) => minutesIn(drive, part) > 0);

/** What a drive was driven in, as far as anybody noted it; of one condition alone only its word. */
export function drivenIn(drive: Drive): string {
    return IN_ORDER.flatMap((kind) => {
        const parts = Object.entries(drive.minutes_of[kind]).filter(([condition, minutes]) => minutes > 0 && condition !== NOT_NOTED);
        const bySun = kind === 'light' && drive.by_sun > 0 ? ' (by the sun)' : '';
        const isAll = parts.length === 1 && Math.abs(parts[0]![1] - drive.minutes) < 0.5;
        const words = parts.map(([condition, minutes]) => conditionWords({ kind, condition }) + (isAll ? '' : ` ${lasting(minutes)}`));
        const about = kind === 'traffic' ? 'traffic: ' : '';
        return words.length > 0 ? [about + words.join(', ') + bySun] : [];
    }).join(' · ');
}
