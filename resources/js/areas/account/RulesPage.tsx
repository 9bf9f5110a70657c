import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '@/api/client';
import type { ChosenRules } from '@/api/types';
import { useSession } from '@/session/session';
import { RulesForm } from '@/practice/RulesForm';
import { useRulesOnOffer } from '@/practice/useRulesOnOffer';
import { useNotice } from '@/ui/Notice';
import { Failed, Waiting } from '@/ui/State';

/** Whose rules: the school's for everybody, the instructor's own over them. */
export function RulesPage() {
    const { user, school, rules } = useSession();
    const client = useQueryClient();
    const notice = useNotice();
    const onOffer = useRulesOnOffer();
    const [whose, setWhose] = useState<'school' | 'mine'>(user.role === 'owner' ? 'school' : 'mine');
    if (onOffer.isLoading) return <Waiting />;
    if (!onOffer.data) return <Failed error={onOffer.error} retry={() => void onOffer.refetch()} />;
    const { packs, questions } = onOffer.data;
    const keep = async (chosen: ChosenRules) => {
        await (whose === 'school'
            ? api.PUT('/rules/school', { body: { ...chosen, pack: chosen.pack ?? onOffer.data.school.pack ?? rules.pack } })
            : api.PUT('/rules/mine', { body: chosen }));
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
            <RulesForm
                key={whose}
                value={onOffer.data[whose]}
                above={whose === 'mine' ? onOffer.data.school : null}
                packs={packs}
                questions={questions}
                onKeep={keep}
            />
        </div>
    );
}
