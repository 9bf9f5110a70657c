import { useState } from 'react';
import type { Lesson, LessonItem } from '@/api/types';
import { useClock } from '@/session/session';
import { useLesson } from '../useLesson';
import { Minutes } from './Minutes';
import { partsOf, type Part } from './parts';

interface Props {
    lesson: Lesson;
    /** The place whose brief is open. */
    open: LessonItem | undefined;
    onOpen: (id: string) => void;
    onAdd: () => void;
}

/** The lesson from beginning to end on one line that adds up: the talk before, each place, what is left, the talk after. */
export function LessonLine({ lesson, open, onOpen, onAdd }: Props) {
    const clock = useClock();
    const { write } = useLesson(lesson.id);
    const [talk, setTalk] = useState<'brief' | 'debrief' | null>(null);
    const { parts, spare } = partsOf(lesson);
    const from = Date.parse(lesson.starts_at);
    const when = (part: Part) => clock.time(new Date(from + part.from * 60_000).toISOString());
    return (
        <section aria-label="Places of this lesson" className="screen-only grid gap-1">
            <ol aria-label="In order" className="flex flex-wrap gap-1">
                {parts.map((part) => {
                    const pressed = talk ? part.kind === talk : part.id === open?.id;
                    return (
                        <li key={part.id} className="min-w-[48px] basis-12 md:basis-24" style={{ flexGrow: part.minutes }}>
                            {part.kind === 'spare' ? (
                                <button
                                    type="button"
                                    className="border-line grid min-h-14 w-full content-center rounded-lg border-2 border-dashed"
                                    onClick={onAdd}
                                >
                                    <span className="sr-only">Add a place: </span>
                                    <span className="text-xl leading-none" aria-hidden="true">
                                        +
                                    </span>
                                    <span className="text-quiet text-sm leading-tight">{part.minutes} left</span>
                                </button>
                            ) : (
                                <button
                                    type="button"
                                    aria-pressed={pressed}
                                    aria-label={`${part.name}, ${when(part)}, ${part.minutes} minutes`}
                                    className={`grid min-h-14 w-full content-center overflow-hidden rounded-lg border-2 text-center leading-tight sm:px-2 ${pressed ? 'border-ink bg-raised' : 'border-hair hover:border-line'} ${part.kind === 'place' ? 'md:text-left' : 'bg-wash'}`}
                                    onClick={() => {
                                        if (part.kind === 'place') {
                                            setTalk(null);
                                            onOpen(part.id);
                                            return;
                                        }
                                        const said = part.kind === 'brief' ? 'brief' : 'debrief';
                                        setTalk(talk === said ? null : said);
                                    }}
                                >
                                    <span className={`truncate ${pressed ? 'font-bold' : 'font-semibold'}`}>
                                        {part.ordinal}
                                        <span className={part.kind === 'place' ? 'max-md:hidden' : 'text-sm max-md:text-[0.75rem]'}>
                                            {part.ordinal && '. '}
                                            {part.name}
                                        </span>
                                    </span>
                                    <span className="text-quiet text-sm whitespace-nowrap">
                                        <span className="max-md:hidden">{when(part)} · </span>
                                        {part.minutes} min
                                    </span>
                                </button>
                            )}
                        </li>
                    );
                })}
            </ol>
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
                {talk && (
                    <Minutes
                        key={talk}
                        label={talk === 'brief' ? 'Talk before driving' : 'Talk after driving'}
                        value={talk === 'brief' ? lesson.brief_minutes : lesson.debrief_minutes}
                        min={0}
                        max={60}
                        onWrite={(minutes) => write({ [`${talk}_minutes`]: minutes })}
                    />
                )}
                {spare <= 0 && (
                    <>
                        <button type="button" className="key" onClick={onAdd}>
                            Add a place
                        </button>
                        <span className={spare < 0 ? 'font-semibold' : 'text-quiet'}>
                            {lesson.minutes - spare} of {lesson.minutes} min{spare < 0 && `: ${-spare} too many`}
                        </span>
                    </>
                )}
            </div>
        </section>
    );
}
