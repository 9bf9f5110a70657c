import { useQueries, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { questions } from '@/api/questions';
import type { Between, BusyTime, LessonLine } from '@/api/types';
import { busyWords, entriesOf } from '@/diary/entries';
import { stateWords } from '@/diary/stateWords';
import { useClock } from '@/session/session';

const isOver = ({ state }: LessonLine): boolean => state !== 'booked';

interface Props {
    lessons: LessonLine[];
    busy: BusyTime[];
    between: Between[];
    nextId?: string;
}

/** The day as one line: lessons and what else takes time to scale, the gaps between them said, and how much of them is driving. */
export function DayLine({ lessons, busy, between, nextId }: Props) {
    const clock = useClock();
    const entries = entriesOf(lessons, busy);
    const proposed = useProposed(lessons.filter((lesson) => !isOver(lesson) && lesson.aim === null).map(({ id }) => id));
    return (
        <ol className="flex flex-col gap-2 lg:flex-row lg:gap-0" aria-label="The day">
            {entries.map(({ id, from, until, lesson, busy: held }, i) => {
                const gap = i === 0 ? 0 : Math.round((from - entries[i - 1]!.until) / 60_000);
                const drive = between.find((one) => one.before === id);
                // A whole day of leave is no wider than a long lesson.
                const box = { flexGrow: Math.min((until - from) / 60_000, 120), flexBasis: '7rem' };
                return (
                    <li key={id} className="contents">
                        {(gap > 0 || (drive?.short_minutes ?? 0) > 0) && <Gap minutes={gap} drive={drive} />}
                        {lesson ? (
                            <Link
                                to={`/lessons/${id}/plan`}
                                style={box}
                                className={`min-h-fit min-w-0 rounded-lg border-2 px-3 py-2 ${id === nextId ? 'border-now border-b-8' : 'border-line'} ${isOver(lesson) ? 'bg-wash' : ''}`}
                            >
                                <span className="block font-bold">{clock.time(lesson.starts_at)}</span>
                                <span className="block truncate">{lesson.learner.name}</span>
                                <span className="text-quiet block text-sm">
                                    {[`${lesson.lasts_minutes} min`, stateWords(lesson.state)].filter(Boolean).join(' · ')}
                                </span>
                                {!isOver(lesson) && <AimOf aim={lesson.aim ?? proposed[id]} />}
                            </Link>
                        ) : (
                            <div
                                style={box}
                                className={`min-h-fit min-w-0 border-l-8 px-3 py-2 ${held.kind === 'test' ? 'border-now bg-raised' : 'border-line bg-hair/60'}`}
                            >
                                <span className="block font-bold">{clock.time(held.starts_at)}</span>
                                <span className="block truncate">{busyWords(held)}</span>
                                <span className="text-quiet block truncate text-sm">{held.centre?.name ?? `until ${clock.time(held.ends_at)}`}</span>
                            </div>
                        )}
                    </li>
                );
            })}
        </ol>
    );
}

/** What a lesson is for, or could be. */
const AimOf = ({ aim }: { aim: string | undefined }) => (aim ? <span className="block text-sm leading-snug lg:line-clamp-2">{aim}</span> : null);

/** What lessons without an aim could be for, by lesson: asked one after the other, for each takes the server a moment. */
function useProposed(ids: string[]): Record<string, string> {
    const client = useQueryClient();
    const asked = (id: string) => questions.proposal(id, { pinned: [], excluded: [] });
    const isAsked = (id: string | undefined) => id === undefined || (client.getQueryState(asked(id).queryKey)?.status ?? 'pending') !== 'pending';
    const answers = useQueries({ queries: ids.map((id, i) => ({ ...asked(id), enabled: isAsked(ids[i - 1]) })) });
    return Object.fromEntries(
        answers.flatMap(({ data, status }, i) => {
            const first = data?.aims[0];
            return status === 'success' && first ? [[ids[i]!, `Proposed: ${first.message}`]] : [];
        }),
    );
}

/** Between two lessons; where the drive takes longer than there is, that stands out. */
function Gap({ minutes, drive }: { minutes: number; drive: Between | undefined }) {
    const short = drive?.short_minutes ?? 0;
    return (
        <span
            className={`content-center pl-3 text-sm lg:min-w-14 lg:pl-0 lg:text-center ${short > 0 ? 'font-semibold' : 'text-quiet'} ${drive?.travel_minutes || short > 0 ? '' : 'hidden lg:block'}`}
            style={{ flexGrow: Math.max(0, minutes) / 3 }}
        >
            <span className="hidden lg:block">{Math.max(0, minutes)} min</span>
            {short > 0 ? (
                <span className="block">▸ {short} too few</span>
            ) : (
                drive?.travel_minutes != null && drive.travel_minutes > 0 && <span className="block">drive {drive.travel_minutes}</span>
            )}
        </span>
    );
}
