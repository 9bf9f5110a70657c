import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, at } from '@/api/client';
import type { Person } from '@/api/types';
import { useClock } from '@/session/session';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { Failed, Waiting } from '@/ui/State';
import { useForm } from '@/ui/useForm';

const lessons = (count: number): string => `${count} ${count === 1 ? 'lesson' : 'lessons'}`;

/** Somebody's lessons ahead given to a colleague, learner by learner; where two would lie on top of each other it is said before. */
export function HandOver({ from, colleagues, onDone }: { from: Person; colleagues: Person[]; onDone: (text: string) => Promise<void> }) {
    const clock = useClock();
    const form = useForm({ to: colleagues[0]?.id ?? '' });
    const [left, setLeft] = useState<string[]>([]);
    const { to } = form.values;
    const ahead = useQuery({
        queryKey: ['people', from.id, 'ahead', to],
        queryFn: () => api.GET('/people/{person}/lessons-ahead', { params: { path: { person: from.id }, query: to ? { to } : {} } }),
        placeholderData: keepPreviousData,
        enabled: to !== '',
    });
    if (colleagues.length === 0) return <p>There is nobody to hand them to: invite a colleague first.</p>;
    if (ahead.isLoading) return <Waiting />;
    if (!ahead.data) return <Failed error={ahead.error} retry={() => void ahead.refetch()} />;
    const { learners, clashes } = ahead.data;
    const given = learners.filter((learner) => !left.includes(learner.id));
    const names = new Set(given.map((learner) => learner.name));
    const count = given.reduce((sum, learner) => sum + learner.lessons, 0);
    const colleague = colleagues.find((person) => person.id === to)?.name ?? '';
    const give = () =>
        form.submit(async () => {
            const { moved } = await api.POST('/people/{person}/hand-over', {
                ...at({ person: from.id }),
                body: { to, learners: given.map((learner) => learner.id) },
            });
            await onDone(`${lessons(moved)} handed over to ${colleague}.`);
        });
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void give();
            }}
        >
            <Field label="To" errors={form.errors.to}>
                <select value={to} onChange={(event) => form.set('to', event.target.value)}>
                    {colleagues.map((person) => (
                        <option key={person.id} value={person.id}>
                            {person.name}
                        </option>
                    ))}
                </select>
            </Field>
            <fieldset className="grid">
                <legend className="font-semibold">Whose lessons</legend>
                {learners.map((learner) => (
                    <Check
                        key={learner.id}
                        label={`${learner.name}: ${lessons(learner.lessons)}, the next on ${clock.day(learner.next_at)}`}
                        checked={!left.includes(learner.id)}
                        onChange={(on) => setLeft((before) => (on ? before.filter((id) => id !== learner.id) : [...before, learner.id]))}
                    />
                ))}
            </fieldset>
            {clashes.some((clash) => names.has(clash.learner)) && (
                <div role="status" className="border-ink rounded-lg border-2 px-4 py-2">
                    <p className="font-semibold">{colleague} is already teaching then:</p>
                    <ul>
                        {clashes
                            .filter((clash) => names.has(clash.learner))
                            .map((clash) => (
                                <li key={clash.starts_at + clash.learner}>
                                    {clock.day(clash.starts_at)}, {clock.time(clash.starts_at)}: {clash.learner} would overlap {clash.with}.
                                </li>
                            ))}
                    </ul>
                    <p>They can still be handed over; agree other times afterwards.</p>
                </div>
            )}
            <p className="text-quiet text-sm">Only lessons still ahead are handed over. What {from.name} taught and marked stays under their name.</p>
            <FormFoot message={form.message} busy={form.busy || count === 0}>
                {count === 0 ? 'Choose whose lessons' : `Hand over ${lessons(count)}`}
            </FormFoot>
        </form>
    );
}
