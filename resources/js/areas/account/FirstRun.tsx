import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '@/api/client';
import type { LearnerFacts, Pack, PackLine, Session } from '@/api/types';
import { SessionContext } from '@/session/session';
import { unitWords } from '@/rules/speed';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useForm } from '@/ui/useForm';
import { CarForm } from './CarForm';
import { Front } from './Front';

const ZONES = typeof Intl.supportedValuesOf === 'function' ? Intl.supportedValuesOf('timeZone') : ['Europe/London'];

/** The first visit to an empty installation: school and owner, then the first car, then the first learner. */
export function FirstRun({ packs }: { packs: PackLine[] }) {
    const client = useQueryClient();
    const [step, setStep] = useState<'school' | 'car' | 'learner'>('school');
    const [session, setSession] = useState<Session | null>(null);
    const school = useForm<{ school: string; time_zone: string; pack: Pack; name: string; email: string; password: string }>({
        school: '',
        time_zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'Europe/London',
        pack: packs[0]?.code ?? 'gb',
        name: '',
        email: '',
        password: '',
    });
    const learner = useForm<Pick<LearnerFacts, 'name' | 'transmission' | 'level'> & { pick_up: string }>({
        name: '',
        pick_up: '',
        transmission: 'manual',
        level: 'beginner',
    });
    const finish = () => client.setQueryData(['session'], session);

    if (step === 'school') {
        return (
            <Front title="Your school · 1 of 3">
                <form
                    className="grid gap-4"
                    onSubmit={(event) => {
                        event.preventDefault();
                        void school
                            .submit(async () => setSession(await api.POST('/first-run', { body: school.values })))
                            .then((done) => done && setStep('car'));
                    }}
                >
                    <Field label="Name of the school" errors={school.errors.school}>
                        <input required maxLength={120} autoFocus value={school.values.school} onChange={(event) => school.set('school', event.target.value)} />
                    </Field>
                    <Field label="Time zone" errors={school.errors.time_zone}>
                        <select value={school.values.time_zone} onChange={(event) => school.set('time_zone', event.target.value)}>
                            {[...new Set([school.values.time_zone, ...ZONES])].map((zone) => (
                                <option key={zone}>{zone}</option>
                            ))}
                        </select>
                    </Field>
                    <Field label="Rules of the road" errors={school.errors.pack} hint="It can be changed later, also for one instructor or learner.">
                        <select value={school.values.pack} onChange={(event) => school.set('pack', event.target.value as Pack)}>
                            {packs.map((pack) => (
                                <option key={pack.code} value={pack.code}>
                                    {pack.name}: keep {pack.keeps}, {unitWords(pack.speed_unit)}
                                </option>
                            ))}
                        </select>
                    </Field>
                    <Field label="Your name" errors={school.errors.name}>
                        <input
                            required
                            maxLength={120}
                            autoComplete="name"
                            value={school.values.name}
                            onChange={(event) => school.set('name', event.target.value)}
                        />
                    </Field>
                    <Field label="Your email" errors={school.errors.email} hint="You sign in with it; you are the owner.">
                        <input
                            type="email"
                            required
                            autoComplete="username"
                            value={school.values.email}
                            onChange={(event) => school.set('email', event.target.value)}
                        />
                    </Field>
                    <Field label="Password" errors={school.errors.password} hint="At least 10 characters.">
                        <input
                            type="password"
                            required
                            minLength={10}
                            autoComplete="new-password"
                            value={school.values.password}
                            onChange={(event) => school.set('password', event.target.value)}
                        />
                    </Field>
                    <FormFoot message={school.message} busy={school.busy}>
                        Set up the school
                    </FormFoot>
                </form>
            </Front>
        );
    }
    if (step === 'car' && session?.user) {
        return (
            <Front title="First car · 2 of 3">
                <SessionContext value={session}>
                    <CarForm onKept={() => setStep('learner')}>
                        <button type="button" className="key" data-tone="bare" onClick={finish}>
                            Later
                        </button>
                    </CarForm>
                </SessionContext>
            </Front>
        );
    }
    return (
        <Front title="First learner · 3 of 3">
            <form
                className="grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void learner.submit(() => api.POST('/learners', { body: learner.values })).then((done) => done && finish());
                }}
            >
                <Field label="Name" errors={learner.errors.name}>
                    <input required maxLength={120} autoFocus value={learner.values.name} onChange={(event) => learner.set('name', event.target.value)} />
                </Field>
                <Field label="Pick-up" errors={learner.errors.pick_up}>
                    <input maxLength={190} value={learner.values.pick_up} onChange={(event) => learner.set('pick_up', event.target.value)} />
                </Field>
                <Field label="Learns on" errors={learner.errors.transmission}>
                    <select
                        value={learner.values.transmission}
                        onChange={(event) => learner.set('transmission', event.target.value as LearnerFacts['transmission'])}
                    >
                        <option value="manual">Manual</option>
                        <option value="automatic">Automatic</option>
                    </select>
                </Field>
                <div className="flex flex-wrap gap-3">
                    <button type="submit" className="key" data-tone="main" disabled={learner.busy}>
                        Keep the learner
                    </button>
                    <button type="button" className="key" data-tone="bare" onClick={finish}>
                        Later
                    </button>
                </div>
            </form>
        </Front>
    );
}
