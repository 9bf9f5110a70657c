import { useQuery, useQueryClient } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { ArchiveList } from '@/archive/ArchiveList';
import { isMeant } from '@/ui/search';
import { Sheet } from '@/ui/Sheet';
import { Empty, Failed, Waiting } from '@/ui/State';
import { LearnerForm } from './LearnerForm';

export function LearnersPage() {
    const client = useQueryClient();
    const navigate = useNavigate();
    const [adding, setAdding] = useState(false);
    const [find, setFind] = useState('');
    const learners = useQuery(questions.learners());
    if (learners.isLoading) return <Waiting />;
    if (!learners.data) return <Failed error={learners.error} retry={() => void learners.refetch()} />;
    const found = learners.data.filter((learner) => isMeant([learner.name, learner.level, learner.transmission, learner.pick_up ?? ''].join(' '), find));
    return (
        <div className="grid gap-6">
            <header className="flex flex-wrap items-center justify-between gap-4">
                <h1 className="text-3xl">Learners</h1>
                <button type="button" className="key" data-tone={learners.data.length ? undefined : 'main'} onClick={() => setAdding(true)}>
                    New learner
                </button>
            </header>
            {learners.data.length === 0 && (
                <Empty title="Nobody yet">
                    <p>Add the first learner: a name is enough, the rest can follow at the pick-up.</p>
                </Empty>
            )}
            {learners.data.length > 0 && (
                <label className="grid max-w-xl gap-1 font-semibold">
                    Search learners
                    <input type="search" className="entry font-normal" value={find} onChange={(event) => setFind(event.target.value)} />
                </label>
            )}
            {learners.data.length > 0 && found.length === 0 && <p>No learner has all those words.</p>}
            <ul className="grid gap-x-10 md:grid-cols-2">
                {found.map((learner) => (
                    <li key={learner.id} className="border-hair min-w-0 border-b">
                        <Link to={`/learners/${learner.id}`} className="hover:bg-wash grid min-h-16 content-center px-2 py-2">
                            <span className="text-lg font-semibold break-words">{learner.name}</span>
                            <span className="text-quiet text-sm">
                                {learner.level} · {learner.transmission} · {learner.lessons_done} {learner.lessons_done === 1 ? 'lesson' : 'lessons'}
                            </span>
                        </Link>
                    </li>
                ))}
            </ul>
            <ArchiveList of="learners" />
            <Sheet title="New learner" open={adding} onOpenChange={setAdding}>
                <LearnerForm
                    onKept={async (learner) => {
                        await client.invalidateQueries({ queryKey: ['learners'] });
                        void navigate(`/learners/${learner.id}`);
                    }}
                />
            </Sheet>
        </div>
    );
}
