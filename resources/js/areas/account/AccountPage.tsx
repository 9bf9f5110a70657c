import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '@/api/client';
import { useMarksQueue } from '@/queue/marks';
import { useSession } from '@/session/session';
import { signOut } from '@/device/signOut';
import { setTheme, theme, type Theme } from '@/ui/theme';
import { Field } from '@/ui/Field';
import { useNotice } from '@/ui/Notice';
import { useForm } from '@/ui/useForm';
import { Cars } from './Cars';
import { Devices } from './Devices';
import { OwnCalendar } from './OwnCalendar';
import { ThisDevice } from './ThisDevice';
import { WorkingHours } from './WorkingHours';

const THEMES: [Theme, string][] = [
    ['system', 'Match the device'],
    ['day', 'Day'],
    ['night', 'Night'],
];

export function AccountPage() {
    const { user, school, rules } = useSession();
    const client = useQueryClient();
    const notice = useNotice();
    const { waiting } = useMarksQueue();
    const [chosen, choose] = useState(theme());
    const form = useForm({ current_password: '', password: '' });
    const leave = async (everywhere: boolean) => {
        await signOut(everywhere);
        client.clear();
        await client.invalidateQueries();
        window.location.assign('/');
    };
    return (
        <div className="grid max-w-2xl gap-8">
            <header>
                <h1 className="text-3xl">{user.name}</h1>
                <p className="text-quiet">
                    {user.role === 'owner' ? 'Owner' : 'Instructor'} at {school.name} · {user.email}
                </p>
            </header>
            <section className="grid gap-3" aria-labelledby="theme">
                <h2 id="theme" className="text-xl">
                    Light
                </h2>
                <div className="flex flex-wrap gap-2">
                    {THEMES.map(([value, label]) => (
                        <button
                            key={value}
                            type="button"
                            className="key"
                            aria-pressed={chosen === value}
                            onClick={() => {
                                setTheme(value);
                                choose(value);
                            }}
                        >
                            {label}
                        </button>
                    ))}
                </div>
            </section>
            <section className="grid gap-3" aria-labelledby="rules">
                <h2 id="rules" className="text-xl">
                    Rules and practice
                </h2>
                <p>
                    {rules.pack_name}, traffic keeps {rules.keeps}.
                </p>
                <Link className="key justify-self-start" to="/account/rules">
                    Rules and practice
                </Link>
            </section>
            {user.role === 'owner' && (
                <section className="grid gap-3" aria-labelledby="people">
                    <h2 id="people" className="text-xl">
                        People and privacy
                    </h2>
                    <p>Who works here, the letters that let them in, who changed what, and how long learners are kept.</p>
                    <Link className="key justify-self-start" to="/school/people">
                        People and privacy
                    </Link>
                </section>
            )}
            <WorkingHours />
            <OwnCalendar />
            <Cars />
            <section className="grid gap-3" aria-labelledby="password">
                <h2 id="password" className="text-xl">
                    Password
                </h2>
                <form
                    className="grid max-w-md gap-4"
                    onSubmit={(event) => {
                        event.preventDefault();
                        void form
                            .submit(() => api.PUT('/password', { body: form.values }))
                            .then((done) => {
                                if (!done) return;
                                form.setValues({ current_password: '', password: '' });
                                notice({ text: 'The password is changed; other devices are signed out.' });
                            });
                    }}
                >
                    <input type="text" autoComplete="username" value={user.email} readOnly hidden />
                    <Field label="Current password" errors={form.errors.current_password}>
                        <input
                            type="password"
                            required
                            autoComplete="current-password"
                            value={form.values.current_password}
                            onChange={(event) => form.set('current_password', event.target.value)}
                        />
                    </Field>
                    <Field label="New password" errors={form.errors.password} hint="At least 10 characters.">
                        <input
                            type="password"
                            required
                            minLength={10}
                            autoComplete="new-password"
                            value={form.values.password}
                            onChange={(event) => form.set('password', event.target.value)}
                        />
                    </Field>
                    <button type="submit" className="key justify-self-start" disabled={form.busy}>
                        Change the password
                    </button>
                </form>
            </section>
            <ThisDevice />
            <Devices />
            <section className="grid gap-3" aria-labelledby="leave">
                <h2 id="leave" className="text-xl">
                    Sign out
                </h2>
                {waiting.length > 0 && (
                    <p className="font-semibold">▸ {waiting.length} marks are not sent yet. They stay on this device and go when you sign in here again.</p>
                )}
                <div className="flex flex-wrap gap-3">
                    <button type="button" className="key" onClick={() => void leave(false)}>
                        Sign out
                    </button>
                    <button type="button" className="key" onClick={() => void leave(true)}>
                        Sign out everywhere
                    </button>
                </div>
            </section>
        </div>
    );
}
