import { api, at } from '@/api/client';
import type { LearnerFacts, Level, ReferencePoint } from '@/api/types';
import { Position } from '@/site/Position';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useForm } from '@/ui/useForm';
import { useCars } from '@/vehicles/VehicleChoice';

/** The facts a teacher keeps; as little as needed. */
export function LearnerForm({ learner, onKept }: { learner?: LearnerFacts; onKept: (learner: LearnerFacts) => unknown }) {
    const form = useForm({
        name: learner?.name ?? '',
        phone: learner?.phone ?? '',
        email: learner?.email ?? '',
        pick_up: learner?.pick_up ?? '',
        pick_up_latitude_deg: learner?.pick_up_latitude_deg ?? null,
        pick_up_longitude_deg: learner?.pick_up_longitude_deg ?? null,
        licence_seen_on: learner?.licence_seen_on ?? '',
        eyesight_checked_on: learner?.eyesight_checked_on ?? '',
        transmission: learner?.transmission ?? 'manual',
        level: learner?.level ?? 'beginner',
        wants_texts: learner?.wants_texts ?? true,
        is_minor: learner?.is_minor ?? false,
        guardian_name: learner?.guardian_name ?? '',
        guardian_contact: learner?.guardian_contact ?? '',
        guardian_consent_on: learner?.guardian_consent_on ?? '',
        reference_points: learner?.reference_points ?? [],
    });
    const { values, errors, set } = form;
    const text = (field: 'name' | 'phone' | 'email' | 'pick_up' | 'guardian_name' | 'guardian_contact', type = 'text', required = false) => (
        <input type={type} required={required} maxLength={190} value={values[field]} onChange={(event) => set(field, event.target.value)} />
    );
    const date = (field: 'licence_seen_on' | 'eyesight_checked_on' | 'guardian_consent_on') => (
        <input type="date" value={values[field]} onChange={(event) => set(field, event.target.value)} />
    );
    const cars = useCars();
    const point = (i: number, part: Partial<ReferencePoint>) =>
        set(
            'reference_points',
            values.reference_points.map((candidate, n) => (n === i ? { ...candidate, ...part } : candidate)),
        );
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void form.submit(
                    async () =>
                        await onKept(
                            learner
                                ? await api.PUT('/learners/{learner}', { ...at({ learner: learner.id }), body: values })
                                : await api.POST('/learners', { body: values }),
                        ),
                );
            }}
        >
            <Field label="Name" errors={errors.name}>
                {text('name', 'text', true)}
            </Field>
            <div className="grid gap-4 sm:grid-cols-2">
                <Field label="Telephone" errors={errors.phone}>
                    {text('phone', 'tel')}
                </Field>
                <Field label="Email" errors={errors.email}>
                    {text('email', 'email')}
                </Field>
            </div>
            <Field label="Pick-up" errors={errors.pick_up}>
                {text('pick_up')}
            </Field>
            <details>
                <summary className="link min-h-12 cursor-pointer content-center font-semibold">
                    Where the pick-up lies{values.pick_up_latitude_deg === null && ': not known yet'}
                </summary>
                <Position
                    where={{ latitude_deg: values.pick_up_latitude_deg, longitude_deg: values.pick_up_longitude_deg }}
                    errors={{ latitude: errors.pick_up_latitude_deg ?? [], longitude: errors.pick_up_longitude_deg ?? [] }}
                    here="I am there now"
                    onChange={(where) => {
                        set('pick_up_latitude_deg', where.latitude_deg);
                        set('pick_up_longitude_deg', where.longitude_deg);
                    }}
                />
            </details>
            <div className="grid gap-4 sm:grid-cols-2">
                <Field label="Learns on" errors={errors.transmission}>
                    <select value={values.transmission} onChange={(event) => set('transmission', event.target.value as 'manual' | 'automatic')}>
                        <option value="manual">Manual</option>
                        <option value="automatic">Automatic</option>
                    </select>
                </Field>
                <Field label="Level" hint="Plans follow it: beginners stop first." errors={errors.level}>
                    <select value={values.level} onChange={(event) => set('level', event.target.value as Level)}>
                        <option value="beginner">Beginner</option>
                        <option value="developing">Developing</option>
                        <option value="independent">Independent</option>
                    </select>
                </Field>
                <Field label="Licence seen on" errors={errors.licence_seen_on}>
                    {date('licence_seen_on')}
                </Field>
                <Field label="Eyesight checked on" errors={errors.eyesight_checked_on}>
                    {date('eyesight_checked_on')}
                </Field>
            </div>
            <label className="flex min-h-12 items-center gap-3">
                <input type="checkbox" className="size-6" checked={!values.wants_texts} onChange={(event) => set('wants_texts', !event.target.checked)} />
                Wants no texts about lessons
            </label>
            <label className="flex min-h-12 items-center gap-3">
                <input type="checkbox" className="size-6" checked={values.is_minor} onChange={(event) => set('is_minor', event.target.checked)} />
                Under age: a guardian is needed
            </label>
            {values.is_minor && (
                <div className="grid gap-4 sm:grid-cols-2">
                    <Field label="Guardian" errors={errors.guardian_name}>
                        {text('guardian_name', 'text', true)}
                    </Field>
                    <Field label="Guardian’s contact" errors={errors.guardian_contact}>
                        {text('guardian_contact')}
                    </Field>
                    <Field label="Consent given on" errors={errors.guardian_consent_on}>
                        {date('guardian_consent_on')}
                    </Field>
                </div>
            )}
            <fieldset className="grid gap-2">
                <legend className="font-semibold">Reference points in the car</legend>
                {values.reference_points.map((reference, i) => (
                    <div key={i} className="grid gap-2 sm:grid-cols-[1fr_1fr_8rem_auto]">
                        <input
                            className="entry"
                            aria-label="What it says"
                            placeholder="What it says"
                            required
                            value={reference.what}
                            onChange={(event) => point(i, { what: event.target.value })}
                        />
                        <input
                            className="entry"
                            aria-label="Where it is seen"
                            placeholder="Where it is seen"
                            required
                            value={reference.where}
                            onChange={(event) => point(i, { where: event.target.value })}
                        />
                        <select
                            className="entry"
                            aria-label="In which car"
                            value={reference.vehicle_id ?? ''}
                            onChange={(event) => point(i, { vehicle_id: event.target.value || null })}
                        >
                            <option value="">Any car</option>
                            {cars.data?.map((car) => (
                                <option key={car.id} value={car.id}>
                                    {car.name}
                                </option>
                            ))}
                        </select>
                        <button
                            type="button"
                            className="key"
                            aria-label="Remove this point"
                            onClick={() =>
                                set(
                                    'reference_points',
                                    values.reference_points.filter((_, n) => n !== i),
                                )
                            }
                        >
                            ✕
                        </button>
                    </div>
                ))}
                <button
                    type="button"
                    className="key justify-self-start"
                    onClick={() => set('reference_points', [...values.reference_points, { what: '', where: '', vehicle_id: null }])}
                >
                    Add a point
                </button>
            </fieldset>
            <FormFoot message={form.message} busy={form.busy}>
                Keep
            </FormFoot>
        </form>
    );
}
