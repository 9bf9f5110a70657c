import type { LessonText } from '@/api/types';

/** What a text is about, as it stands over it. */
export const TEXT_KINDS: Record<LessonText['kind'], string> = {
    booked: 'Booked',
    moved: 'Moved',
    cancelled: 'Off',
    'day-before': 'Reminder',
    late: 'Running late',
};

/** Why a text is not to be sent, and what to do instead. */
export const UNSENT: Record<NonNullable<LessonText['unsent']>, string> = {
    'no-texts': 'wants no texts: ring, or say it when you meet',
    'no-number': 'no telephone number is noted: find another way',
    quiet: 'too late in the evening for a text, too soon for the morning: ring',
};
