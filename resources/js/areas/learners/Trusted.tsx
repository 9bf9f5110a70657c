import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';

/** Whether this record is to be relied on, by what came of what it foretold; a word only where there is something to say. */
export function Trusted({ learner }: { learner: string }) {
    const { data } = useQuery(questions.foretelling(learner));
    const latest = data?.latest;
    if (!latest || latest.trust === 'too-early') return null;
    const behind = `${latest.marks} marks in ${latest.lessons} lessons`;
    return latest.trust === 'trusted' ? (
        <p className="text-quiet text-sm">
            {latest.message} ({behind})
        </p>
    ) : (
        <p className="border-ink border-l-4 pl-3 font-semibold">
            {latest.message} <span className="text-quiet font-normal">({behind})</span>
        </p>
    );
}
