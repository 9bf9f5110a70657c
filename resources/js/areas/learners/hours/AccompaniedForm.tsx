import { api, at } from '@/api/client';
import type { Conditions, LearnerHours } from '@/api/types';
import { momentOf, wallClock } from '@/diary/wallClock';
import { useSession } from '@/session/session';
import { CONDITIONS, KINDS } from '@/skill/words';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useForm } from '@/ui/useForm';
import { IN_ORDER } from './parts';

type Drive = LearnerHours['drives'][number];

interface Props {
    learner: { id: string; name: string };
    /** What is changed; null for a new one. */
    drive: Drive | null;
    onKept: () => Promise<void>;
    onTakeAway: (drive: Drive) => Promise<void>;
}

const UNSAID: Record<keyof Conditions, string> = {
    light: 'As the sun stood',
    surface: 'Not said',
    road: 'Not said',
    traffic: 'Not said',
};

/** What a learner tells of a drive with somebody who has a licence: when, how long, in what. */
export function AccompaniedForm({ learner, drive, onKept, onTakeAway }: Props) {
    const { school } = useSession();
    const form = useForm({
        starts_at: drive ? wallClock(new Date(drive.starts_at), school.time_zone) : '',
        minutes: drive ? String(drive.minutes) : '',
        note: drive?.note ?? '',
        ...(Object.fromEntries(KINDS.map((kind) => [kind, drive?.conditions?.[kind] ?? ''])) as Record<keyof Conditions, string>),
    });
    const { values, errors, set } = form;
    const send = () =>
        form.submit(async () => {
            const said = KINDS.filter((kind) => values[kind] !== '').map((kind) => [kind, values[kind]]);
            const body = {
                starts_at: momentOf(values.starts_at, school.time_zone).toISOString(),
                minutes: Number(values.minutes),
                note: values.note || null,
                conditions: Object.fromEntries(said) as Conditions,
            };
            await (drive
                ? api.PUT('/accompanied/{accompaniedDrive}', { ...at({ accompaniedDrive: drive.id }), body })
                : api.POST('/learners/{learner}/accompanied', { ...at({ learner: learner.id }), body }));
            await onKept();
        });
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void send();
            }}
        >
            <Field label="Set off" hint={`Time in ${school.time_zone}`} errors={errors.starts_at}>
                <input type="datetime-local" required value={values.starts_at} onChange={(event) => set('starts_at', event.target.value)} />
            </Field>
            <Field label="Minutes at the wheel" errors={errors.minutes}>
                <input
                    type="number"
                    inputMode="numeric"
                    required
                    min={1}
                    max={720}
                    value={values.minutes}
                    onChange={(event) => set('minutes', event.target.value)}
                />
            </Field>
            <div className="grid gap-4 sm:grid-cols-2">
                {IN_ORDER.map((kind) => (
                    <Field key={kind} label={CONDITIONS[kind].title} errors={errors[`conditions.${kind}`]}>
                        <select value={values[kind]} onChange={(event) => set(kind, event.target.value)}>
                            <option value="">{UNSAID[kind]}</option>
                            {Object.entries(CONDITIONS[kind].names).map(([value, words]) => (
                                <option key={value} value={value}>
                                    {words}
                                </option>
                            ))}
                        </select>
                    </Field>
                ))}
            </div>
            <Field label="With whom, where to" errors={errors.note}>
                <input maxLength={300} value={values.note} onChange={(event) => set('note', event.target.value)} />
            </Field>
            <FormFoot
                message={form.message}
                busy={form.busy}
                beside={
                    drive && (
                        <button type="button" className="key" onClick={() => void onTakeAway(drive)}>
                            Take it away
                        </button>
                    )
                }
            >
                {drive ? 'Keep it so' : 'Add the drive'}
            </FormFoot>
        </form>
    );
}
