import { useState } from 'react';
import { STEPS, type Lesson } from '@/api/types';
import { useRules } from '@/rules/rules';
import { StepOptions } from '@/strip/StepOptions';
import { useLesson } from '../useLesson';

/** The aim, written in place, and what was promised for this lesson. */
export function Aim({ lesson }: { lesson: Lesson }) {
    const { write, put } = useLesson(lesson.id);
    const { routines } = useRules();
    const [aim, setAim] = useState(lesson.aim ?? '');
    const keep = () => aim !== (lesson.aim ?? '') && void write({ aim });
    return (
        <div className="grid gap-2">
            <label>
                <span className="text-quiet text-sm font-semibold">Aim</span>
                <textarea
                    className="border-line focus:border-ink block min-h-12 w-full resize-none border-b-2 bg-transparent text-lg leading-tight font-semibold [field-sizing:content]"
                    rows={2}
                    value={aim}
                    maxLength={300}
                    placeholder="One or two things, no more"
                    onChange={(event) => setAim(event.target.value)}
                    onBlur={keep}
                    onKeyDown={(event) => {
                        if (event.key !== 'Enter') return;
                        event.preventDefault();
                        event.currentTarget.blur();
                    }}
                />
            </label>
            <div role="group" aria-label="What it works on" className="flex flex-wrap gap-2">
                <select
                    aria-label="Step it works on"
                    className="entry w-auto max-w-full"
                    value={lesson.works_on?.step ?? ''}
                    onChange={(event) => void write({ aim_step: STEPS.find((step) => step === event.target.value) ?? null })}
                >
                    <option value="">Every step</option>
                    <StepOptions />
                </select>
                <select
                    aria-label="Routine it works on"
                    className="entry w-auto max-w-full"
                    value={lesson.works_on?.routine ?? ''}
                    onChange={(event) => void write({ aim_routine: routines.find(({ code }) => code === event.target.value)?.code ?? null })}
                >
                    <option value="">of any routine</option>
                    {routines.map(({ code, title }) => (
                        <option key={code} value={code}>
                            {title}
                        </option>
                    ))}
                </select>
            </div>
            {lesson.promised_before.length > 0 && (
                <details>
                    <summary className="min-h-12 cursor-pointer content-center font-semibold">Agreed last time: {lesson.promised_before.length}</summary>
                    <ul>
                        {lesson.promised_before.map((promise) => (
                            <li key={promise.id}>
                                <label className="flex min-h-12 items-center gap-3">
                                    <input type="checkbox" className="size-6" checked={false} onChange={() => void put({ kind: 'promise-kept', promise })} />
                                    <span>{promise.text}</span>
                                </label>
                            </li>
                        ))}
                    </ul>
                </details>
            )}
        </div>
    );
}
