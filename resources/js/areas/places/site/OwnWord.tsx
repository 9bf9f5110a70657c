import { remarkOf, remarked, type Draft, type Remark } from '@/site/draft';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import type { Way } from './WayFacts';

interface Props {
    draft: Draft;
    way: Way;
    errors: Record<string, string[]>;
    onChange: (what: string, to: (draft: Draft) => Draft) => void;
}

/** The instructor's own word on a way: how hard it is whatever was computed, and a note. */
export function OwnWord({ draft, way, errors, onChange }: Props) {
    const said = remarkOf(draft, way);
    const at = said ? draft.remarks.indexOf(said) : -1;
    const set = (part: Pick<Remark, 'note' | 'difficulty'>) =>
        onChange(`${Object.keys(part).join()} of ${way.from}>${way.to} ${way.routine}`, (now) => remarked(now, way, part));
    return (
        <div className="grid gap-4 sm:grid-cols-[minmax(9rem,auto)_1fr]">
            <Field label="How hard, in your word">
                <select
                    value={said?.difficulty ?? ''}
                    onChange={(event) => set({ difficulty: ((event.target.value || null) as Remark['difficulty']) ?? null })}
                >
                    <Options of={{ '': `As computed: ${way.difficulty.words}`, easy: 'Easy', middling: 'Middling', hard: 'Hard' }} />
                </select>
            </Field>
            <Field label="Note on this way" errors={errors[`remarks.${at}.note`] ?? []}>
                <input maxLength={300} value={said?.note ?? ''} onChange={(event) => set({ note: event.target.value || null })} />
            </Field>
        </div>
    );
}
