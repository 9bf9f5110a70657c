import type { CSSProperties } from 'react';
import type { BusyTime } from '@/api/types';
import { busyWords } from '@/diary/entries';
import { useClock } from '@/session/session';
import { movedBy, useDrag, type Dragged } from './useDrag';

interface Props extends Dragged {
    busy: BusyTime;
    style: CSSProperties;
    /** Minutes by which it begins too early for the drive before. */
    short: number;
    /** Undefined where it is not to be changed. */
    onOpen: (() => void) | undefined;
    /** Asks for it by so many minutes and days elsewhere. */
    onKey: ((minutes: number, days: number) => void) | undefined;
}

/** What else takes time, on the line of its day: no lesson, so without a frame; pressed, dragged or moved by the arrow keys it is changed. */
export function BusyBlock({ busy, style, short, onOpen, onKey, ...dragged }: Props) {
    const clock = useClock();
    const drag = useDrag(dragged);
    const words = busyWords(busy);
    const isTest = busy.kind === 'test';
    const named = [`${words}, ${clock.day(busy.starts_at)}, ${clock.time(busy.starts_at)} to ${clock.time(busy.ends_at)}`, busy.centre?.name];
    if (short > 0) named.push(`${short} minutes too early for the drive there`);
    return (
        <button
            type="button"
            disabled={!onOpen}
            onClick={() => !drag.isDragged && onOpen?.()}
            onKeyDown={(event) => {
                const step = movedBy(event.key);
                if (!step || !onKey) return;
                event.preventDefault();
                onKey(...step);
            }}
            {...drag.handlers}
            aria-label={named.filter(Boolean).join(', ')}
            className={`absolute z-[1] touch-none overflow-hidden border-l-8 pl-1 text-left text-sm leading-tight ${isTest ? 'border-now bg-raised rounded-r-lg' : 'border-line bg-hair/60'} ${drag.isDragged ? 'z-20 opacity-80' : ''}`}
            style={{ ...style, ...drag.style }}
        >
            <span className="block truncate">{clock.time(busy.starts_at)}</span>
            <span className={`${short > 0 ? 'block truncate' : 'line-clamp-2 break-words'} ${isTest ? 'font-bold' : ''}`}>{words}</span>
            {short > 0 && <span className="block truncate">▸ {short} min short</span>}
        </button>
    );
}
