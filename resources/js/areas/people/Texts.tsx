import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '@/api/client';
import { questions } from '@/api/questions';
import type { LessonText, TextSettings } from '@/api/types';
import { TEXT_KINDS, UNSENT } from '@/diary/textWords';
import { useClock } from '@/session/session';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { Empty, Failed, Waiting } from '@/ui/State';
import { useForm } from '@/ui/useForm';

type Kind = LessonText['kind'];

const ABOUT: Record<Kind, string> = {
    booked: 'When a lesson is booked',
    moved: 'When it is moved, or lasts longer or shorter',
    cancelled: 'When it is cancelled',
    'day-before': 'On the day before',
    late: 'When the day runs late',
};

const KINDS = Object.keys(ABOUT) as Kind[];

/** What stands in the places of an example. */
const FOR_EXAMPLE: Record<string, string> = {
    learner: 'Robin',
    instructor: 'Alex',
    school: 'the school',
    day: 'Tuesday 9 March',
    time: '10:30',
    until: '11:30',
    minutes: '60',
    place: 'Mole Street',
    was: '10:00',
};

const example = (words: string) => words.replaceAll(/\{([^{}]*)\}/g, (whole, place: string) => FOR_EXAMPLE[place] ?? whole);

/** What the school tells its learners by text, in which words and when, and what stands in its outbox. */
export function Texts() {
    const texts = useQuery(questions.schoolTexts());
    if (texts.isLoading) return <Waiting />;
    if (!texts.data) return <Failed error={texts.error} retry={() => void texts.refetch()} />;
    return (
        <div className="grid gap-8">
            <Words key={JSON.stringify([texts.data.on, texts.data.words])} settings={texts.data} />
            <Outbox texts={texts.data.outbox} />
        </div>
    );
}

function Words({ settings }: { settings: TextSettings }) {
    const client = useQueryClient();
    const notice = useNotice();
    const { on, quiet_from, quiet_until, reminds_at, words, usual, places } = settings;
    const form = useForm({ on, quiet_from, quiet_until, reminds_at, words });
    const { values, errors, set } = form;
    const put = async (body: typeof values) => {
        client.setQueryData(questions.schoolTexts().queryKey, await api.PUT('/school/texts', { body }));
    };
    const time = (label: string, field: 'quiet_from' | 'quiet_until' | 'reminds_at', hint?: string) => (
        <Field label={label} hint={hint} errors={errors[field]}>
            <input type="time" required value={values[field]} onChange={(event) => set(field, event.target.value)} />
        </Field>
    );
    const say = (kind: Kind, said: string | null) => set('words', { ...values.words, [kind]: said });
    return (
        <form
            className="grid gap-5"
            onSubmit={(event) => {
                event.preventDefault();
                void form.submit(async () => {
                    await put(values);
                    notice({
                        text: values.on ? 'Learners are told in these words.' : 'Nobody is told anything by text.',
                        undo: () => void put({ on, quiet_from, quiet_until, reminds_at, words }),
                    });
                });
            }}
        >
            <p className="max-w-prose">
                The texts go into the outbox; whoever gives the lesson passes them on from <em>Today</em> by their own telephone. Each thing is told once, ten
                minutes after the diary has come to rest. A learner who wants none gets none.
            </p>
            <label className="flex min-h-12 items-center gap-3">
                <input type="checkbox" className="size-6" checked={values.on} onChange={(event) => set('on', event.target.checked)} />
                Tell learners of their lessons by text
            </label>
            {values.on && (
                <>
                    <div className="grid gap-4 sm:grid-cols-3">
                        {time('No texts from', 'quiet_from', 'By the clock of the school')}
                        {time('Until', 'quiet_until', 'What comes up meanwhile waits')}
                        {time('Reminder at', 'reminds_at', 'On the day before')}
                    </div>
                    {KINDS.map((kind) => {
                        const said = values.words[kind];
                        return (
                            <fieldset key={kind} className="border-hair grid gap-2 border-t-2 pt-3">
                                <legend className="sr-only">{ABOUT[kind]}</legend>
                                <label className="flex min-h-12 items-center gap-3 font-semibold">
                                    <input
                                        type="checkbox"
                                        className="size-6"
                                        checked={said !== null}
                                        onChange={(event) => say(kind, event.target.checked ? usual[kind] : null)}
                                    />
                                    {ABOUT[kind]}
                                </label>
                                {said !== null && (
                                    <>
                                        <Field
                                            label={`Words: ${ABOUT[kind].toLowerCase()}`}
                                            hint={`In their places: {${places[kind].join('} {')}}`}
                                            errors={errors[`words.${kind}`]}
                                        >
                                            <textarea rows={2} required maxLength={480} value={said} onChange={(event) => say(kind, event.target.value)} />
                                        </Field>
                                        <p className="text-quiet text-sm [overflow-wrap:anywhere]">For example: “{example(said)}”</p>
                                    </>
                                )}
                            </fieldset>
                        );
                    })}
                </>
            )}
            <FormFoot message={form.message} busy={form.busy}>
                Keep
            </FormFoot>
        </form>
    );
}

function Outbox({ texts }: { texts: LessonText[] }) {
    const clock = useClock();
    return (
        <section aria-labelledby="outbox" className="grid gap-2">
            <h2 id="outbox" className="border-hair border-b-2 pb-1 text-lg">
                The outbox
            </h2>
            {texts.length === 0 && (
                <Empty title="No texts yet">
                    <p>What learners were told, and are to be told, stands here for a year.</p>
                </Empty>
            )}
            <ul>
                {texts.map(({ id, learner, kind, body, unsent, made_at, passed_on_at }) => (
                    <li key={id} className="border-hair grid gap-1 border-b py-2">
                        <p>
                            <strong>{learner.name}</strong>{' '}
                            <span className="text-quiet">
                                · {TEXT_KINDS[kind]} · {clock.day(made_at)}, {clock.time(made_at)} ·{' '}
                                {passed_on_at ? `passed on ${clock.short(passed_on_at)}, ${clock.time(passed_on_at)}` : 'not passed on'}
                            </span>
                        </p>
                        {unsent && <p className="text-sm">▸ {UNSENT[unsent]}</p>}
                        <p className="text-sm [overflow-wrap:anywhere]">{body}</p>
                    </li>
                ))}
            </ul>
        </section>
    );
}
