import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { Lesson } from '@/api/types';
import { useSession } from '@/session/session';
import { useMarks } from '@/site/useMarks';
import { onwardOf } from './onward';

/** The plan of a lesson as a circuit, by what is known here. */
export function useOnward(lesson: Lesson) {
    const { school } = useSession();
    const sites = useQuery(questions.sites()).data;
    const measured = useQuery(questions.legs()).data?.measured;
    return onwardOf(lesson, { sites, measured, marks: useMarks(), zone: school.time_zone });
}
