import { Link } from 'react-router';
import type { CellEvidence } from '@/api/types';
import { useClock } from '@/session/session';
import { timesSurely } from '@/skill/words';

const HIGH = 110;

/** How it has changed, lesson by lesson: the bar is the range, its thick line the estimate; under it what the lesson marked. */
export function HistoryChart({ history }: { history: CellEvidence['history'] }) {
    const clock = useClock();
    const y = (chance: number) => HIGH - 2 - chance * (HIGH - 4);
    return (
        // The latest is what one looks for: a long row begins at its end.
        <ol ref={(row) => row?.scrollTo({ left: row.scrollWidth })} className="relative flex gap-1 overflow-x-auto pb-2" aria-label="Lessons, oldest first">
            {history.map((lesson) => (
                <li key={lesson.lesson} className="shrink-0">
                    <Link to={`/lessons/${lesson.lesson}/debrief`} className="hover:bg-wash grid min-w-13 justify-items-center rounded-lg px-1 py-1 text-sm">
                        <span className="sr-only">{timesSurely(lesson)};</span>
                        <svg width="28" height={HIGH} viewBox={`0 0 28 ${HIGH}`} aria-hidden="true">
                            <line x1="0" x2="28" y1={y(1)} y2={y(1)} stroke="var(--hair)" />
                            <line x1="0" x2="28" y1={y(0.5)} y2={y(0.5)} stroke="var(--hair)" strokeDasharray="3 3" />
                            <line x1="0" x2="28" y1={y(0)} y2={y(0)} stroke="var(--line)" />
                            <rect x="6" width="16" y={y(lesson.high)} height={y(lesson.low) - y(lesson.high)} fill="var(--ink)" fillOpacity="0.22" />
                            <rect x="4" width="20" y={y(lesson.estimate) - 2} height="4" fill="var(--ink)" />
                        </svg>
                        <span className="font-semibold whitespace-nowrap">
                            {lesson.unaided} of {lesson.of}
                        </span>
                        <span className="text-quiet whitespace-nowrap">{clock.short(lesson.at)}</span>
                    </Link>
                </li>
            ))}
        </ol>
    );
}
