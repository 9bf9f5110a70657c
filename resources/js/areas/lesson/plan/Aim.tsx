import { useState } from 'react';
import type { Lesson } from '@/api/types';
import { api, at } from '@/api/client';
import { useLesson } from '../useLesson';

/** The aim, written in place, and what was promised for this lesson. */
export function Aim({ lesson }: { lesson: Lesson }) {
    const { write, refresh } = useLesson(lesson.id);
    const [aim, setAim] = useState(lesson.aim ?? '');
    const keep = () => aim !== (lesson.aim ?? '') && void write({ aim });
    return (
        <div className="flex flex-wrap items-start gap-x-8 gap-y-2">
            <label className="flex min-w-72 flex-1 items-center gap-3">
                <span className="text-quiet font-semibold">Aim</span>
                <input
                    className="border-line focus:border-ink min-h-12 w-full border-b-2 bg-transparent text-lg font-semibold"
                    value={aim}
                    maxLength={300}
                    placeholder="One or two things, no more"
                    onChange={(event) => setAim(event.target.value)}
                    onBlur={keep}
                    onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                />
            </label>
            {lesson.promised_before.length > 0 && (
                <details className="min-w-72 flex-1">
                    <summary className="min-h-12 cursor-pointer content-center font-semibold">Promised last time: {lesson.promised_before.length}</summary>
                    <ul>
                        {lesson.promised_before.map((promise) => (
                            <li key={promise.id}>
                                <label className="flex min-h-12 items-center gap-3">
                                    <input
                                        type="checkbox"
                                        className="size-6"
                                        checked={false}
                                        onChange={() =>
                                            void api.PATCH('/promises/{promise}', { ...at({ promise: promise.id }), body: { kept: true } }).then(refresh)
                                        }
                                    />
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
