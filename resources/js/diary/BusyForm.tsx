import { useQuery } from '@tanstack/react-query';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { BusyTime } from '@/api/types';
import { useClock, useSession } from '@/session/session';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { useForm } from '@/ui/useForm';
import { busyWords } from './entries';
import { useReread } from './useBooked';
import { moved } from './week';
import { momentOf, wallClock } from './wallClock';

type Kind = BusyTime['kind'];

const KINDS: readonly [Kind, string][] = [
    ['busy', 'Busy with something else'],
    ['test', 'A learner has their test'],
    ['away', 'A car is away'],
];

interface Props {
    /** What is changed; nothing where it is a new one. */
    of?: BusyTime | undefined;
    /** When it is to begin, where that is not as it is: a time of the school's clock, `2026-05-20T10:30`. */
    at?: string | undefined;
    /** Whose diary it is in. */
    person: { id: string; name: string };
    onDone: () => void;
}

/** Time that no lesson takes: it keeps who and what it names out of every lesson meanwhile. */
export function BusyForm({ of: is, at: begins, person, onDone }: Props) {
    const { school, user } = useSession();
    const learners = useQuery(questions.learners());
    const vehicles = useQuery(questions.cars());
    const centres = useQuery(questions.centres());
    const notice = useNotice();
    const reread = useReread();
    const clock = useClock();
    const theirs = person.id !== user.id;
    const wall = (moment: string) => wallClock(new Date(moment), school.time_zone);
    const as = (one: BusyTime) => ({
        kind: one.kind,
        from: wall(one.starts_at),
        until: wall(one.ends_at),
        title: one.title ?? '',
        learner_id: one.learner?.id ?? '',
        vehicle_id: one.vehicle?.id ?? '',
        centre_id: one.centre?.id ?? '',
    });
    const nothing = { kind: 'busy' as Kind, from: '', until: '', title: '', learner_id: '', vehicle_id: '', centre_id: '' };
    const form = useForm({ ...(is ? as(is) : nothing), ...(begins ? { from: begins, until: is ? later(begins, as(is)) : moved(begins, 60) } : {}) });
    const { values, errors, set } = form;
    const { kind } = values;
    const body = (of: typeof values) => ({
        kind: of.kind,
        starts_at: momentOf(of.from, school.time_zone).toISOString(),
        ends_at: momentOf(of.until, school.time_zone).toISOString(),
        // What a colleague wrote for themselves is not read here, and so not written over.
        ...(theirs && is?.kind === 'busy' && !of.title ? {} : { title: of.title || null }),
        ...(of.kind === 'away' ? {} : { instructor_id: person.id }),
        ...(of.kind === 'busy' ? {} : { vehicle_id: of.vehicle_id }),
        ...(of.kind === 'test' ? { learner_id: of.learner_id, centre_id: of.centre_id || null } : {}),
    });
    const change = async (one: BusyTime, to: typeof values) => {
        await api.PUT('/busy-times/{busyTime}', { ...at({ busyTime: one.id }), body: body(to) });
        await reread();
    };
    const send = () =>
        form.submit(async () => {
            if (is) {
                await change(is, values);
                const starts = momentOf(values.from, school.time_zone);
                notice({ text: `${busyWords(is)}: ${clock.day(starts)}, ${clock.time(starts)}`, undo: () => void change(is, as(is)) });
            } else {
                await api.POST('/busy-times', { body: body(values) });
                await reread();
            }
            onDone();
        });
    const takeAway = async (one: BusyTime) => {
        await api.DELETE('/busy-times/{busyTime}', at({ busyTime: one.id }));
        await reread();
        onDone();
        const putBack = async () => {
            await api.POST('/busy-times/{busyTime}/restore', at({ busyTime: one.id }));
            await reread();
        };
        notice({ text: `${busyWords(one)}: the time is free again`, undo: () => void putBack() });
    };
    // A later beginning takes the end along: it stays as long as it is.
    const begin = (from: string) => form.setValues((before) => ({ ...before, from, ...(from ? { until: later(from, before) } : {}) }));
    const select = (
        label: string,
        name: 'learner_id' | 'vehicle_id' | 'centre_id',
        none: string,
        from: readonly { id: string; name: string }[] | undefined,
    ) => (
        <Field label={label} errors={errors[name]}>
            <select required={name !== 'centre_id'} value={values[name]} onChange={(event) => set(name, event.target.value)}>
                <option value="">{none}</option>
                {from?.map((one) => (
                    <option key={one.id} value={one.id}>
                        {one.name}
                    </option>
                ))}
            </select>
        </Field>
    );
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void send();
            }}
        >
            {!is && (
                <fieldset className="grid gap-1">
                    <legend className="font-semibold">What is it?</legend>
                    {KINDS.map(([value, label]) => (
                        <label key={value} className="flex min-h-12 items-center gap-3">
                            <input type="radio" name="kind" className="size-6" checked={kind === value} onChange={() => set('kind', value)} />
                            {label}
                        </label>
                    ))}
                </fieldset>
            )}
            {kind === 'test' && select('Learner', 'learner_id', 'Choose …', learners.data)}
            {kind !== 'busy' && select('Car', 'vehicle_id', 'Choose …', vehicles.data)}
            {kind === 'test' && select('Where', 'centre_id', 'Not said', centres.data)}
            <Field label="From" hint={`Time in ${school.time_zone}`} errors={errors.starts_at}>
                <input type="datetime-local" required value={values.from} onChange={(event) => begin(event.target.value)} />
            </Field>
            <Field label="Until" errors={errors.ends_at}>
                <input type="datetime-local" required min={values.from} value={values.until} onChange={(event) => set('until', event.target.value)} />
            </Field>
            <Field
                label="A word for it"
                errors={errors.title}
                hint={kind === 'busy' && !theirs ? 'Only you read it; others see that the time is taken.' : undefined}
            >
                <input maxLength={120} value={values.title} onChange={(event) => set('title', event.target.value)} />
            </Field>
            <FormFoot
                message={form.message}
                busy={form.busy}
                beside={
                    is && (
                        <button type="button" className="key" onClick={() => void takeAway(is)}>
                            Give the time back
                        </button>
                    )
                }
            >
                {is ? 'Keep it so' : 'Hold this time'}
            </FormFoot>
        </form>
    );
}

/** What ends as long after another beginning as it did after its own; as it was where it did not. */
function later(from: string, was: { from: string; until: string }): string {
    const length = Date.parse(was.until) - Date.parse(was.from);
    return length > 0 ? new Date(Date.parse(`${from}:00Z`) + length).toISOString().slice(0, 16) : was.until;
}
