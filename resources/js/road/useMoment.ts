import { useEffect, useState } from 'react';

/** One moment of a picture that plays: by hand, or on its own from where it stands to the end. */
export interface Moment {
    seconds: number;
    playing: boolean;
    set: (seconds: number) => void;
    toggle: () => void;
}

/** @param start where it stands until it is moved */
export function useMoment(longest: number, start = 0): Moment {
    const [moved, setSeconds] = useState<number | null>(null);
    const seconds = moved ?? start;
    const [playing, setPlaying] = useState(false);
    useEffect(() => {
        if (!playing) return;
        const begun = performance.now() - seconds * 1000;
        let frame = requestAnimationFrame(function tick(now) {
            const at = (now - begun) / 1000;
            setSeconds(Math.min(longest, at));
            if (at >= longest) return setPlaying(false);
            frame = requestAnimationFrame(tick);
        });
        return () => cancelAnimationFrame(frame);
        // Only the key starts and ends it: the moment itself moves on inside.
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [playing, longest]);
    return {
        seconds: Math.min(seconds, longest),
        playing,
        set: (value) => {
            setPlaying(false);
            setSeconds(value);
        },
        toggle: () => {
            if (!playing && seconds >= longest) setSeconds(0);
            setPlaying(!playing);
        },
    };
}
