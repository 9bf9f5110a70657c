import type { SchoolLearner } from '@/api/types';

export type Concern = 'test-too-early' | 'near' | 'standing-still' | 'not-booked';

/** Why somebody wants a word, in the order in which it presses. */
export const CONCERNS: Record<Concern, { title: string; about: string }> = {
    'test-too-early': { title: 'A test too early', about: 'By their record there is not time enough until it: move it, or more lessons.' },
    near: { title: 'Near their test', about: 'By their record three lessons or fewer, and no test is booked: book it, or say why not.' },
    'standing-still': { title: 'Standing still', about: 'No gain over the last five lessons, with the likeliest reason.' },
    'not-booked': { title: 'Nothing booked', about: 'Driven within two months, and no next lesson.' },
};

/** Whoever has not driven for longer has stopped, as far as anybody can say (assumed), days. */
const STILL_LEARNING_DAYS = 60;

const DAY_MS = 86_400_000;

/** The concerns somebody gives, by what was last found of them. */
export function concernsOf(learner: SchoolLearner, now: number): Concern[] {
    const { outlook, test_at: test, last_lesson_at: last, next_lesson_at: next } = learner;
    const found: Concern[] = [];
    if (test && outlook?.in_time === false) found.push('test-too-early');
    if (!test && (outlook?.verdict === 'ready' || outlook?.verdict === 'nearly')) found.push('near');
    if (outlook?.standstill) found.push('standing-still');
    if (!next && last && now - Date.parse(last) < STILL_LEARNING_DAYS * DAY_MS) found.push('not-booked');
    return found;
}

/** Everybody with each concern, those it presses first, first. */
export function whoNeedsAWord(learners: SchoolLearner[], now: number): Record<Concern, SchoolLearner[]> {
    const having = (concern: Concern) => learners.filter((learner) => concernsOf(learner, now).includes(concern));
    const by = (of: (learner: SchoolLearner) => string | number) => (a: SchoolLearner, b: SchoolLearner) => {
        const [one, other] = [of(a), of(b)];
        return one < other ? -1 : one > other ? 1 : a.name.localeCompare(b.name);
    };
    return {
        'test-too-early': having('test-too-early').sort(by((one) => one.test_at ?? '')),
        near: having('near').sort(by((one) => one.outlook?.lessons?.middle ?? 0)),
        'standing-still': having('standing-still').sort(by((one) => one.outlook?.standstill?.gain ?? 0)),
        'not-booked': having('not-booked').sort(by((one) => one.last_lesson_at ?? '')),
    };
}
