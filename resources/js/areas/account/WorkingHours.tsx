import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '@/api/client';
import type { WorkingHours as Hours } from '@/api/types';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { useForm } from '@/ui/useForm';

const KEY = ['working-hours'];

/** When one works, and how much of it one gives lessons: free times keep to it, and what lies outside is said before it is booked. */
export function WorkingHours() {
    const hours = useQuery({ queryKey: KEY, queryFn: () => api.GET('/working-hours') });
    return hours.data ? <Form key={JSON.stringify(hours.data)} is={hours.data} /> : null;
}

function Form({ is }: { is: Hours }) {
    const client = useQueryClient();
    const notice = useNotice();
    const form = useForm({ ...is, most: is.most_minutes === null ? '' : String(is.most_minutes / 60) });
    const { values, errors, set } = form;
    const put = async (body: Hours) => {
        client.setQueryData(KEY, await api.PUT('/working-hours', { body }));
        await Promise.all(['free', 'fit'].map((name) => client.invalidateQueries({ queryKey: [name] })));
    };
    const time = (label: string, field: 'works_from' | 'works_until') => (
        <Field label={label} errors={errors[field]}>
            <input type="time" required value={values[field]} onChange={(event) => set(field, event.target.value)} />
        </Field>
    );
    return (
        <section className="grid gap-3" aria-labelledby="working-hours">
            <h2 id="working-hours" className="text-xl">
                When you give lessons
            </h2>
            <p>Free times are looked for within these hours. A lesson outside can be booked all the same; it is said first.</p>
            <form
                className="grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void form.submit(async () => {
                        const { works_from, works_until, most } = values;
                        await put({ works_from, works_until, most_minutes: most === '' ? null : Math.round(Number(most) * 60) });
                        notice({ text: 'Your hours are kept.', undo: () => void put(is) });
                    });
                }}
            >
                <div className="grid gap-4 sm:grid-cols-3">
                    {time('First lesson from', 'works_from')}
                    {time('Last ends by', 'works_until')}
                    <Field label="Hours a day, at most" hint="Of lessons; empty: no limit" errors={errors.most_minutes}>
                        <input
                            type="number"
                            inputMode="decimal"
                            min={0.5}
                            max={24}
                            step={0.5}
                            value={values.most}
                            onChange={(event) => set('most', event.target.value)}
                        />
                    </Field>
                </div>
                <FormFoot message={form.message} busy={form.busy}>
                    Keep these hours
                </FormFoot>
            </form>
        </section>
    );
}
