import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';

/** What a lesson without places could be for; taken on its plan. */
export function Proposal({ lesson }: { lesson: string }) {
    const { data } = useQuery(questions.proposal(lesson, { pinned: [], excluded: [] }));
    const first = data?.aims[0];
    return (
        <div className="py-3">
            <p className="text-quiet">None yet.</p>
            {first && (
                <p>
                    <span className="text-quiet">Proposed: </span>
                    {first.message}
                </p>
            )}
        </div>
    );
}
