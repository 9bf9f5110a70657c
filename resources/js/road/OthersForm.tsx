import { useRules } from '@/rules/rules';
import { inWords } from '@/rules/words';
import { INTENTIONS, LANES, MOST, nameOf, type Intention, type Other, type OtherLane } from '@/bench/others';
import { Options } from '@/ui/Options';

interface Props {
    title: string;
    value: Other[];
    unit: string;
    onChange: (value: Other[]) => void;
    /** Whether it matters what they are about to do. */
    intentions?: boolean;
    /** Whether they may be in other lanes than the one wanted. */
    lanes?: boolean;
}

/** Vehicles beside us, typed: how far ahead or behind, how fast, how long. */
export function OthersForm({ title, value, unit, onChange, intentions = false, lanes = false }: Props) {
    const rules = useRules();
    const set = (at: number, part: Partial<Other>) => onChange(value.map((one, i) => (i === at ? { ...one, ...part } : one)));
    return (
        <fieldset className="grid gap-2">
            <legend className="pb-1 text-lg font-semibold">{title}</legend>
            <ul className="flex flex-wrap gap-x-8 gap-y-2">
                {value.map((one, i) => (
                    <li key={i} className="flex flex-wrap items-center gap-2">
                        <span className="w-14 font-semibold sm:w-16">{nameOf(one, i, rules)}</span>
                        <input
                            type="number"
                            className="entry w-20 sm:w-24"
                            aria-label={`${nameOf(one, i, rules)}, metres ahead of us`}
                            min={-400}
                            max={400}
                            step={5}
                            value={one.at}
                            onChange={(event) => Number.isFinite(event.target.valueAsNumber) && set(i, { at: event.target.valueAsNumber })}
                        />
                        m at
                        <input
                            type="number"
                            className="entry w-20 sm:w-24"
                            aria-label={`${nameOf(one, i, rules)}, speed`}
                            min={5}
                            max={130}
                            value={one.speed}
                            onChange={(event) => event.target.valueAsNumber >= 0 && set(i, { speed: event.target.valueAsNumber })}
                        />
                        {unit}
                        <button type="button" className="key" aria-pressed={one.long} onClick={() => set(i, { long: !one.long })}>
                            {inWords('{Lorry}', rules)}
                        </button>
                        {lanes && (
                            <select
                                className="entry w-44"
                                aria-label={`${nameOf(one, i, rules)}, lane`}
                                value={one.lane ?? ''}
                                onChange={(event) => set(i, { lane: (event.target.value || undefined) as OtherLane | undefined })}
                            >
                                <option value="">in the lane wanted</option>
                                <Options of={LANES} />
                            </select>
                        )}
                        {intentions && (
                            <select
                                className="entry w-36"
                                aria-label={`${nameOf(one, i, rules)}, seems to`}
                                value={one.intends ?? 'stays'}
                                onChange={(event) => set(i, { intends: event.target.value as Intention })}
                            >
                                <Options of={INTENTIONS} />
                            </select>
                        )}
                        <button
                            type="button"
                            className="min-h-12 min-w-12 text-lg"
                            aria-label={`Take ${nameOf(one, i, rules)} away`}
                            onClick={() => onChange(value.filter((_, n) => n !== i))}
                        >
                            ✕
                        </button>
                    </li>
                ))}
            </ul>
            <button
                type="button"
                className="key justify-self-start"
                disabled={value.length >= MOST}
                onClick={() => onChange([...value, { at: Math.min(-40, ...value.map((one) => one.at - 60)), speed: value[0]?.speed ?? 50, long: false }])}
            >
                Add a vehicle
            </button>
        </fieldset>
    );
}
