import { useState } from 'react';
import type { Lesson, Round } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { Field } from '@/ui/Field';
import { likeliest, type What } from './likeliest';
import { RoutineKey } from './RoutineKey';

interface Props {
    lesson: Lesson;
    rounds: Round[];
    /** The round in which the key was pressed. */
    from: Round;
    what: What | null;
    where: string;
    /** Something has been said of it: what it was stands. */
    fixed: boolean;
    onChosen: (what: What) => void;
    onWhere: (where: string) => void;
}

const same = (a: What | null, b: What): boolean => {
    if (a?.kind === 'round' && b.kind === 'round') return a.round.id === b.round.id;
    if (a?.kind === 'item' && b.kind === 'item') return a.item.id === b.item.id;
    return a?.kind === 'routine' && b.kind === 'routine' && a.routine === b.routine;
};

/** Which routine a moment was part of, the likeliest first; anything else by a word. */
export function WhatItWas({ lesson, rounds, from, what, where, fixed, onChosen, onWhere }: Props) {
    const { routines } = useRules();
    const name = useRoutineName();
    const [wanted, setWanted] = useState('');
    const said = wanted.trim().toLowerCase();
    const offered: What[] =
        said === ''
            ? likeliest(lesson, rounds, from, routines)
            : routines
                  .filter(({ title, section_title }) => `${title} ${section_title}`.toLowerCase().includes(said))
                  .map((routine) => ({ kind: 'routine', routine: routine.code, side: null }));
    // What was chosen stays in sight.
    const shown = what && !offered.some((one) => same(what, one)) ? [what, ...offered] : offered;
    return (
        <>
            <div className="grid grid-cols-2 gap-1 xl:gap-2">
                {shown.map((one) =>
                    one.kind === 'routine' ? (
                        <RoutineKey
                            key={one.routine}
                            title={name(one.routine)}
                            byExit={Boolean(routines.find((routine) => routine.code === one.routine)?.side_by_exit)}
                            chosen={what?.kind === 'routine' && what.routine === one.routine ? what.side : false}
                            disabled={fixed}
                            onChosen={(side) => onChosen({ ...one, side })}
                        />
                    ) : (
                        <button
                            key={one.kind === 'item' ? one.item.id : one.round.id}
                            type="button"
                            className="key min-h-[88px] min-w-0 flex-col !items-start !gap-0 !px-2 text-left leading-tight"
                            aria-pressed={same(what, one)}
                            disabled={fixed && !same(what, one)}
                            onClick={() => onChosen(one)}
                        >
                            <span className="line-clamp-3">{name(one.kind === 'round' ? one.round.routine : one.item.routine)}</span>
                            <span className="w-full truncate text-sm font-normal">
                                {one.kind === 'item'
                                    ? `planned: ${one.item.place.name}`
                                    : [`round ${rounds.indexOf(one.round) + 1}`, one.round.place].filter(Boolean).join(', ')}
                            </span>
                        </button>
                    ),
                )}
            </div>
            {shown.length === 0 && <p>No routine is called that.</p>}
            {!fixed && (
                <div className="grid grid-cols-2 gap-2">
                    <Field label="Search routines">
                        <input type="search" value={wanted} onChange={(event) => setWanted(event.target.value)} />
                    </Field>
                    <Field label="Where, in a word">
                        <input maxLength={120} value={where} onChange={(event) => onWhere(event.target.value)} />
                    </Field>
                </div>
            )}
        </>
    );
}
