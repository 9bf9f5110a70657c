import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, at } from '@/api/client';
import { SKILL_LEVELS, type Overruling, type SkillLevel } from '@/api/types';
import type { RoutineCode, Step } from '@/api/types';
import { useClock, useSession } from '@/session/session';
import { LEVEL_WORDS } from '@/skill/words';
import { Field } from '@/ui/Field';

interface Props {
    learner: string;
    routine: RoutineCode;
    step: Step;
    said: Overruling[];
}

/** Where the instructor knows better than the marks: a word with its reason, kept beside them. */
export function Overrule({ learner, routine, step, said }: Props) {
    const client = useQueryClient();
    const clock = useClock();
    const { user } = useSession();
    const [level, setLevel] = useState<SkillLevel | null>(null);
    const [reason, setReason] = useState('');
    const [trouble, setTrouble] = useState<string[]>([]);
    const refresh = () => Promise.all([client.invalidateQueries({ queryKey: ['learner', learner] }), client.invalidateQueries({ queryKey: ['school'] })]);
    const keep = async () => {
        if (!level) return;
        if (!reason.trim()) return setTrouble(['Say why: both your word and the marks stay on record.']);
        try {
            await api.POST('/learners/{learner}/overrulings', { ...at({ learner }), body: { routine, step, level, reason } });
        } catch (error) {
            return setTrouble([error instanceof Error ? error.message : 'That could not be kept.']);
        }
        setLevel(null);
        setReason('');
        setTrouble([]);
        await refresh();
    };
    const withdraw = (one: Overruling) =>
        void api.PATCH('/overrulings/{overruling}', { ...at({ overruling: one.id }), body: { withdrawn: one.withdrawn_at === null } }).then(refresh);
    return (
        <section aria-labelledby="cell-overrule" className="grid gap-2">
            <h3 id="cell-overrule" className="text-lg">
                Correct this
            </h3>
            <div className="flex flex-wrap gap-1" role="group" aria-label="Unaided, in your judgement">
                {SKILL_LEVELS.map((one) => (
                    <button key={one} type="button" className="key !px-3" aria-pressed={level === one} onClick={() => setLevel(level === one ? null : one)}>
                        {LEVEL_WORDS[one]}
                    </button>
                ))}
            </div>
            {level && (
                <form
                    className="grid gap-2"
                    onSubmit={(event) => {
                        event.preventDefault();
                        void keep();
                    }}
                >
                    <Field label="Reason" hint="Both stay on record; later marks build on your correction." errors={trouble}>
                        <input maxLength={300} value={reason} onChange={(event) => setReason(event.target.value)} />
                    </Field>
                    <button type="submit" className="key justify-self-start" data-tone="main">
                        Keep my word
                    </button>
                </form>
            )}
            {said.length > 0 && (
                <ul>
                    {said.map((one) => (
                        <li key={one.id} className="border-hair flex flex-wrap items-center gap-x-3 border-b py-1">
                            <span className={`min-w-0 flex-1 ${one.withdrawn_at ? 'text-quiet' : ''}`}>
                                <span className={`font-semibold ${one.withdrawn_at ? 'line-through' : ''}`}>{LEVEL_WORDS[one.level]}</span>, {one.reason}
                                <span className="text-quiet block text-sm">
                                    {one.by}, {clock.short(one.at)}
                                    {one.withdrawn_at && ` · taken back ${clock.short(one.withdrawn_at)}`}
                                </span>
                            </span>
                            {(user.role === 'owner' || user.id === one.user_id) && (
                                <button type="button" className="key" data-tone="bare" onClick={() => withdraw(one)}>
                                    {one.withdrawn_at ? 'Let it stand' : 'Take back'}
                                </button>
                            )}
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}
