import { useState } from 'react';
import type { Lesson, ProposedLesson } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { count, leftOutOf, nameOf, type ProposedWay } from './proposedWords';

/** What is not in a proposed lesson and why; each can be put in. */
export function LeftOut({ data, agreed, onTake }: { data: ProposedLesson; agreed: Lesson['promised_before']; onTake: (way: ProposedWay) => void }) {
    const [isOpen, setOpen] = useState(false);
    const [all, setAll] = useState(false);
    const name = useRoutineName();
    if (data.left_out.length === 0) return null;
    const { near, rest } = leftOutOf(
        data,
        agreed.filter(({ kept_at }) => kept_at === null).map(({ routine }) => routine),
    );
    const isAll = all || near.length === 0;
    const shown = isAll ? [...near, ...rest] : near;
    return (
        <details open={isOpen} onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary className="link min-h-12 cursor-pointer content-center">{count(data.left_out.length, 'way')} left out, and why</summary>
            {isOpen && (
                <>
                    <ul className="border-hair border-t">
                        {shown.map((one) => (
                            <li key={nameOf(one)} className="border-hair flex items-center gap-3 border-b py-1">
                                <span className="min-w-0 flex-1 leading-tight">
                                    {name(one.routine)}
                                    <span className="text-quiet block text-sm">{one.message}</span>
                                </span>
                                <button
                                    type="button"
                                    className="key min-h-12 px-3"
                                    aria-label={`Put in ${name(one.routine)}, ${one.name}`}
                                    onClick={() => onTake(one)}
                                >
                                    Put in
                                </button>
                            </li>
                        ))}
                    </ul>
                    {rest.length > 0 && !isAll && (
                        <button type="button" className="link min-h-12" onClick={() => setAll(true)}>
                            {count(rest.length, 'way')} of what this lesson is not for
                        </button>
                    )}
                    {data.farther > 0 && (
                        <p className="text-quiet text-sm">{count(data.farther, 'way')} farther off were not looked at: others of their kind are nearer.</p>
                    )}
                </>
            )}
        </details>
    );
}
