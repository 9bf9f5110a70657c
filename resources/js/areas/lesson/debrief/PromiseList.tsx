import { useState } from 'react';
import type { Lesson, Promised, RoutineCode, Step } from '@/api/types';
import { uuid7 } from '@/queue/uuid';
import { useRoutineName, useRules } from '@/rules/rules';
import { STEP_WORDS } from '@/strip/words';
import { useNotice } from '@/ui/Notice';
import { useLesson } from '../useLesson';

interface Props {
    lesson: Lesson;
    kind: Promised['kind'];
    title: string;
    /** What the field for another one asks. */
    add: string;
}

/** What is agreed for next time, or to be practised until then; what is agreed can name a routine, which the next lesson then proposes. */
export function PromiseList({ lesson, kind, title, add }: Props) {
    const { put } = useLesson(lesson.id);
    const notice = useNotice();
    const name = useRoutineName();
    const [text, setText] = useState('');
    const [routine, setRoutine] = useState<RoutineCode | null>(null);
    const [step, setStep] = useState<Step | null>(null);
    /** In the learner's words or, where none are typed, what it is about. */
    const about = routine === null ? '' : `${name(routine)}${step === null ? '' : `: ${STEP_WORDS[step].toLowerCase()}`}`;
    const words = text.trim() || about;
    const keep = async () => {
        if (!words) return;
        await put({ kind: 'promise', promise: { id: uuid7(), lesson_id: lesson.id, kind, text: words, routine, step, kept_at: null } });
        setText('');
        setRoutine(null);
        setStep(null);
    };
    const drop = async (promise: Promised) => {
        await put({ kind: 'promise-off', promise });
        notice({ text: 'Taken off.', undo: () => void put({ kind: 'promise-back', promise }) });
    };
    return (
        <section aria-label={title} className="grid content-start gap-2">
            <h2 className="text-lg">{title}</h2>
            <ul>
                {lesson.promises
                    .filter((promise) => promise.kind === kind)
                    .map((promise) => (
                        <li key={promise.id} className="border-hair flex min-h-12 items-center gap-3 border-b">
                            <span className="flex-1">
                                {promise.text}
                                {promise.routine && <About promise={promise} />}
                            </span>
                            <button
                                type="button"
                                className="screen-only min-h-12 min-w-12"
                                aria-label={`Take off: ${promise.text}`}
                                onClick={() => void drop(promise)}
                            >
                                ✕
                            </button>
                        </li>
                    ))}
            </ul>
            <form
                className="screen-only flex flex-wrap gap-2"
                onSubmit={(event) => {
                    event.preventDefault();
                    void keep();
                }}
            >
                {kind === 'promise' && <What lesson={lesson} routine={routine} step={step} onRoutine={setRoutine} onStep={setStep} />}
                <input
                    className="entry min-w-40 flex-1"
                    aria-label={add}
                    placeholder={about || add}
                    maxLength={300}
                    value={text}
                    onChange={(event) => setText(event.target.value)}
                />
                <button type="submit" className="key" disabled={!words}>
                    Add
                </button>
            </form>
        </section>
    );
}

/** Which routine and step it is about, where its words say it in another way. */
function About({ promise: { text, routine, step } }: { promise: Promised }) {
    const name = useRoutineName();
    const about = `${name(routine!)}${step === null ? '' : `: ${STEP_WORDS[step].toLowerCase()}`}`;
    return text === about ? null : <span className="text-quiet block text-sm">{about}</span>;
}

interface WhatProps {
    lesson: Lesson;
    routine: RoutineCode | null;
    step: Step | null;
    onRoutine: (routine: RoutineCode | null) => void;
    onStep: (step: Step | null) => void;
}

/** A routine to be taken up next time, those of this lesson first, and a step of it. */
function What({ lesson, routine, step, onRoutine, onStep }: WhatProps) {
    const { routines } = useRules();
    const today = new Set(lesson.rounds.map((round) => round.routine));
    const [driven, others] = [routines.filter(({ code }) => today.has(code)), routines.filter(({ code }) => !today.has(code))];
    const options = (of: typeof routines) =>
        of.map(({ code, title }) => (
            <option key={code} value={code}>
                {title}
            </option>
        ));
    return (
        <>
            <select
                className="entry max-w-full"
                aria-label="About which routine"
                value={routine ?? ''}
                onChange={(event) => {
                    onRoutine((event.target.value || null) as RoutineCode | null);
                    onStep(null);
                }}
            >
                <option value="">No routine in particular</option>
                {driven.length > 0 && <optgroup label="In this lesson">{options(driven)}</optgroup>}
                <optgroup label={driven.length > 0 ? 'Others' : 'Routines'}>{options(others)}</optgroup>
            </select>
            {routine && (
                <select
                    className="entry max-w-full"
                    aria-label="Which step of it"
                    value={step ?? ''}
                    onChange={(event) => onStep((event.target.value || null) as Step | null)}
                >
                    <option value="">All of it</option>
                    {routines
                        .find(({ code }) => code === routine)
                        ?.steps.map((one) => (
                            <option key={one} value={one}>
                                {STEP_WORDS[one]}
                            </option>
                        ))}
                </select>
            )}
        </>
    );
}
