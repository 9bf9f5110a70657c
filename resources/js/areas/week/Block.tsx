import { useRef, useState, type CSSProperties, type PointerEvent } from 'react';
import type { DiaryLesson } from '@/api/types';
import { stateWords } from '@/diary/stateWords';
import { STEP } from '@/diary/week';
import { useClock } from '@/session/session';
import { isOff, shortName } from './rows';

/** Less than this is a press that shook, px. */
const SHAKE = 6;

/** From so many minutes on a whole name fits. */
const LONG = 75;

interface Props {
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
    onDrop: ((day: string, minute: number) => void) | undefined;
    minutesPerPixel: (width: number) => number;
    /** Minute of the day at which it begins. */
    from: number;
}

const KEYS: Record<string, [number, number]> = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** A lesson on the line of its day: pressed it is chosen, dragged or moved by the arrow keys it is proposed elsewhere. */
export function Block({ lesson, short, style, isChosen, isAway, onChoose, onKey, onSettle, onLeave, onDrop, minutesPerPixel, from }: Props) {
    const clock = useClock();
    const began = useRef<{ x: number; y: number } | null>(null);
    const [by, setBy] = useState<{ x: number; y: number } | null>(null);
    const state = stateWords(lesson.state, lesson.ended?.by);
    const said = short > 0 ? `▸ ${short} min short` : state;
    const ends = new Date(Date.parse(lesson.starts_at) + lesson.lasts_minutes * 60_000);
    const drop = (event: PointerEvent<HTMLButtonElement>) => {
        const line = event.currentTarget.parentElement!;
        // Which day it was let go over: the lines are as high as they are, so that the rows themselves are asked.
        const under = document
            .elementsFromPoint(event.clientX, event.clientY)
            .find((one): one is HTMLElement => one instanceof HTMLElement && !!one.dataset.day);
        const minute = from + Math.round(((event.clientX - began.current!.x) * minutesPerPixel(line.getBoundingClientRect().width)) / STEP) * STEP;
        onDrop?.(under?.dataset.day ?? line.dataset.day!, minute);
    };
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
            className={`bg-raised absolute z-[1] touch-none overflow-hidden rounded-lg border-2 px-1.5 text-left text-[0.95em] leading-tight ${isChosen ? 'border-now border-4' : 'border-line'} ${isOff(lesson) ? 'border-dashed' : ''} ${isAway ? 'opacity-50' : ''} ${lesson.state === 'done' || lesson.state === 'cut-short' ? 'bg-wash' : ''} ${by ? 'z-20 opacity-80' : ''}`}
            style={{ ...style, ...(by ? { transform: `translate(${by.x}px, ${by.y}px)` } : {}) }}
            onClick={() => !by && onChoose()}
            onKeyDown={(event) => {
                const step = KEYS[event.key];
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
            onPointerDown={(event) => {
                if (!onDrop || event.button !== 0) return;
                began.current = { x: event.clientX, y: event.clientY };
                event.currentTarget.setPointerCapture(event.pointerId);
            }}
            onPointerMove={(event) => {
                if (!began.current) return;
                const to = { x: event.clientX - began.current.x, y: event.clientY - began.current.y };
                if (by || Math.hypot(to.x, to.y) > SHAKE) setBy(to);
            }}
            onPointerUp={(event) => {
                if (by) drop(event);
                began.current = null;
                // The press that ends a drag is none: it is over once the click has passed.
                if (by) setTimeout(() => setBy(null));
            }}
            onPointerCancel={() => {
                began.current = null;
                setBy(null);
            }}
        >
            <span className="block truncate text-sm">{clock.time(lesson.starts_at)}</span>
            <span className={`font-bold ${said ? 'block truncate' : 'line-clamp-2'} ${lesson.state === 'cancelled' ? 'line-through' : ''}`}>
                {lesson.lasts_minutes > LONG ? lesson.learner.name : shortName(lesson.learner.name)}
            </span>
            {said && <span className="block truncate text-sm">{said}</span>}
        </button>
    );
}
