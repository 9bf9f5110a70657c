import { useState } from 'react';
import type { Lesson } from '@/api/types';
import { useLesson } from '../useLesson';

/** A sentence of the instructor's, kept when the field is left. */
export function Words({ lesson, field, label }: { lesson: Lesson; field: 'went_well' | 'worked_on'; label: string }) {
    const { write } = useLesson(lesson.id);
    const [text, setText] = useState(lesson[field] ?? '');
    return (
        <label className="grid content-start gap-2">
            <span className="font-display text-lg font-bold">{label}</span>
            <textarea
                className="entry screen-only min-h-24"
                maxLength={500}
                value={text}
                onChange={(event) => setText(event.target.value)}
                onBlur={() => text !== (lesson[field] ?? '') && void write({ [field]: text })}
            />
            <span className="hidden print:block">{text}</span>
        </label>
    );
}
