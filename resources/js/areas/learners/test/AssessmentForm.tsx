import { useQuery } from '@tanstack/react-query';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { Assessment } from '@/api/types';
import { momentOf, wallClock } from '@/diary/wallClock';
import { useSession } from '@/session/session';
import { StepOptions } from '@/strip/StepOptions';
import { STEP_WORDS } from '@/strip/words';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { Options } from '@/ui/Options';
import { useForm } from '@/ui/useForm';
import { useState } from 'react';

type Fault = Omit<Assessment['faults'][number], 'severity'>;
type Effect = NonNullable<Fault['effect']>;

const EFFECTS: Record<Effect, string> = {
    nobody: 'nobody there',
    potential: 'could have troubled somebody',
    affected: 'somebody had to change something',
    intervened: 'the instructor or examiner had to act',
};

interface Props {
    learner: string;
    /** What is changed; null for a new one. */
    one: Assessment | null;
    onKept: () => Promise<void>;
    onTakeAway: (one: Assessment) => Promise<void>;
}

/** A test or mock test as it is told at the kerb: when, how it went, and each fault by its step and what others had to do. */
export function AssessmentForm({ learner, one, onKept, onTakeAway }: Props) {
    const { school } = useSession();
    const centres = useQuery(questions.centres());
    const [faults, setFaults] = useState<Fault[]>(one?.faults ?? []);
    const form = useForm({
        kind: one?.kind ?? 'mock-test',
        taken_at: one ? wallClock(new Date(one.taken_at), school.time_zone) : '',
        result: one?.result ?? 'pass',
        note: one?.note ?? '',
        centre_id: one?.centre_id ?? '',
        step: 'look',
        effect: 'nobody',
    });
    const { values, errors, set } = form;
    const send = () =>
        form.submit(async () => {
            const body = {
                kind: values.kind,
                taken_at: momentOf(values.taken_at, school.time_zone).toISOString(),
                result: values.result,
                note: values.note || null,
                faults: faults.map(({ step, routine, fault, effect, at, where }) => ({ step, routine, fault, effect, at, where })),
                ...(one ? { scheme: one.scheme } : {}),
                ...(values.kind === 'test' || one ? { centre_id: values.centre_id || null } : {}),
            };
            await (one
                ? api.PUT('/assessments/{assessment}', { ...at({ assessment: one.id }), body })
                : api.POST('/learners/{learner}/assessments', { ...at({ learner }), body }));
            await onKept();
        });
    const add = () =>
        setFaults([...faults, { step: values.step as Fault['step'], routine: null, fault: null, effect: values.effect as Effect, at: null, where: null }]);
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void send();
            }}
        >
            <Field label="What it was" errors={errors.kind}>
                <select value={values.kind} onChange={(event) => set('kind', event.target.value as Assessment['kind'])}>
                    <option value="mock-test">A mock test</option>
                    <option value="test">A test</option>
                </select>
            </Field>
            <Field label="When" hint={`Time in ${school.time_zone}`} errors={errors.taken_at}>
                <input type="datetime-local" required value={values.taken_at} onChange={(event) => set('taken_at', event.target.value)} />
            </Field>
            {values.kind === 'test' && (
                <Field label="The examiner’s word" errors={errors.result}>
                    <select value={values.result} onChange={(event) => set('result', event.target.value as Assessment['result'])}>
                        <option value="pass">Passed</option>
                        <option value="fail">Failed</option>
                    </select>
                </Field>
            )}
            {values.kind === 'test' && (
                <Field label="Where" errors={errors.centre_id}>
                    <select value={values.centre_id} onChange={(event) => set('centre_id', event.target.value)}>
                        <option value="">Not said</option>
                        {centres.data?.map(({ id, name }) => (
                            <option key={id} value={id}>
                                {name}
                            </option>
                        ))}
                    </select>
                </Field>
            )}
            <fieldset className="grid gap-3">
                <legend className="font-semibold">Faults</legend>
                <ul>
                    {faults.map((fault, i) => (
                        <li key={i} className="border-hair flex items-center gap-3 border-b py-1">
                            <span className="min-w-0 flex-1">
                                {STEP_WORDS[fault.step]}
                                {fault.effect && `, ${EFFECTS[fault.effect]}`}
                            </span>
                            <button
                                type="button"
                                className="key min-h-12"
                                aria-label={`Without fault ${i + 1}: ${STEP_WORDS[fault.step]}`}
                                onClick={() => setFaults(faults.filter((_, other) => other !== i))}
                            >
                                Without
                            </button>
                        </li>
                    ))}
                </ul>
                <div className="flex flex-wrap items-end gap-3">
                    <Field label="Step">
                        <select value={values.step} onChange={(event) => set('step', event.target.value)}>
                            <StepOptions />
                        </select>
                    </Field>
                    <Field label="Who was troubled">
                        <select value={values.effect} onChange={(event) => set('effect', event.target.value)}>
                            <Options of={EFFECTS} />
                        </select>
                    </Field>
                    <button type="button" className="key" onClick={add}>
                        Add the fault
                    </button>
                </div>
            </fieldset>
            <Field label="Note" errors={errors.note}>
                <input maxLength={500} value={values.note} onChange={(event) => set('note', event.target.value)} />
            </Field>
            <FormFoot
                message={form.message}
                busy={form.busy}
                beside={
                    one && (
                        <button type="button" className="key" onClick={() => void onTakeAway(one)}>
                            Take it away
                        </button>
                    )
                }
            >
                {one ? 'Keep it so' : 'Note it'}
            </FormFoot>
        </form>
    );
}
