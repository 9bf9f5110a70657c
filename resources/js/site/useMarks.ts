import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useSession } from '@/session/session';
import { marksOf, type Mark } from './circuit';

/** What lies on the map beside the sites: the school, the test centres, and every pick-up whose position is known. */
export function useMarks(): Mark[] {
    const { school } = useSession();
    return marksOf(school, useQuery(questions.centres()).data, useQuery(questions.learners()).data);
}
