import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '@/api/client';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useForm } from '@/ui/useForm';
import { Front } from './Front';

/** What a letter's link says. It stands behind the #, so that no server and no log on the way reads it. */
export function wayInOf(location: Pick<Location, 'pathname' | 'hash'>): { email: string; token: string } | null {
    if (location.pathname !== '/way-in') return null;
    const said = new URLSearchParams(location.hash.slice(1));
    return { email: said.get('email') ?? '', token: said.get('token') ?? '' };
}

/** The page a letter leads to: a password is chosen, and whoever chose it is in. */
export function WayIn({ email, token }: { email: string; token: string }) {
    const client = useQueryClient();
    const form = useForm({ password: '' });
    const [shown, setShown] = useState(false);
    const choose = () =>
        form.submit(async () => {
            const session = await api.POST('/way-in', { body: { email, token, ...form.values } });
            // The link is spent: going back must not lead here again.
            window.history.replaceState(null, '', '/');
            // Whatever was read here before was somebody else's.
            client.removeQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
            client.setQueryData(['session'], session);
        });
    const spent = form.errors.token ?? form.errors.email;
    return (
        <Front title="Choose your password">
            <form
                className="grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void choose();
                }}
            >
                <Field label="Email" hint="You sign in with it.">
                    <input type="email" autoComplete="username" readOnly value={email} />
                </Field>
                <Field label="Password" errors={form.errors.password} hint="At least 10 characters; a few words together are easiest to remember.">
                    <input
                        type={shown ? 'text' : 'password'}
                        autoComplete="new-password"
                        required
                        minLength={10}
                        autoFocus
                        value={form.values.password}
                        onChange={(event) => form.set('password', event.target.value)}
                    />
                </Field>
                <label className="flex min-h-12 items-center gap-3">
                    <input type="checkbox" className="size-6" checked={shown} onChange={(event) => setShown(event.target.checked)} />
                    Show it
                </label>
                <FormFoot
                    message={spent?.join(' ') ?? form.message}
                    busy={form.busy}
                    beside={
                        <a className="key" data-tone="bare" href="/">
                            Sign in instead
                        </a>
                    }
                >
                    Choose it and come in
                </FormFoot>
            </form>
        </Front>
    );
}
