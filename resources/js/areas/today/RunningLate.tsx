import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { LateDay } from '@/api/types';
import { Reach } from '@/diary/Reach';
import { useReread } from '@/diary/useBooked';
import { useClock } from '@/session/session';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { useForm } from '@/ui/useForm';

type Line = LateDay['rest'][number];

/** What one says aloud (common practice, no source). */
const MINUTES = [10, 20, 30, 45, 60];

/** By how much the day runs late, what becomes of each lesson, and what each learner is told; written once it is agreed to. */
export function RunningLate({ onDone }: { onDone: () => void }) {
    const notice = useNotice();
    const reread = useReread();
    const [minutes, setMinutes] = useState(20);
    const [left, setLeft] = useState<string[]>([]);
    const form = useForm({});
    const late = useQuery({ ...questions.late(minutes), placeholderData: (before) => before });
    const touched = late.data?.rest.filter((line) => line.is_lesson && !line.is_as_planned) ?? [];
    const agreed = touched.filter(({ id }) => !left.includes(id));
    const undo = async () => {
        // From the first to the last: each goes back into time that is free by then.
        for (const { id, starts_at, minutes: was } of agreed) {
            await api.PATCH('/lessons/{lesson}', { ...at({ lesson: id }), body: { state: 'booked', starts_at, ...(was === null ? {} : { minutes: was }) } });
        }
        await reread();
    };
    const write = () =>
        form.submit(async () => {
            await api.POST('/late', { body: { minutes, lessons: agreed.map(({ id, now_starts_at }) => ({ id, starts_at: now_starts_at })) } });
            await reread();
            onDone();
            notice({ text: agreed.length === 1 ? '1 lesson is changed' : `${agreed.length} lessons are changed`, undo: () => void undo() });
        });
    return (
        <form
            className="grid gap-5"
            onSubmit={(event) => {
                event.preventDefault();
                void write();
            }}
        >
            <fieldset>
                <legend className="mb-2 font-semibold">
                    {late.data?.on ? `By how much will “${late.data.on}” end later?` : 'By how much are you late for the next?'}
                </legend>
                <div className="flex flex-wrap gap-2">
                    {MINUTES.map((one) => (
                        <button key={one} type="button" className="key" aria-pressed={minutes === one} onClick={() => setMinutes(one)}>
                            {one} min
                        </button>
                    ))}
                </div>
            </fieldset>
            {!late.data && <p className="text-quiet">{late.error ? `▸ ${late.error.message}` : 'Looking …'}</p>}
            {late.data && touched.length === 0 && (
                <p className="font-semibold">
                    {late.data.rest.length === 0 ? 'Nothing more is on today.' : 'Nobody needs to hear of it: what is free between takes it up.'}
                </p>
            )}
            {late.data && (
                <ol className="grid">
                    {late.data.rest.map((line) => (
                        <Told
                            key={line.id}
                            line={line}
                            agreed={agreed.includes(line)}
                            onAgree={(yes) => setLeft((before) => (yes ? before.filter((id) => id !== line.id) : [...before, line.id]))}
                        />
                    ))}
                </ol>
            )}
            {touched.length > 0 && (
                <FormFoot message={form.message ?? (Object.values(form.errors).flat().join(' ') || null)} busy={form.busy || agreed.length === 0}>
                    Change these in the diary
                </FormFoot>
            )}
            <p className="text-quiet text-sm">
                {late.data?.fills_outbox
                    ? 'What you agree to goes into the outbox as a text; you pass it on from Today. Nothing is sent before.'
                    : 'Nothing is sent from here. A text opens on this device, ready for you to send.'}
            </p>
        </form>
    );
}

interface ToldProps {
    line: Line;
    agreed: boolean;
    onAgree: (agreed: boolean) => void;
}

/** What becomes of one of them, and what its learner is told. */
function Told({ line, agreed, onAgree }: ToldProps) {
    const clock = useClock();
    const span = (from: string, until: string) => `${clock.time(from)} to ${clock.time(until)}`;
    const was = span(line.starts_at, line.ends_at);
    if (!line.is_lesson || line.is_as_planned) {
        return (
            <li className="border-hair flex flex-wrap gap-x-3 border-b py-3">
                <span className="font-semibold">{line.name}</span>
                <span className="text-quiet">
                    {was}, {line.is_lesson ? 'as planned' : 'does not wait'}
                </span>
            </li>
        );
    }
    const { text } = line;
    return (
        <li className="border-hair grid gap-1 border-b py-3">
            <label className="flex min-h-12 items-center gap-3">
                <input type="checkbox" className="size-6 shrink-0" checked={agreed} onChange={(event) => onAgree(event.target.checked)} />
                <span>
                    <span className="font-semibold">{line.name}</span>{' '}
                    {line.now_starts_at && line.now_ends_at ? (
                        <>
                            <s className="text-quiet">{was}</s> <strong>{span(line.now_starts_at, line.now_ends_at)}</strong>
                            {line.cut_minutes > 0 && `, ${line.cut_minutes} min shorter`}
                        </>
                    ) : (
                        <>
                            <s className="text-quiet">{was}</s> <strong>cannot be kept</strong>: cancelled
                        </>
                    )}
                </span>
            </label>
            {line.leaves_out.length > 0 && <p className="text-sm">No time is left for {line.leaves_out.join(', ')}.</p>}
            {line.clashes.length > 0 && <p className="text-sm font-semibold">▸ {line.clashes.join(' ')}</p>}
            {text && (
                <>
                    <p className="border-line border-l-4 pl-3 text-sm">{text}</p>
                    {/* Whom the outbox tells is not told twice. */}
                    {!line.is_told && <Reach name={line.name} phone={line.phone} text={text} mayText={line.may_text} />}
                </>
            )}
        </li>
    );
}
