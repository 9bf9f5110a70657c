import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { OUTCOMES, type Mark } from '@/api/types';
import type { NewEvent, Refusal, RoundEvent } from '@/queue/queue';
import { marksQueue } from '@/queue/marks';
import { useClock } from '@/session/session';
import { OUTCOME_WORDS } from '@/strip/words';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { useForm } from '@/ui/useForm';

/** What can be said otherwise: of a round where and in which lesson it was, of a mark what was seen. Anything else can only be sent anew. */
export const canBePutRight = ({ event }: Refusal): boolean => event.kind === 'round' || (event.mark.kind === 'step' && !event.mark.withdrawn);

/** A refused round or mark, said as the server can take it; what waits for it goes with it. */
export function PutRight({ refusal: { event, reason }, onClose }: { refusal: Refusal; onClose: () => void }) {
    const put = async (right: (event: NewEvent) => NewEvent) => {
        onClose();
        await marksQueue.putRight(event.seq, right);
    };
    return (
        <Sheet title="Put it right" about={reason} open onOpenChange={(open) => !open && onClose()}>
            {event.kind === 'round' ? (
                <OfRound round={event.round} onPut={(said) => void put((one) => (one.kind === 'round' ? { ...one, round: { ...one.round, ...said } } : one))} />
            ) : (
                <OfMark mark={event.mark} onPut={(said) => void put((one) => (one.kind === 'mark' ? { ...one, mark: { ...one.mark, ...said } } : one))} />
            )}
        </Sheet>
    );
}

const SAVE = 'Send it like this';

function OfRound({ round, onPut }: { round: RoundEvent; onPut: (said: Partial<RoundEvent>) => void }) {
    const clock = useClock();
    const places = useQuery(questions.places()).data ?? [];
    const today = useQuery(questions.today(clock.iso(new Date()))).data;
    const lessons = [...(today?.lessons ?? []), ...(today?.unfinished ?? [])].filter((one, i, all) => all.findIndex(({ id }) => id === one.id) === i);
    const { values, set } = useForm({ place_id: round.place_id ?? '', lesson_id: round.lesson_id });
    const known = places.find((place) => place.id === values.place_id);
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                onPut({
                    ...{ lesson_id: values.lesson_id, place_id: known?.id ?? null, place: known?.name ?? round.place },
                    elsewhere: known ? null : round.place || null,
                    // At another place it was driven against another plan, which nobody has seen.
                    ...(values.place_id === (round.place_id ?? '') ? {} : { plan: undefined }),
                });
            }}
        >
            <Field label="Lesson">
                <select value={values.lesson_id} onChange={(event) => set('lesson_id', event.target.value)}>
                    {!lessons.some((lesson) => lesson.id === round.lesson_id) && <option value={round.lesson_id}>The lesson it was made in</option>}
                    {lessons.map((lesson) => (
                        <option key={lesson.id} value={lesson.id}>
                            {lesson.learner.name}, {clock.short(lesson.starts_at)} {clock.time(lesson.starts_at)}
                        </option>
                    ))}
                </select>
            </Field>
            <Field label="Place" hint="Without a place of ours the round keeps its name in words.">
                <select value={known?.id ?? ''} onChange={(event) => set('place_id', event.target.value)}>
                    <option value="">At none of our places</option>
                    {places.map((place) => (
                        <option key={place.id} value={place.id}>
                            {place.name}
                        </option>
                    ))}
                </select>
            </Field>
            <button type="submit" className="key justify-self-start" data-tone="main">
                {SAVE}
            </button>
        </form>
    );
}

function OfMark({ mark, onPut }: { mark: Mark; onPut: (said: Partial<Mark>) => void }) {
    const { values, set } = useForm({ outcome: mark.outcome ?? 'unaided', plain: false });
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                onPut({ outcome: values.outcome, ...(values.plain ? { fault: null, effect: null, note: null, out_of_order: false } : {}) });
            }}
        >
            <Field label="What was seen">
                <select value={values.outcome} onChange={(event) => set('outcome', event.target.value as typeof values.outcome)}>
                    {OUTCOMES.map((outcome) => (
                        <option key={outcome} value={outcome}>
                            {OUTCOME_WORDS[outcome]}
                        </option>
                    ))}
                </select>
            </Field>
            <label className="flex min-h-12 items-center gap-3">
                <input type="checkbox" className="size-6" checked={values.plain} onChange={(event) => set('plain', event.target.checked)} />
                Without what was wrong in it and its note
            </label>
            <button type="submit" className="key justify-self-start" data-tone="main">
                {SAVE}
            </button>
        </form>
    );
}
