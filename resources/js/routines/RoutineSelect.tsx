import type { RoutineCode, RoutineLine } from '@/api/types';
import { useRules } from '@/rules/rules';

interface Props {
    value: RoutineCode;
    onChange: (code: RoutineCode) => void;
    /** Passed on by a labelled field. */
    id?: string;
    className?: string;
    'aria-describedby'?: string;
    'aria-invalid'?: boolean;
}

/** The routines that can be planned at a place, by its kind. */
export function RoutineSelect({ value, onChange, ...field }: Props) {
    const { routines } = useRules();
    const sections = new Map<string, RoutineLine[]>();
    for (const routine of routines.filter((candidate) => candidate.planned_by !== null)) {
        sections.set(routine.section_title, [...(sections.get(routine.section_title) ?? []), routine]);
    }
    return (
        <select {...field} value={value} onChange={(event) => onChange(event.target.value as RoutineCode)}>
            {[...sections].map(([title, lines]) => (
                <optgroup key={title} label={title}>
                    {lines.map((routine) => (
                        <option key={routine.code} value={routine.code}>
                            {routine.title}
                        </option>
                    ))}
                </optgroup>
            ))}
        </select>
    );
}
