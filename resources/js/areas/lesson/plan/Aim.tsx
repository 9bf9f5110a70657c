import { useState } from 'react';
import type { Lesson } from '@/api/types';
import { patch } from '@/api/client';
import { useLesson } from '../useLesson';

/** The aim, written in place, and what was promised for this lesson. */
export function Aim({ lesson }: { lesson: Lesson }) {
    const { write, refresh } = useLesson(lesson.id);
    const [aim, setAim] = useState(lesson.aim ?? '');
    const keep = () => aim !== (lesson.aim ?? '') && void write({ aim });
    return (
        <div className="flex flex-wrap items-start gap-x-8 gap-y-2">
            <label className="min-w-72 flex-1">
                <span className="text-quiet block text-sm font-semibold">Aim of this lesson</span>
                <input
                    className="border-line focus:border-ink min-h-12 w-full border-b-2 bg-transparent text-xl font-semibold"
                    value={aim}
                    maxLength={300}
                    placeholder="One or two things, no more"
                    onChange={(event) => setAim(event.target.value)}
                    onBlur={keep}
                    onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                />
            </label>
            {lesson.promised_before.length > 0 && (
                <div className="min-w-72 flex-1">
                    <p className="text-quiet text-sm font-semibold">Promised last time</p>
                    <ul>
                        {lesson.promised_before.map((promise) => (
                            <li key={promise.id}>
                                <label className="flex min-h-12 items-center gap-3">
                                    <input
                                        type="checkbox"
                                        className="size-6"
                                        checked={false}
                                        onChange={() => void patch(`promises/${promise.id}`, { kept: true }).then(refresh)}
                                    />
                                    <span>{promise.text}</span>
                                </label>
                            </li>
                        ))}
                    </ul>
                </div>
            )}
        </div>
    );
}
