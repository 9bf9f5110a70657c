import type { LessonState } from '@/api/types';

const BY = { learner: 'by the learner', instructor: 'by the instructor', other: 'for another reason' };

/** What has become of a lesson, where that is not simply that it is booked; of one that was cancelled, whose doing it was. */
export function stateWords(state: LessonState, by?: keyof typeof BY | null): string | null {
    switch (state) {
        case 'wished':
            return 'only wished';
        case 'cancelled':
            return by ? `cancelled ${BY[by]}` : 'cancelled';
        case 'no-show':
            return 'did not come';
        case 'cut-short':
            return 'cut short';
        case 'done':
            return 'done';
        case 'booked':
            return null;
    }
}
