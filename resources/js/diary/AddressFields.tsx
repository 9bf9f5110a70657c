import { useState } from 'react';
import { Field } from '@/ui/Field';

/** Where a lesson begins and ends, where that is not as usual; empty is as usual. */
export interface Addresses {
    pick_up: string;
    drop_off: string;
}

interface Props {
    value: Addresses;
    onChange: (changes: Partial<Addresses>) => void;
    /** Where the learner is usually met. */
    usual: string | null | undefined;
    errors: Record<string, string[]>;
    /** Where nothing else is asked. */
    isOpen?: boolean;
}

export function AddressFields({ value, onChange, usual, errors, isOpen = false }: Props) {
    // As it was when the page came: it does not close under a hand that takes the last letter back.
    const [open] = useState(isOpen || value.pick_up !== '' || value.drop_off !== '');
    return (
        <details open={open}>
            <summary className="min-h-12 content-center font-semibold">Met or left somewhere else</summary>
            <div className="grid gap-4 pt-2">
                <Field
                    label="Pick-up"
                    errors={errors.pick_up}
                    hint={`${usual ? `As usual: ${usual}. ` : ''}Another address is not on the map, so the drive there is not reckoned.`}
                >
                    <input maxLength={200} value={value.pick_up} onChange={(event) => onChange({ pick_up: event.target.value })} />
                </Field>
                <Field label="Drop-off" errors={errors.drop_off} hint="Where it began, unless it is said.">
                    <input maxLength={200} value={value.drop_off} onChange={(event) => onChange({ drop_off: event.target.value })} />
                </Field>
            </div>
        </details>
    );
}
