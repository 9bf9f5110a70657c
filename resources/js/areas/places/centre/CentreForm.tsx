import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { Centre } from '@/api/types';
import { siteName } from '@/site/map';
import { Position } from '@/site/Position';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { useForm } from '@/ui/useForm';

const BLANK: Omit<Centre, 'id'> = {
    name: '',
    latitude_deg: null,
    longitude_deg: null,
    arrival: null,
    bays: null,
    ways_in_and_out: null,
    checks: [],
    traps: [],
    note: null,
};

const TEXTS = [
    ['arrival', 'Arrival', 'When and where to be there.'],
    ['bays', 'Bays', 'Which are used, and how.'],
    ['ways_in_and_out', 'Ways in and out', ''],
    ['note', 'Note', ''],
] as const;

/** The file of a test centre, to be written. */
export function CentreForm({ centre, onKept }: { centre?: Centre; onKept: (centre: Centre) => void }) {
    const client = useQueryClient();
    const notice = useNotice();
    const sites = useQuery(questions.sites()).data;
    const { values, setValues, set, errors, message, busy, submit } = useForm<Omit<Centre, 'id'>>(centre ?? BLANK);
    const keep = () =>
        submit(async () => {
            const body = { ...values, checks: values.checks.map((check) => check.trim()).filter(Boolean) };
            const kept = centre ? await api.PUT('/centres/{centre}', { ...at({ centre: centre.id }), body }) : await api.POST('/centres', { body });
            await client.invalidateQueries({ queryKey: ['centres'] });
            notice({ text: `${kept.name} is kept.` });
            onKept(kept);
        });
    const wrong = Object.entries(errors).find(([field]) => /^(checks|traps)\./.test(field));
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void keep();
            }}
        >
            <Field label="Name" errors={errors.name}>
                <input required maxLength={120} value={values.name} onChange={(event) => set('name', event.target.value)} />
            </Field>
            {TEXTS.map(([field, label, hint]) => (
                <Field key={field} label={label} hint={hint || undefined} errors={errors[field]}>
                    <textarea rows={2} maxLength={1000} value={values[field] ?? ''} onChange={(event) => set(field, event.target.value || null)} />
                </Field>
            ))}
            <Field label="Asked at the car" hint="One on a line." errors={errors.checks}>
                <textarea rows={4} value={values.checks.join('\n')} onChange={(event) => set('checks', event.target.value.split('\n'))} />
            </Field>
            <fieldset className="grid gap-2">
                <legend className="font-semibold">Traps</legend>
                {values.traps.map((trap, i) => {
                    const name = siteName(sites, trap.site);
                    return (
                        <div key={trap.site} className="border-hair flex flex-wrap items-end gap-2 border-b pb-2">
                            <label className="grid min-w-[min(16rem,100%)] flex-1 gap-1">
                                {name}
                                <input
                                    className="entry"
                                    maxLength={300}
                                    placeholder="What fails there"
                                    value={trap.note ?? ''}
                                    onChange={(event) =>
                                        set(
                                            'traps',
                                            values.traps.map((one, at) => (at === i ? { ...one, note: event.target.value || null } : one)),
                                        )
                                    }
                                />
                            </label>
                            <button
                                type="button"
                                className="key min-w-12"
                                data-tone="bare"
                                aria-label={`No trap: ${name}`}
                                onClick={() =>
                                    set(
                                        'traps',
                                        values.traps.filter((_, at) => at !== i),
                                    )
                                }
                            >
                                ✕
                            </button>
                        </div>
                    );
                })}
                <select
                    className="entry"
                    aria-label="Add a trap"
                    value=""
                    onChange={(event) => set('traps', [...values.traps, { site: event.target.value, note: null }])}
                >
                    <option value="" disabled>
                        Add a site …
                    </option>
                    {(sites ?? [])
                        .filter(({ id }) => !values.traps.some(({ site }) => site === id))
                        .map(({ id, name }) => (
                            <option key={id} value={id}>
                                {name}
                            </option>
                        ))}
                </select>
            </fieldset>
            <fieldset>
                <legend className="font-semibold">Where it lies</legend>
                <Position
                    where={values}
                    errors={{ latitude: errors.latitude_deg ?? [], longitude: errors.longitude_deg ?? [] }}
                    here="I am there now"
                    onChange={(where) => setValues((before) => ({ ...before, ...where }))}
                />
            </fieldset>
            <FormFoot message={message ?? (wrong ? wrong[1].join(' ') : null)} busy={busy}>
                Keep
            </FormFoot>
        </form>
    );
}
