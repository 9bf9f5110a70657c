import { useQuery, useQueryClient } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '@/api/client';
import { useSession } from '@/session/session';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { FormFoot } from '@/ui/FormFoot';
import { useForm } from '@/ui/useForm';
import { momentOf, wallClock } from './wallClock';

/** Books a lesson at a time of the school's own clock. */
export function NewLesson({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
    return (
        <Sheet title="New lesson" open={open} onOpenChange={onOpenChange}>
            {open && <Form onDone={() => onOpenChange(false)} />}
        </Sheet>
    );
}

function Form({ onDone }: { onDone: () => void }) {
    const { school } = useSession();
    const navigate = useNavigate();
    const client = useQueryClient();
    const learners = useQuery(questions.learners());
    const vehicles = useQuery(questions.cars());
    const [soon] = useState(() => wallClock(new Date(Math.ceil(Date.now() / 1_800_000) * 1_800_000), school.time_zone));
    const form = useForm({
        learner_id: '',
        vehicle_id: '',
        at: soon,
        minutes: 60,
        aim: '',
    });
    const { values, errors, set } = form;
    const learner = learners.data?.find((candidate) => candidate.id === values.learner_id);
    const fitting = vehicles.data?.filter((vehicle) => !learner || vehicle.transmission === learner.transmission) ?? [];
    const book = () =>
        form.submit(async () => {
            const lesson = await api.POST('/lessons', {
                body: {
                    learner_id: values.learner_id,
                    vehicle_id: values.vehicle_id || ((fitting[0] ?? vehicles.data?.[0])?.id ?? ''),
                    starts_at: momentOf(values.at, school.time_zone).toISOString(),
                    minutes: values.minutes,
                    aim: values.aim,
                },
            });
            await client.invalidateQueries({ queryKey: ['today'] });
            onDone();
            void navigate(`/lessons/${lesson.id}/plan`);
        });
    if (learners.data?.length === 0) return <p>First add a learner, under Learners.</p>;
    if (vehicles.data?.length === 0) return <p>First add a car, under Account.</p>;
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void book();
            }}
        >
            <Field label="Learner" errors={errors.learner_id}>
                <select required value={values.learner_id} onChange={(event) => set('learner_id', event.target.value)}>
                    <option value="">Choose …</option>
                    {learners.data?.map((candidate) => (
                        <option key={candidate.id} value={candidate.id}>
                            {candidate.name}
                        </option>
                    ))}
                </select>
            </Field>
            <Field label="Begins" errors={errors.starts_at} hint={`Time in ${school.time_zone}`}>
                <input type="datetime-local" required value={values.at} onChange={(event) => set('at', event.target.value)} />
            </Field>
            <Field label="Minutes" errors={errors.minutes}>
                <input
                    type="number"
                    required
                    min={15}
                    max={480}
                    step={5}
                    value={values.minutes}
                    onChange={(event) => set('minutes', event.target.valueAsNumber)}
                />
            </Field>
            <Field label="Car" errors={errors.vehicle_id}>
                <select value={values.vehicle_id} onChange={(event) => set('vehicle_id', event.target.value)}>
                    <option value="">{fitting[0] ? `${fitting[0].name} (fits the learner)` : 'Choose …'}</option>
                    {vehicles.data?.map((vehicle) => (
                        <option key={vehicle.id} value={vehicle.id}>
                            {vehicle.name}, {vehicle.transmission}
                        </option>
                    ))}
                </select>
            </Field>
            <Field label="Aim" errors={errors.aim} hint="One or two things, no more.">
                <input maxLength={300} value={values.aim} onChange={(event) => set('aim', event.target.value)} />
            </Field>
            <FormFoot message={form.message} busy={form.busy}>
                Book
            </FormFoot>
        </form>
    );
}
