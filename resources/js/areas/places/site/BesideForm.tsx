import type { Arm } from '@/site/draft';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import type { OfAnArm } from './armFields';

const WORDS = {
    openings: { title: 'Openings before the line', one: 'An opening', hint: 'A drive, a side road: where a signal could mean another turn' },
    parked: { title: 'Cars parked before the line', one: 'Parked cars', hint: 'A row to pass on the way' },
} as const;
const SIDES = { left: 'Left', right: 'Right' };
/** Where another one begins to be said, m. */
const FIRST = { from_m: 24, to_m: 18 };

/** Openings or parked cars of an arm in numbers: the same that is moved by hand on the picture. */
export function BesideForm({ arm, errors, onChange, of }: OfAnArm & { of: keyof typeof WORDS }) {
    const rows = arm[of] ?? [];
    const { title, one, hint } = WORDS[of];
    const set = (i: number, part: Partial<NonNullable<Arm[typeof of]>[number]>) =>
        onChange({ [of]: rows.map((row, at) => (at === i ? { ...row, ...part } : row)) });
    return (
        <section aria-label={title} className="grid gap-2">
            <h4 className="font-semibold">{title}</h4>
            {rows.map((row, i) => (
                <div key={i} className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
                    <Field label="Side" errors={errors[`${of}.${i}.side`] ?? []}>
                        <select value={row.side ?? 'left'} onChange={(event) => set(i, { side: event.target.value as 'left' | 'right' })}>
                            <Options of={SIDES} />
                        </select>
                    </Field>
                    {(['from_m', 'to_m'] as const).map((end) => (
                        <Field key={end} label={end === 'from_m' ? 'From, m' : 'To, m'} errors={errors[`${of}.${i}.${end}`] ?? []}>
                            <input
                                type="number"
                                min={0}
                                max={500}
                                step="any"
                                value={row[end] ?? ''}
                                onChange={(event) => set(i, { [end]: event.target.value === '' ? undefined : event.target.valueAsNumber })}
                            />
                        </Field>
                    ))}
                    <button
                        type="button"
                        className="key"
                        data-tone="bare"
                        aria-label={`Take away: ${one.toLowerCase()}, ${row.from_m} to ${row.to_m} m`}
                        onClick={() => onChange({ [of]: rows.length === 1 ? undefined : rows.filter((_, at) => at !== i) })}
                    >
                        ✕
                    </button>
                </div>
            ))}
            {errors[of]?.map((sentence) => (
                <p key={sentence} role="alert" className="font-semibold">
                    ▸ {sentence}
                </p>
            ))}
            <div className="flex flex-wrap items-center gap-3">
                <button type="button" className="key" onClick={() => onChange({ [of]: [...rows, { side: 'left', ...FIRST }] })}>
                    {rows.length === 0 ? one : `${one}, one more`}
                </button>
                {rows.length === 0 && <span className="text-quiet text-sm">{hint}</span>}
            </div>
        </section>
    );
}
