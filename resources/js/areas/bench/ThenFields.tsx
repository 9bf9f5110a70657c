import type { RoadFacts, RoutineCode, Then } from '@/api/types';
import { useRules } from '@/rules/rules';
import { Field } from '@/ui/Field';

/** So many in a row at the most: as the tool takes. */
const MOST = 12;

interface Props {
    value: RoadFacts['then'];
    onChange: (value: RoadFacts['then']) => void;
}

/** The hazards close behind, each with its distance from the line before it. */
export function ThenFields({ value, onChange }: Props) {
    const { routines } = useRules();
    const row: Then[] = [value ?? []].flat();
    // One alone is said as one.
    const say = (next: Then[]) => onChange(next.length > 1 ? next : next[0]);
    const change = (i: number, part: Partial<Then>) => say(row.map((one, n) => (n === i ? { ...one, ...part } : one)));
    const choose = (i: number, chosen: string) => {
        if (chosen === '') say(row.filter((_, n) => n !== i));
        else if (i < row.length) change(i, { routine: chosen as RoutineCode });
        else say([...row, { routine: chosen as RoutineCode, distance_m: row[i - 1]?.distance_m ?? 60 }]);
    };
    return (
        <>
            {Array.from({ length: Math.min(MOST, row.length + 1) }, (_, i) => (
                <div key={i} className="contents">
                    <Field label={i === 0 ? 'Next hazard, close behind' : `After it, hazard ${i + 2}`}>
                        <select value={row[i]?.routine ?? ''} onChange={(event) => choose(i, event.target.value)}>
                            <option value="">None</option>
                            {routines
                                .filter((routine) => routine.has_approach && !routine.stands)
                                .map((routine) => (
                                    <option key={routine.code} value={routine.code}>
                                        {routine.title}
                                    </option>
                                ))}
                        </select>
                    </Field>
                    {row[i] && (
                        <Field label={i === 0 ? 'From line to line, m' : `From line to line, hazard ${i + 2}, m`}>
                            <input
                                type="number"
                                min={1}
                                max={1000}
                                value={row[i].distance_m}
                                onChange={(event) => event.target.valueAsNumber >= 1 && change(i, { distance_m: event.target.valueAsNumber })}
                            />
                        </Field>
                    )}
                </div>
            ))}
        </>
    );
}
