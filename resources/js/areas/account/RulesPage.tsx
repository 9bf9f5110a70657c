import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '@/api/client';
import type { Doctrine } from '@/api/types';
import { useSession } from '@/session/session';
import { DoctrineForm } from '@/practice/DoctrineForm';
import { useDoctrines } from '@/practice/useDoctrines';
import { useNotice } from '@/ui/Notice';
import { Failed, Waiting } from '@/ui/State';

/** Whose rules: the school's for everybody, the instructor's own over them. */
export function RulesPage() {
    const { user, school, rules } = useSession();
    const client = useQueryClient();
    const notice = useNotice();
    const doctrines = useDoctrines();
    const [whose, setWhose] = useState<'school' | 'mine'>(user.role === 'owner' ? 'school' : 'mine');
    if (doctrines.isLoading) return <Waiting />;
    if (!doctrines.data) return <Failed error={doctrines.error} retry={() => void doctrines.refetch()} />;
    const { packs, questions } = doctrines.data;
    const keep = async (doctrine: Doctrine) => {
        await (whose === 'school'
            ? api.PUT('/doctrines/school', { body: { ...doctrine, pack: doctrine.pack ?? doctrines.data.school.pack ?? rules.pack } })
            : api.PUT('/doctrines/mine', { body: doctrine }));
        await client.invalidateQueries();
        notice({ text: 'Kept: plans and cards follow it from now on.' });
    };
    return (
        <div className="grid gap-5">
            <header className="flex flex-wrap items-end justify-between gap-4">
                <div>
                    <h1 className="text-3xl">Rules and practice</h1>
                    <p className="text-quiet">The law of the place, and where good instructors differ. A learner can have their own on their page.</p>
                </div>
                <Link className="key" to="/account">
                    Account
                </Link>
            </header>
            {user.role === 'owner' && (
                <div className="flex gap-2" role="group" aria-label="Whose">
                    <button type="button" className="key" aria-pressed={whose === 'school'} onClick={() => setWhose('school')}>
                        {school.name}
                    </button>
                    <button type="button" className="key" aria-pressed={whose === 'mine'} onClick={() => setWhose('mine')}>
                        {user.name}
                    </button>
                </div>
            )}
            <DoctrineForm
                key={whose}
                value={doctrines.data[whose]}
                above={whose === 'mine' ? doctrines.data.school : null}
                packs={packs}
                questions={questions}
                onKeep={keep}
            />
        </div>
    );
}
