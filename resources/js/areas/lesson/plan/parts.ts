import type { Lesson } from '@/api/types';

/** One stretch of the lesson's time. */
export interface Part {
    id: string;
    kind: 'brief' | 'place' | 'spare' | 'debrief';
    name: string;
    /** Of a place, from 1. */
    ordinal?: number;
    /** Minutes from the lesson's beginning. */
    from: number;
    minutes: number;
}

/** How the lesson's minutes are shared out, without a gap; below 0 more is planned than there is. */
export function partsOf(lesson: Pick<Lesson, 'minutes' | 'brief_minutes' | 'debrief_minutes' | 'items'>): { parts: Part[]; spare: number } {
    const planned = lesson.items.reduce((sum, item) => sum + item.minutes, lesson.brief_minutes + lesson.debrief_minutes);
    const spare = lesson.minutes - planned;
    const stretches: Omit<Part, 'from'>[] = [
        { id: 'brief', kind: 'brief', name: 'Brief', minutes: lesson.brief_minutes },
        ...lesson.items.map((item, i) => ({ id: item.id, kind: 'place' as const, name: item.place.name, ordinal: i + 1, minutes: item.minutes })),
        ...(spare > 0 ? [{ id: 'spare', kind: 'spare' as const, name: 'left', minutes: spare }] : []),
        { id: 'debrief', kind: 'debrief', name: 'Debrief', minutes: lesson.debrief_minutes },
    ];
    let from = 0;
    const parts = stretches.map((stretch) => {
        const part = { ...stretch, from };
        from += stretch.minutes;
        return part;
    });
    return { parts, spare };
}
