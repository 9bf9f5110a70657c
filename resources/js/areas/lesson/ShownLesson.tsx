import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import type { Lesson } from '@/api/types';
import { RulesOf } from '@/rules/rules';
import { Failed, Waiting } from '@/ui/State';
import { useShownLesson } from './useLesson';

/** The lesson of the address, under the rules it is taught by; until it is there, or where it cannot be had, that is said. */
export function ShownLesson({ children }: { children: (lesson: Lesson) => ReactNode }) {
    const { id = '' } = useParams();
    const lesson = useShownLesson(id);
    if (lesson.isLoading) return <Waiting />;
    if (!lesson.data) return <Failed error={lesson.error} retry={() => void lesson.refetch()} />;
    return <RulesOf rules={lesson.data.rules}>{children(lesson.data)}</RulesOf>;
}
