import { useState } from 'react';
import type { DiaryLesson } from '@/api/types';
import { AddressFields, type Addresses } from '@/diary/AddressFields';
import { RepeatFields, type Repetition } from '@/diary/RepeatFields';
import { TimeFields } from '@/diary/TimeFields';
import { useSeries } from '@/diary/useBooked';
import { wallClock } from '@/diary/wallClock';
import { useSession } from '@/session/session';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import type { Diary } from './useDiary';

/* What is asked before a chosen lesson is moved, had again, cut short or cancelled. */

interface FormProps {
    lesson: DiaryLesson;
    diary: Diary;
    onDone: () => void;
}

export function MoveForm({ lesson, diary, onDone }: FormProps) {
    const { school } = useSession();
    const [time, setTime] = useState({ at: wallClock(new Date(lesson.starts_at), school.time_zone), minutes: lesson.minutes });
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void diary.move(lesson, time.at, time.minutes).then((done) => done && onDone());
            }}
        >
            <TimeFields value={time} onChange={(changes) => setTime((before) => ({ ...before, ...changes }))} asked={{ lesson: lesson.id }} errors={{}} />
            <FormFoot message={diary.refused} busy={false}>
                Move
            </FormFoot>
        </form>
    );
}

/** Where a lesson begins and ends, where that is not as usual. */
export function PlaceForm({ lesson, diary, onDone }: FormProps) {
    const usual = lesson.learner.pick_up;
    const { pick_up, drop_off } = lesson.own_places;
    const [is, setIs] = useState<Addresses>({ pick_up: pick_up ?? '', drop_off: drop_off ?? '' });
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void diary.meet(lesson, is).then((done) => done && onDone());
            }}
        >
            <AddressFields value={is} onChange={(changes) => setIs((before) => ({ ...before, ...changes }))} usual={usual} errors={{}} isOpen />
            <FormFoot message={diary.refused} busy={false}>
                Keep
            </FormFoot>
        </form>
    );
}

/** How much of a lesson there was: the rest of its time is free again. */
export function CutForm({ lesson, diary, onDone }: FormProps) {
    const [minutes, setMinutes] = useState(Math.max(5, lesson.minutes - 15));
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void diary.become(lesson, { state: 'cut-short', cut_to_minutes: minutes }, `cut to ${minutes} min`).then((done) => done && onDone());
            }}
        >
            <Field label="Minutes there were" hint={`Booked were ${lesson.minutes}.`}>
                <input
                    type="number"
                    required
                    min={1}
                    max={lesson.minutes}
                    value={Number.isNaN(minutes) ? '' : minutes}
                    onChange={(event) => setMinutes(event.target.valueAsNumber)}
                />
            </Field>
            <FormFoot message={diary.refused} busy={false}>
                Cut it short
            </FormFoot>
        </form>
    );
}

/** The weeks after a lesson; what is there already is taken by itself, so that a series is gone on with and mended here. */
export function RepeatForm({ lesson, onDone }: Omit<FormProps, 'diary'>) {
    const [repetition, setRepetition] = useState<Repetition>({ weeks: 1, times: 10, without: [] });
    const [busy, setBusy] = useState(false);
    const again = useSeries();
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                setBusy(true);
                void again(lesson.id, repetition).then((done) => {
                    setBusy(false);
                    if (done) onDone();
                });
            }}
        >
            <RepeatFields asked={{ lesson: lesson.id }} value={repetition} onChange={setRepetition} />
            <FormFoot message={null} busy={busy}>
                Book these
            </FormFoot>
        </form>
    );
}

const WHOSE = [
    ['learner', 'The learner'],
    ['instructor', 'The instructor'],
    ['other', 'Something else: weather, the car, the test centre'],
] as const;

export function CancelForm({ lesson, diary, onDone }: FormProps) {
    const [by, setBy] = useState<(typeof WHOSE)[number][0]>('learner');
    const [why, setWhy] = useState('');
    const [charged, setCharged] = useState(false);
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                const facts = { state: 'cancelled' as const, ended_by: by, charged, ...(why === '' ? {} : { ended_why: why }) };
                void diary.become(lesson, facts, 'cancelled').then((done) => done && onDone());
            }}
        >
            <fieldset className="grid gap-1">
                <legend className="font-semibold">Whose doing?</legend>
                {WHOSE.map(([value, label]) => (
                    <label key={value} className="flex min-h-12 items-center gap-3">
                        <input type="radio" name="by" className="size-6" checked={by === value} onChange={() => setBy(value)} />
                        {label}
                    </label>
                ))}
            </fieldset>
            <Field label="Why">
                <input maxLength={300} value={why} onChange={(event) => setWhy(event.target.value)} />
            </Field>
            <Check label="Charged all the same (only noted)" checked={charged} onChange={setCharged} />
            <FormFoot message={diary.refused} busy={false}>
                Cancel the lesson
            </FormFoot>
        </form>
    );
}
