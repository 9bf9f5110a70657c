import type { BusyTime, LessonLine } from '@/api/types';

/** Something on a day: a lesson, or what else takes time. */
export type Entry<L extends LessonLine = LessonLine> = { id: string; from: number; until: number } & (
    { lesson: L; busy: null } | { lesson: null; busy: BusyTime }
);

const MINUTE = 60_000;

/** What is on a day, in its order; moments in milliseconds. */
export function entriesOf<L extends LessonLine>(lessons: readonly L[], busy: readonly BusyTime[]): Entry<L>[] {
    const all: Entry<L>[] = [
        ...lessons.map((lesson) => {
            const from = Date.parse(lesson.starts_at);
            return { id: lesson.id, from, until: from + lesson.lasts_minutes * MINUTE, lesson, busy: null };
        }),
        ...busy.map((one) => ({ id: one.id, from: Date.parse(one.starts_at), until: Date.parse(one.ends_at), lesson: null, busy: one })),
    ];
    return all.sort((a, b) => a.from - b.from || a.until - b.until);
}

/** What takes the time, in a word or two; of what is not to be read only that it does. */
export function busyWords({ kind, title, learner, vehicle }: Pick<BusyTime, 'kind' | 'title' | 'learner' | 'vehicle'>): string {
    if (kind === 'test') return learner ? `Test: ${learner.name}` : 'A test';
    if (kind === 'away') return `${vehicle?.name ?? 'A car'} away${title ? `: ${title}` : ''}`;
    return title ?? 'Busy';
}
