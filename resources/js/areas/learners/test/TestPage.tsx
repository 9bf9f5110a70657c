import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { Assessment } from '@/api/types';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import { AssessmentForm } from './AssessmentForm';
import { AssessmentLines } from './AssessmentLines';
import { TestSheet } from '@/assessment/TestSheet';
import { WayToIt } from './WayToIt';

/** The way to the test: how near, what is missing, by when; and the tests and mock tests that were driven. */
export function TestPage() {
    const { id = '' } = useParams();
    const client = useQueryClient();
    const notice = useNotice();
    const clock = useClock();
    const learner = useQuery(questions.learner(id));
    const ready = useQuery(questions.ready(id));
    const assessments = useQuery(questions.assessments(id));
    const [noting, setNoting] = useState<Assessment | 'new' | null>(null);
    if (learner.isLoading || ready.isLoading) return <Waiting />;
    if (!learner.data || !ready.data) return <Failed error={learner.error ?? ready.error} retry={() => void ready.refetch()} />;
    const reread = () => client.invalidateQueries({ queryKey: ['learner', id] });
    const kept = async () => {
        await reread();
        setNoting(null);
    };
    const takeAway = async (one: Assessment) => {
        await api.DELETE('/assessments/{assessment}', at({ assessment: one.id }));
        await kept();
        const putBack = () => api.POST('/assessments/{assessment}/restore', at({ assessment: one.id })).then(reread);
        notice({ text: `What was noted of ${clock.day(one.taken_at)} is taken away.`, undo: () => void putBack() });
    };
    return (
        <article className="grid max-w-4xl gap-8">
            <header className="flex flex-wrap items-start justify-between gap-4">
                <h1 className="min-w-0 text-3xl break-words">{learner.data.name}: the way to the test</h1>
                <div className="screen-only flex flex-wrap gap-2">
                    <button type="button" className="key" data-tone="main" onClick={() => setNoting('new')}>
                        Note a test
                    </button>
                    <Link className="key" to={`/learners/${id}`}>
                        The record
                    </Link>
                </div>
            </header>
            <WayToIt ready={ready.data} />
            <AssessmentLines assessments={assessments.data ?? []} onChange={setNoting} />
            <Sheet
                title={noting === 'new' ? 'A test that was driven' : 'What was noted'}
                about="A mock test is marked by its scheme; of a test the examiner’s word is noted."
                open={noting !== null}
                onOpenChange={() => setNoting(null)}
            >
                {noting === 'new' && <AssessmentForm learner={id} one={null} onKept={kept} onTakeAway={takeAway} />}
                {noting !== null && noting !== 'new' && (
                    <>
                        <TestSheet test={noting} name={learner.data.name} />
                        <details>
                            <summary className="link min-h-12 cursor-pointer content-center font-semibold">Change it, or take it away</summary>
                            <AssessmentForm learner={id} one={noting} onKept={kept} onTakeAway={takeAway} />
                        </details>
                    </>
                )}
            </Sheet>
        </article>
    );
}
