import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '@/api/client';
import { useSession } from '@/session/session';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { FormFoot } from '@/ui/FormFoot';
import { useForm } from '@/ui/useForm';
import { AddressFields } from './AddressFields';
import { RepeatFields, type Repetition } from './RepeatFields';
import { TimeFields } from './TimeFields';
import { useReread, useSeries } from './useBooked';
import { isTime } from './week';
import { momentOf, wallClock } from './wallClock';

interface Props {
    open: boolean;
    onOpenChange: (open: boolean) => void;
    /** By the school's clock, `2026-05-20T10:30`; the next half hour where nothing is said. */
    at?: string | undefined;
    /** Who gives it, where the owner books for a colleague. */
    instructor?: { id: string; name: string } | undefined;
}

/** Books a lesson at a time of the school's own clock; whether it fits is said before. */
export function NewLesson({ open, onOpenChange, at, instructor }: Props) {
    return (
        <Sheet title={instructor ? `New lesson of ${instructor.name}` : 'New lesson'} open={open} onOpenChange={onOpenChange}>
            {open && <Form at={at} instructor={instructor} onDone={() => onOpenChange(false)} />}
        </Sheet>
    );
}

function Form({ at, instructor, onDone }: Pick<Props, 'at' | 'instructor'> & { onDone: () => void }) {
    const { school } = useSession();
    const navigate = useNavigate();
    const reread = useReread();
    const again = useSeries();
    const [repetition, setRepetition] = useState<Repetition | null>(null);
    const learners = useQuery(questions.learners());
    const vehicles = useQuery(questions.cars());
    const [soon] = useState(() => at ?? wallClock(new Date(Math.ceil(Date.now() / 1_800_000) * 1_800_000), school.time_zone));
    const form = useForm({
        learner_id: '',
        vehicle_id: '',
        at: soon,
        minutes: 60,
        aim: '',
        wished: false,
        pick_up: '',
        drop_off: '',
    });
    const { values, errors, set } = form;
    const learner = learners.data?.find((candidate) => candidate.id === values.learner_id);
    const fitting = vehicles.data?.filter((vehicle) => !learner || vehicle.transmission === learner.transmission) ?? [];
    const car = values.vehicle_id || ((fitting[0] ?? vehicles.data?.[0])?.id ?? '');
    const gives = instructor ? { instructor_id: instructor.id } : {};
    const asked = values.learner_id && car ? { learner_id: values.learner_id, vehicle_id: car, ...gives } : null;
    const book = () =>
        form.submit(async () => {
            const lesson = await api.POST('/lessons', {
                body: {
                    learner_id: values.learner_id,
                    vehicle_id: car,
                    starts_at: momentOf(values.at, school.time_zone).toISOString(),
                    minutes: values.minutes,
                    aim: values.aim,
                    pick_up: values.pick_up || null,
                    drop_off: values.drop_off || null,
                    state: values.wished ? 'wished' : 'booked',
                    ...gives,
                },
            });
            await reread();
            if (repetition && !values.wished) await again(lesson.id, repetition);
            onDone();
            // Who books for a colleague goes on in their week.
            if (!instructor) void navigate(`/lessons/${lesson.id}/plan`);
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
            <TimeFields value={values} onChange={(time) => form.setValues((before) => ({ ...before, ...time }))} asked={asked} errors={errors} />
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
            <AddressFields
                value={values}
                onChange={(changes) => form.setValues((before) => ({ ...before, ...changes }))}
                usual={learner?.pick_up}
                errors={errors}
            />
            <Check label="Only wished for: it takes nobody’s time yet" checked={values.wished} onChange={(wished) => set('wished', wished)} />
            {!values.wished && (
                <>
                    <Check
                        label="The same again in the weeks after"
                        checked={repetition !== null}
                        onChange={(on) => setRepetition(on ? { weeks: 1, times: 9, without: [] } : null)}
                    />
                    {repetition && asked && isTime(values) && (
                        <RepeatFields
                            asked={{ ...asked, minutes: values.minutes, starts_at: momentOf(values.at, school.time_zone).toISOString() }}
                            value={repetition}
                            onChange={setRepetition}
                        />
                    )}
                    {repetition && !asked && <p className="text-quiet">Choose the learner first.</p>}
                </>
            )}
            <FormFoot message={form.message} busy={form.busy}>
                {values.wished ? 'Note the wish' : 'Book'}
            </FormFoot>
        </form>
    );
}
