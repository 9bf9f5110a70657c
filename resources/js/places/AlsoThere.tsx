import type { RoadFacts } from '@/api/types';
import { Field } from '@/ui/Field';
import { askedAlso, type Also } from './also';

interface Props {
    value: Also;
    /** What the routine asks for, beside what can be on any road. */
    asks: string[];
    errors: Record<string, string[]>;
    onChange: (value: Also) => void;
}

type Bend = NonNullable<RoadFacts['bend']>;
const BEND: Bend = { radius_m: 30, from_m: 80, to_m: 50 };
const ENDS = { radius_m: 'radius', from_m: 'begins, m before the line', to_m: 'ends, m before the line' } as const;

/** What only some roads have: a path before the line, a view that opens late, a bend on the way. Empty is not there. */
export function AlsoThere({ value, asks, errors, onChange }: Props) {
    const set = (part: Record<string, unknown>) =>
        onChange(Object.fromEntries(Object.entries<unknown>({ ...value, ...part }).filter(([, said]) => said !== undefined)));
    return (
        <>
            {askedAlso(asks).map(({ name, label, hint, most }) => (
                <Field key={name} label={label} {...(hint ? { hint } : {})} errors={errors[`road.${name}`] ?? []}>
                    <input
                        type="number"
                        min={0}
                        max={most}
                        step={0.5}
                        value={value[name] ?? ''}
                        onChange={(event) => set({ [name]: event.target.value === '' ? undefined : event.target.valueAsNumber })}
                    />
                </Field>
            ))}
            <label className="flex min-h-12 items-center gap-3 self-end">
                <input
                    type="checkbox"
                    className="size-6"
                    checked={value.bend !== undefined}
                    onChange={(event) => set({ bend: event.target.checked ? BEND : undefined })}
                />
                A bend on the way
            </label>
            {value.bend &&
                (['radius_m', 'from_m', 'to_m'] as const).map((end) => (
                    <Field key={end} label={`The bend: ${ENDS[end]}${end === 'radius_m' ? ', m' : ''}`} errors={errors[`road.bend.${end}`] ?? []}>
                        <input
                            type="number"
                            min={end === 'radius_m' ? 5 : 0}
                            max={1000}
                            value={value.bend?.[end] ?? ''}
                            onChange={(event) => event.target.value !== '' && set({ bend: { ...BEND, ...value.bend, [end]: event.target.valueAsNumber } })}
                        />
                    </Field>
                ))}
        </>
    );
}
