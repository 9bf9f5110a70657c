import { useQuery } from '@tanstack/react-query';
import { api } from '@/api/client';
import type { Lesson } from '@/api/types';
import { uuid7 } from '@/queue/uuid';
import { useLesson } from '../useLesson';

interface Props {
    lesson: Lesson;
    fault: NonNullable<Lesson['debrief']['fault']>;
    what: 'remedy' | 'drill';
    label: string;
    text: string;
}

/** A remedy or drill, whether it was given in this lesson, and whether it has helped others. */
export function Given({ lesson, fault, what, label, text }: Props) {
    const { put } = useLesson(lesson.id);
    const { step, kind, routine } = fault;
    const helped = useQuery({
        queryKey: ['helped', step, kind],
        queryFn: () => api.GET('/remedies/helped/{step}', { params: { path: { step }, query: kind ? { fault: kind } : {} } }),
    });
    const given = lesson.remedies.find((one) => one.what === what && one.step === step && one.fault === kind);
    const press = () =>
        put(
            given ? { kind: 'remedy-off', remedy: given } : { kind: 'remedy', remedy: { id: uuid7(), lesson_id: lesson.id, routine, step, fault: kind, what } },
        );
    return (
        <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
            <p className="min-w-[min(16rem,100%)] flex-1">
                <span className="font-semibold">{label}: </span>
                {text}
                {helped.data && <span className="text-quiet block text-sm">{helped.data[what].message}</span>}
            </p>
            <button type="button" className="key screen-only" aria-pressed={given !== undefined} aria-label={`${label} given`} onClick={() => void press()}>
                {given ? 'Given' : 'Give it'}
            </button>
        </div>
    );
}
