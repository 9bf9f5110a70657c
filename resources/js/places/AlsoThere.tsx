import { Field } from '@/ui/Field';
import { askedAlso, type Also } from './also';
import { OnTheWay } from './OnTheWay';

interface Props {
    value: Also;
    /** What the routine asks for, beside what can be on any road. */
    asks: string[];
    errors: Record<string, string[]>;
    onChange: (value: Also) => void;
}

/** What only some roads have: a path before the line, a view that opens late, a bend, a crest or a dip on the way. Empty is not there. */
export function AlsoThere({ value, asks, errors, onChange }: Props) {
    const set = (part: object) => onChange(Object.fromEntries(Object.entries<unknown>({ ...value, ...part }).filter(([, said]) => said !== undefined)));
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
            <div className="grid gap-3 sm:col-span-full">
                <OnTheWay value={value} errors={errors} before="road." onChange={set} />
            </div>
        </>
    );
}
