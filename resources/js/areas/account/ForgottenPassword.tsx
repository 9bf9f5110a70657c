import { useState } from 'react';
import { api } from '@/api/client';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useForm } from '@/ui/useForm';

/** Asks for a letter that lets whoever forgot the password choose a new one. Says the same whoever asks. */
export function ForgottenPassword({ email, onBack }: { email: string; onBack: () => void }) {
    const form = useForm({ email });
    const [said, setSaid] = useState<string | null>(null);
    const back = (
        <button type="button" className="key" data-tone="bare" onClick={onBack}>
            Back to signing in
        </button>
    );
    if (said) {
        return (
            <div className="grid gap-4" role="status">
                <p>{said}</p>
                <p className="text-quiet">
                    Its link works for an hour. An owner who is the only one, and has forgotten it too, asks whoever looks after the machine to run{' '}
                    <code>bin/letters</code>.
                </p>
                <div>{back}</div>
            </div>
        );
    }
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void form.submit(async () => setSaid((await api.POST('/forgotten-password', { body: form.values })).message));
            }}
        >
            <Field label="Email" errors={form.errors.email}>
                <input
                    type="email"
                    autoComplete="username"
                    required
                    autoFocus
                    value={form.values.email}
                    onChange={(event) => form.set('email', event.target.value)}
                />
            </Field>
            <FormFoot message={form.message} busy={form.busy} beside={back}>
                Ask for a new password
            </FormFoot>
        </form>
    );
}
