import { Field } from '@/ui/Field';

interface Props {
    value: number;
    onChange: (minutes: number) => void;
    errors: string[] | undefined;
}

/** How long a lesson is, in fives; not a number while nothing is typed. */
export function MinutesField({ value, onChange, errors }: Props) {
    return (
        <Field label="Minutes" errors={errors}>
            <input
                type="number"
                required
                min={15}
                max={480}
                step={5}
                value={Number.isNaN(value) ? '' : value}
                onChange={(event) => onChange(event.target.valueAsNumber)}
            />
        </Field>
    );
}
