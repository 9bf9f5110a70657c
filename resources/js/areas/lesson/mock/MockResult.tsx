import { Link } from 'react-router';
import type { Assessment } from '@/api/types';
import { TestSheet } from '@/assessment/TestSheet';

/** What a mock test came to, and its sheet. */
export function MockResult({ test, learner }: { test: Assessment; learner: { id: string; name: string } }) {
    return (
        <div className="grid max-w-4xl gap-6">
            <TestSheet test={test} name={learner.name} />
            <div className="screen-only flex flex-wrap gap-2">
                <Link className="key" data-tone="main" to={`/learners/${learner.id}/test`}>
                    The way to the test
                </Link>
                <button type="button" className="key" onClick={() => window.print()}>
                    Print
                </button>
            </div>
        </div>
    );
}
