import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api, at } from '@/api/client';
import type { Keeping as Kept } from '@/api/types';
import { useClock } from '@/session/session';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { Failed, Waiting } from '@/ui/State';
import { useForm } from '@/ui/useForm';

/** How long learners are kept after their last lesson, and whose records end soon. */
export function Keeping() {
    const client = useQueryClient();
    const kept = useQuery({ queryKey: ['keeping'], queryFn: () => api.GET('/retention') });
    if (kept.isLoading) return <Waiting />;
    if (!kept.data) return <Failed error={kept.error} retry={() => void kept.refetch()} />;
    const take = (next: Kept) => void client.setQueryData(['keeping'], next);
    return (
        <section className="grid gap-6" aria-label="How long learners are kept">
            <Setting kept={kept.data} onKept={take} />
            <Coming kept={kept.data} onKept={take} />
        </section>
    );
}

const months = (text: string): number | null => (text.trim() === '' ? null : Number(text));

function Setting({ kept, onKept }: { kept: Kept; onKept: (next: Kept) => void }) {
    const notice = useNotice();
    const form = useForm({ all: kept.keep_months?.toString() ?? '', minors: kept.keep_minors_months?.toString() ?? '' });
    const keep = () =>
        form.submit(async () => {
            onKept(await api.PUT('/retention', { body: { keep_months: months(form.values.all), keep_minors_months: months(form.values.minors) } }));
            notice({ text: 'Saved.' });
        });
    return (
        <form
            className="grid max-w-prose gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void keep();
            }}
        >
            <p>
                Learners are erased automatically so many months after their last lesson. Who they were and everything written about them goes; their marks
                stay, without a name. Leave a box empty to keep them until you erase them yourself. What your law asks comes first.
            </p>
            <div className="grid gap-4 sm:grid-cols-2">
                <Field label="Months to keep learners" errors={form.errors.keep_months}>
                    <input
                        type="number"
                        inputMode="numeric"
                        min={1}
                        max={240}
                        value={form.values.all}
                        onChange={(event) => form.set('all', event.target.value)}
                    />
                </Field>
                <Field label="Months to keep minors" errors={form.errors.keep_minors_months} hint="Never longer than others.">
                    <input
                        type="number"
                        inputMode="numeric"
                        min={1}
                        max={240}
                        value={form.values.minors}
                        onChange={(event) => form.set('minors', event.target.value)}
                    />
                </Field>
            </div>
            <FormFoot message={form.message} busy={form.busy}>
                Save
            </FormFoot>
        </form>
    );
}

function Coming({ kept, onKept }: { kept: Kept; onKept: (next: Kept) => void }) {
    const clock = useClock();
    const notice = useNotice();
    if (kept.coming.length === 0) return <p className="text-quiet">Nobody’s record ends within the next two months.</p>;
    const later = (day: string) => {
        const next = new Date(`${day}T12:00:00Z`);
        next.setUTCFullYear(Math.max(next.getUTCFullYear(), new Date().getUTCFullYear()) + 1);
        return next.toISOString().slice(0, 10);
    };
    const keepLonger = async (one: Kept['coming'][number]) => {
        const until = later(one.erased_on);
        onKept(await api.PUT('/learners/{learner}/keep', { ...at({ learner: one.id }), body: { until } }));
        notice({
            text: `${one.name} is kept a year longer.`,
            undo: () => void api.PUT('/learners/{learner}/keep', { ...at({ learner: one.id }), body: { until: one.keep_until } }).then(onKept),
        });
    };
    return (
        <div>
            <h2 className="border-hair border-b-2 pb-1 text-lg">Erased soon</h2>
            <ul>
                {kept.coming.map((one) => (
                    <li key={one.id} className="border-hair flex min-h-14 flex-wrap items-center gap-x-4 border-b py-1">
                        <span className="min-w-0 flex-1 break-words">
                            <span className="font-semibold">{one.name}</span>
                            {one.is_minor && ' (minor)'}
                            <span className="text-quiet">
                                {' '}
                                · last lesson {clock.date(one.last_at)} · erased on {clock.date(`${one.erased_on}T12:00:00Z`)}
                            </span>
                        </span>
                        <button type="button" className="key" aria-label={`Keep ${one.name} a year longer`} onClick={() => void keepLonger(one)}>
                            Keep a year longer
                        </button>
                    </li>
                ))}
            </ul>
        </div>
    );
}
