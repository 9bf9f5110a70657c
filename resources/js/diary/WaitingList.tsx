import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { WaitingLearner } from '@/api/types';
import { useClock } from '@/session/session';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { useForm } from '@/ui/useForm';
import { MinutesField } from './MinutesField';
import { DAYS, wishWords } from './wishWords';

/** Who would like an hour that comes free, and when they can: looked at, added to, and taken off. */
export function WaitingList() {
    const clock = useClock();
    const client = useQueryClient();
    const notice = useNotice();
    const waiting = useQuery(questions.waiting());
    const [changing, setChanging] = useState<WaitingLearner | 'new' | null>(null);
    const reread = () => client.invalidateQueries({ queryKey: ['waiting'] });
    const takeOff = async ({ learner }: WaitingLearner) => {
        await api.DELETE('/learners/{learner}/waiting', at({ learner: learner.id }));
        await reread();
        const back = () => api.POST('/learners/{learner}/waiting/restore', at({ learner: learner.id })).then(reread);
        notice({ text: `${learner.name} is off the list`, undo: () => void back() });
    };
    if (!waiting.data) return <p className="text-quiet">{waiting.error ? `▸ ${waiting.error.message}` : 'Looking …'}</p>;
    if (changing) {
        return (
            <Wished
                of={changing === 'new' ? null : changing}
                without={waiting.data.map(({ learner }) => learner.id)}
                onDone={() => void reread().then(() => setChanging(null))}
                onLeave={() => setChanging(null)}
            />
        );
    }
    return (
        <div className="grid gap-4">
            {waiting.data.length === 0 && <p>Nobody is waiting. Who would like an hour that comes free is put here, and is then offered it.</p>}
            <ul>
                {waiting.data.map((one) => (
                    <li key={one.learner.id} className="border-hair grid gap-2 border-b py-3">
                        <p>
                            <span className="font-semibold">{one.learner.name}</span>{' '}
                            <span className="text-quiet">
                                {one.minutes} min · since {clock.short(one.since)}
                            </span>
                            <span className="block">{one.wishes.length === 0 ? 'At any time' : one.wishes.map(wishWords).join('; ')}</span>
                            {one.note && <span className="block">{one.note}</span>}
                        </p>
                        <div className="flex gap-2">
                            <button type="button" className="key" onClick={() => setChanging(one)}>
                                Change
                            </button>
                            <button type="button" className="key" aria-label={`Take ${one.learner.name} off the list`} onClick={() => void takeOff(one)}>
                                Take off
                            </button>
                        </div>
                    </li>
                ))}
            </ul>
            <button type="button" className="key justify-self-start" data-tone="main" onClick={() => setChanging('new')}>
                Put somebody on it
            </button>
        </div>
    );
}

interface Props {
    of: WaitingLearner | null;
    /** Who is on the list already. */
    without: string[];
    onDone: () => void;
    onLeave: () => void;
}

/** When somebody can: some days of the week between two times, once or several times over. */
function Wished({ of, without, onDone, onLeave }: Props) {
    const learners = useQuery(questions.learners());
    const form = useForm({ learner: of?.learner.id ?? '', minutes: of?.minutes ?? 60, note: of?.note ?? '', wishes: of?.wishes ?? [] });
    const { values, errors, set } = form;
    const change = (nth: number, changes: Partial<WaitingLearner['wishes'][number]>) =>
        set(
            'wishes',
            values.wishes.map((wish, i) => (i === nth ? { ...wish, ...changes } : wish)),
        );
    const send = () =>
        form.submit(async () => {
            const { minutes, note, wishes } = values;
            await api.PUT('/learners/{learner}/waiting', { ...at({ learner: values.learner }), body: { minutes, note: note || null, wishes } });
            onDone();
        });
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void send();
            }}
        >
            {of ? (
                <p className="text-lg font-semibold">{of.learner.name}</p>
            ) : (
                <Field label="Learner">
                    <select required value={values.learner} onChange={(event) => set('learner', event.target.value)}>
                        <option value="">Choose …</option>
                        {learners.data
                            ?.filter(({ id }) => !without.includes(id))
                            .map((one) => (
                                <option key={one.id} value={one.id}>
                                    {one.name}
                                </option>
                            ))}
                    </select>
                </Field>
            )}
            <MinutesField value={values.minutes} onChange={(next) => set('minutes', next)} errors={errors.minutes} />
            {values.wishes.length === 0 && <p className="text-quiet">At any time, unless it is said when.</p>}
            {values.wishes.map((wish, i) => (
                <fieldset key={i} className="border-hair grid gap-2 rounded-xl border-2 p-3">
                    <legend className="px-1 font-semibold">{i === 0 ? 'Can come' : 'or'}</legend>
                    <div className="flex flex-wrap gap-2">
                        {DAYS.map((day, nth) => {
                            const isOn = wish.days.includes(nth + 1);
                            return (
                                <button
                                    key={day}
                                    type="button"
                                    className="key"
                                    aria-pressed={isOn}
                                    onClick={() => change(i, { days: (isOn ? wish.days.filter((one) => one !== nth + 1) : [...wish.days, nth + 1]).sort() })}
                                >
                                    {day}
                                </button>
                            );
                        })}
                    </div>
                    <div className="grid grid-cols-2 gap-3">
                        <Field label="From">
                            <input type="time" required value={wish.from} onChange={(event) => change(i, { from: event.target.value })} />
                        </Field>
                        <Field label="Until" errors={errors[`wishes.${i}.until`]}>
                            <input type="time" required value={wish.until} onChange={(event) => change(i, { until: event.target.value })} />
                        </Field>
                    </div>
                    {errors[`wishes.${i}.days`] && (
                        <p role="alert" className="font-semibold">
                            ▸ Choose a day at least.
                        </p>
                    )}
                    <button
                        type="button"
                        className="key justify-self-start"
                        onClick={() =>
                            set(
                                'wishes',
                                values.wishes.filter((_, nth) => nth !== i),
                            )
                        }
                    >
                        Not then
                    </button>
                </fieldset>
            ))}
            <button
                type="button"
                className="key justify-self-start"
                onClick={() => set('wishes', [...values.wishes, { days: [1, 2, 3, 4, 5], from: '09:00', until: '18:00' }])}
            >
                {values.wishes.length === 0 ? 'Say when' : 'Another time'}
            </button>
            <Field label="Note" errors={errors.note}>
                <input maxLength={300} value={values.note} onChange={(event) => set('note', event.target.value)} />
            </Field>
            <FormFoot
                message={form.message}
                busy={form.busy}
                beside={
                    <button type="button" className="key" onClick={onLeave}>
                        Back to the list
                    </button>
                }
            >
                {of ? 'Keep it so' : 'Put on the list'}
            </FormFoot>
        </form>
    );
}
