import { markWords, type Mark } from '@/site/circuit';

/** Near what sites are looked for, and how long one drives there at the most. */
export interface Near {
    /** `school`, or the id of a centre, or of a learner who is picked up there; empty: anywhere. */
    what: string;
    /** Minutes; null: however long. */
    within: number | null;
}

const WITHIN = [5, 10, 20];

/** Near the school or a pick-up, and within how many minutes. */
export function NearChoice({ near, marks, onChange }: { near: Near; marks: Mark[]; onChange: (near: Near) => void }) {
    if (marks.length === 0) return null;
    return (
        <>
            <label className="flex max-w-full min-w-0 flex-wrap items-center gap-2">
                <span className="text-quiet">Near</span>
                <select className="entry !w-auto max-w-full min-w-0" value={near.what} onChange={(event) => onChange({ ...near, what: event.target.value })}>
                    <option value="">anywhere</option>
                    {marks.map((mark) => (
                        <option key={mark.id} value={mark.id}>
                            {markWords(mark)}
                        </option>
                    ))}
                </select>
            </label>
            {near.what !== '' && (
                <label className="flex items-center gap-2">
                    <span className="text-quiet">within</span>
                    <select
                        className="entry !w-auto"
                        value={near.within ?? ''}
                        onChange={(event) => onChange({ ...near, within: event.target.value === '' ? null : Number(event.target.value) })}
                    >
                        <option value="">any time</option>
                        {WITHIN.map((minutes) => (
                            <option key={minutes} value={minutes}>
                                {minutes} min
                            </option>
                        ))}
                    </select>
                </label>
            )}
        </>
    );
}
