import { useState } from 'react';
import type { RoutineCode, RoutineLine } from '@/api/types';
import { useRoutineText, useRules } from '@/rules/rules';
import { Field } from '@/ui/Field';
import { isMeant } from '@/ui/search';
import { Sheet } from '@/ui/Sheet';
import { RoutineKey } from './RoutineKey';
import type { Away } from './visit';

interface Props {
    open: boolean;
    onOpenChange: (open: boolean) => void;
    /** Likeliest first: the last ones of this lesson. */
    lately: RoutineCode[];
    onChosen: (away: Away) => void;
}

/** Something that was not planned, or that needs no place: which routine, and a word of where. */
export function AwaySheet({ open, onOpenChange, lately, onChosen }: Props) {
    const { routines } = useRules();
    const [wanted, setWanted] = useState('');
    const [where, setWhere] = useState('');
    const text = useRoutineText();
    const found = routines.filter(({ code, section_title: section }) => isMeant(`${text(code)} ${section}`, wanted.trim()));
    const first = lately.flatMap((code) => found.filter((routine) => routine.code === code));
    const sections = new Map<string, RoutineLine[]>(first.length > 0 ? [['Just now', first]] : []);
    for (const routine of found) {
        if (!first.includes(routine)) sections.set(routine.section_title, [...(sections.get(routine.section_title) ?? []), routine]);
    }
    return (
        <Sheet title="Somewhere else" about="What was not planned, and what needs no place." open={open} onOpenChange={onOpenChange}>
            <div className="grid gap-3 sm:grid-cols-2">
                <Field label="Where, in a word" hint="Leave blank where it does not matter">
                    <input maxLength={120} value={where} onChange={(event) => setWhere(event.target.value)} />
                </Field>
                <Field label="Search routines">
                    <input type="search" value={wanted} onChange={(event) => setWanted(event.target.value)} />
                </Field>
            </div>
            {found.length === 0 && <p>No routine is called that.</p>}
            {[...sections].map(([title, lines]) => (
                <section key={title} aria-label={title}>
                    <h3 className="border-hair border-b-2 pb-1">{title}</h3>
                    <div className="grid grid-cols-2 gap-2 py-2">
                        {lines.map((routine) => (
                            <RoutineKey
                                key={routine.code}
                                title={routine.title}
                                byExit={routine.side_by_exit !== null}
                                onChosen={(side) => {
                                    onChosen({ routine: routine.code, where: where.trim(), side });
                                    onOpenChange(false);
                                }}
                            />
                        ))}
                    </div>
                </section>
            ))}
        </Sheet>
    );
}
