import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '@/api/client';
import { countWaiting } from '@/device/delivery';
import { useState } from 'react';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { settled } from '@/device/signOut';
import { useForm } from '@/ui/useForm';
import { ForgottenPassword } from './ForgottenPassword';
import { Front } from './Front';

export function SignIn() {
    const client = useQueryClient();
    const form = useForm({ email: '', password: '' });
    const waiting = useQuery({ queryKey: ['waiting'], queryFn: countWaiting, staleTime: 0 });
    const signIn = () =>
        form.submit(async () => {
            const session = await api.POST('/session', { body: form.values });
            settled();
            client.setQueryData(['session'], session);
        });
    const [forgotten, setForgotten] = useState(false);
    if (forgotten) {
        return (
            <Front title="Forgotten password">
                <ForgottenPassword email={form.values.email} onBack={() => setForgotten(false)} />
            </Front>
        );
    }
    return (
        <Front title="Sign in">
            {(waiting.data ?? 0) > 0 && (
                <p role="status" className="border-ink mb-4 rounded-lg border-2 px-4 py-2">
                    Marks wait on this device to be sent. They go when whoever made them signs in here.
                </p>
            )}
            <form
                className="grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void signIn();
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
                <Field label="Password" errors={form.errors.password}>
                    <input
                        type="password"
                        autoComplete="current-password"
                        required
                        value={form.values.password}
                        onChange={(event) => form.set('password', event.target.value)}
                    />
                </Field>
                <FormFoot
                    message={form.message}
                    busy={form.busy}
                    beside={
                        <button type="button" className="key" data-tone="bare" onClick={() => setForgotten(true)}>
                            Forgotten the password?
                        </button>
                    }
                >
                    Sign in
                </FormFoot>
            </form>
        </Front>
    );
}
