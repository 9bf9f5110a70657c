import { useQuery, useQueryClient } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { api, at } from '@/api/client';
import type { Lesson, ToolAsked } from '@/api/types';
import { useClock } from '@/session/session';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { useForm } from '@/ui/useForm';

/** Keeps this page of the bench, as it stands, with a place or for the brief of one lesson there. */
export function KeepDrawing({ title, asked }: { title: string; asked: ToolAsked }) {
    const [open, setOpen] = useState(false);
    return (
        <>
            <button type="button" className="key screen-only ml-auto" data-tone="bare" onClick={() => setOpen(true)}>
                Save to a place
            </button>
            <Sheet
                title="Save to a place"
                about="It comes back as it stands: on the place, and in the brief of lessons there."
                open={open}
                onOpenChange={setOpen}
            >
                {open && <KeepForm title={title} asked={asked} onKept={() => setOpen(false)} />}
            </Sheet>
        </>
    );
}

function KeepForm({ title, asked, onKept }: { title: string; asked: ToolAsked; onKept: () => void }) {
    const { search } = useLocation();
    const client = useQueryClient();
    const clock = useClock();
    const notice = useNotice();
    const places = useQuery(questions.places());
    const { values, errors, set, busy, message, submit } = useForm({ title, place_id: '', lesson_id: '' });
    const lessons = useQuery({
        queryKey: ['lessons-at', values.place_id],
        queryFn: () => api.GET('/places/{place}/lessons', at({ place: values.place_id })),
        enabled: values.place_id !== '',
    });
    const keep = async () => {
        await api.POST('/places/{place}/drawings', {
            ...at({ place: values.place_id }),
            body: { title: values.title, page: asked.tool, state: search.slice(1), asked, lesson_id: values.lesson_id || null },
        });
        await client.invalidateQueries({ queryKey: ['places'] });
        if (values.lesson_id) await client.invalidateQueries({ queryKey: ['lesson', values.lesson_id] satisfies [string, Lesson['id']] });
        notice({ text: `Kept with ${places.data?.find((place) => place.id === values.place_id)?.name ?? 'the place'}.` });
        onKept();
    };
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void submit(keep);
            }}
        >
            <Field label="What to call it" errors={errors.title}>
                <input required maxLength={120} value={values.title} onChange={(event) => set('title', event.target.value)} />
            </Field>
            <Field label="Place" errors={errors.place_id}>
                <select
                    required
                    value={values.place_id}
                    onChange={(event) => {
                        set('place_id', event.target.value);
                        set('lesson_id', '');
                    }}
                >
                    <option value="">Choose a place</option>
                    {places.data?.map((place) => (
                        <option key={place.id} value={place.id}>
                            {place.name}
                        </option>
                    ))}
                </select>
            </Field>
            {places.data?.length === 0 && <p className="text-quiet">There is no place yet: describe one under Places first.</p>}
            {/* There from the start: a field that came later would push the key away from under a finger. */}
            <Field label="For" errors={errors.lesson_id}>
                <select disabled={(lessons.data?.length ?? 0) === 0} value={values.lesson_id} onChange={(event) => set('lesson_id', event.target.value)}>
                    <option value="">Every lesson at this place</option>
                    {lessons.data?.map((lesson) => (
                        <option key={lesson.id} value={lesson.id}>
                            {lesson.learner.name}, {clock.day(lesson.starts_at)}, only
                        </option>
                    ))}
                </select>
            </Field>
            <FormFoot message={message} busy={busy}>
                Keep
            </FormFoot>
        </form>
    );
}
