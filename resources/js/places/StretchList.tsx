import type { Side, Stretch } from '@/api/types';

interface Props {
    title: string;
    value: Stretch[];
    onChange: (value: Stretch[]) => void;
    errors: Record<string, string[]>;
    field: string;
}

/** Openings or parked cars along the approach, by their two ends in metres before the line. */
export function StretchList({ title, value, onChange, errors, field }: Props) {
    const change = (i: number, part: Partial<Stretch>) => onChange(value.map((stretch, n) => (n === i ? { ...stretch, ...part } : stretch)));
    return (
        <fieldset className="grid gap-2">
            <legend className="font-semibold">{title}</legend>
            {value.map((stretch, i) => (
                <div key={i} className="flex flex-wrap items-center gap-2">
                    <select
                        className="entry !w-28"
                        aria-label="Side"
                        value={stretch.side}
                        onChange={(event) => change(i, { side: event.target.value as Side })}
                    >
                        <option value="left">left</option>
                        <option value="right">right</option>
                    </select>
                    <input
                        className="entry !w-24"
                        type="number"
                        min={0}
                        max={1000}
                        aria-label="From, metres before the line"
                        value={stretch.from_m}
                        onChange={(event) => change(i, { from_m: event.target.valueAsNumber })}
                    />
                    to
                    <input
                        className="entry !w-24"
                        type="number"
                        min={0}
                        max={1000}
                        aria-label="To, metres before the line"
                        value={stretch.to_m}
                        onChange={(event) => change(i, { to_m: event.target.valueAsNumber })}
                    />
                    m
                    <button
                        type="button"
                        className="key"
                        aria-label={`Remove from ${title.toLowerCase()}`}
                        onClick={() => onChange(value.filter((_, n) => n !== i))}
                    >
                        ✕
                    </button>
                    {[`road.${field}.${i}.from_m`, `road.${field}.${i}.to_m`]
                        .flatMap((name) => errors[name] ?? [])
                        .map((sentence) => (
                            <p key={sentence} role="alert" className="w-full font-semibold">
                                ▸ {sentence}
                            </p>
                        ))}
                </div>
            ))}
            <button type="button" className="key justify-self-start" onClick={() => onChange([...value, { side: 'left', from_m: 60, to_m: 50 }])}>
                Add
            </button>
        </fieldset>
    );
}
