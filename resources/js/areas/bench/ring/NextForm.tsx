import type { NextJunction } from '@/bench/ring';
import { useSay } from '@/rules/rules';

const MOST = 4;

/** The junction after the exit: how far, which lanes, and where we go there. */
export function NextForm({ value, onChange }: { value: NextJunction; onChange: (value: NextJunction) => void }) {
    const say = useSay();
    const names = [...new Set(value.lanes.filter(Boolean))];
    const lanes = (next: string[]) => onChange({ ...value, lanes: next, to: next.includes(value.to) ? value.to : (next.find(Boolean) ?? value.to) });
    return (
        <fieldset className="flex flex-wrap items-end gap-3">
            <legend className="pb-1 text-lg font-semibold">{say('The next {junction}')}</legend>
            <label className="flex items-center gap-2">
                after
                <input
                    type="number"
                    className="entry w-24"
                    aria-label={say('Metres to the next {junction}')}
                    min={1}
                    max={5000}
                    value={value.metres}
                    onChange={(event) => event.target.valueAsNumber >= 1 && onChange({ ...value, metres: event.target.valueAsNumber })}
                />
                m, to
            </label>
            <select
                className="entry w-44"
                aria-label={say('Way at the next {junction}')}
                value={value.to}
                onChange={(event) => onChange({ ...value, to: event.target.value })}
            >
                {names.map((name) => (
                    <option key={name}>{name}</option>
                ))}
            </select>
            {value.lanes.map((name, i) => (
                <label key={i} className="flex items-center gap-2">
                    lane {i + 1} for
                    <input
                        className="entry w-36"
                        maxLength={40}
                        value={name}
                        onChange={(event) => lanes(value.lanes.map((other, n) => (n === i ? event.target.value : other)))}
                    />
                </label>
            ))}
            <button type="button" className="key" disabled={value.lanes.length >= MOST} onClick={() => lanes([...value.lanes, value.to])}>
                Add a lane there
            </button>
            <button type="button" className="key" disabled={value.lanes.length <= 1} onClick={() => lanes(value.lanes.slice(0, -1))}>
                One fewer there
            </button>
        </fieldset>
    );
}
