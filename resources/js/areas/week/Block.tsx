import type { CSSProperties } from 'react';
import type { DiaryLesson } from '@/api/types';
import { stateWords } from '@/diary/stateWords';
import { useClock } from '@/session/session';
import { isOff, shortName } from './rows';
import { movedBy, useDrag, type Dragged } from './useDrag';

/** From so many minutes on a whole name fits. */
const LONG = 75;

interface Props extends Dragged {
    lesson: DiaryLesson;
    /** Minutes by which it begins too early for the drive before. */
    short: number;
    style: CSSProperties;
    isChosen: boolean;
    /** Whether it is proposed somewhere else. */
    isAway: boolean;
    onChoose: () => void;
    /** Moves what is proposed by minutes and days; undefined where it is not to be moved. */
    onKey: ((minutes: number, days: number) => void) | undefined;
    onSettle: () => void;
    onLeave: () => void;
}

/** A lesson on the line of its day: pressed it is chosen, dragged or moved by the arrow keys it is proposed elsewhere. */
export function Block({ lesson, short, style, isChosen, isAway, onChoose, onKey, onSettle, onLeave, ...dragged }: Props) {
    const clock = useClock();
    const drag = useDrag(dragged);
    const state = stateWords(lesson.state, lesson.ended?.by);
    const said = short > 0 ? `▸ ${short} min short` : state;
    const ends = new Date(Date.parse(lesson.starts_at) + lesson.lasts_minutes * 60_000);
    return (
        <button
            type="button"
            aria-pressed={isChosen}
            aria-label={[
                `${lesson.learner.name}, ${clock.day(lesson.starts_at)}, ${clock.time(lesson.starts_at)} to ${clock.time(ends)}`,
                state,
                short > 0 ? `${short} minutes too early for the drive there` : null,
            ]
                .filter(Boolean)
                .join(', ')}
            className={`bg-raised absolute z-[1] touch-none overflow-hidden rounded-lg border-2 px-1.5 text-left text-[0.95em] leading-tight ${isChosen ? 'border-now border-4' : 'border-line'} ${isOff(lesson) ? 'border-dashed' : ''} ${isAway ? 'opacity-50' : ''} ${lesson.state === 'done' || lesson.state === 'cut-short' ? 'bg-wash' : ''} ${drag.isDragged ? 'z-20 opacity-80' : ''}`}
            style={{ ...style, ...drag.style }}
            onClick={() => !drag.isDragged && onChoose()}
            onKeyDown={(event) => {
                const step = movedBy(event.key);
                if (step && onKey) {
                    event.preventDefault();
                    onKey(...step);
                } else if (event.key === 'Enter' && isAway) {
                    event.preventDefault();
                    onSettle();
                } else if (event.key === 'Escape') {
                    onLeave();
                }
            }}
            {...drag.handlers}
        >
            <span className="block truncate text-sm">{clock.time(lesson.starts_at)}</span>
            <span className={`font-bold ${said ? 'block truncate' : 'line-clamp-2'} ${lesson.state === 'cancelled' ? 'line-through' : ''}`}>
                {lesson.lasts_minutes > LONG ? lesson.learner.name : shortName(lesson.learner.name)}
            </span>
            {said && <span className="block truncate text-sm">{said}</span>}
        </button>
    );
}
