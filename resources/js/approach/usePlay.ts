import { useEffect, useRef, useState } from 'react';
import type { Drawable, StripStep } from '@/strip/plan';
import { readAt } from '@/ui/columns';

/** A moment after the line before the played approach is over, s. */
const REST = 0.8;

/**
 * Plays a plan in real time: the car moves on the road, and the step it has come to is the current one. Where the
 * device asks for little movement, it goes from step to step instead.
 */
export function usePlay(plan: Drawable | undefined, onStep: (step: StripStep) => void) {
    const [left, setLeft] = useState<number | null>(null);
    const playing = left !== null;
    const step = useRef(onStep);
    useEffect(() => {
        step.current = onStep;
    });
    useEffect(() => {
        if (!playing || !plan) return;
        const longest = plan.profile.time_s[0] ?? 0;
        const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
        const begun = performance.now();
        let frame = 0;
        const tick = (now: number) => {
            const toGo = longest - (now - begun) / 1000;
            const reached = plan.steps.filter((candidate) => candidate.best_s >= toGo).at(-1);
            if (reached) step.current(reached.step);
            if (toGo < -REST) return setLeft(null);
            setLeft(still ? (reached?.best_s ?? longest) : Math.max(0, toGo));
            frame = requestAnimationFrame(tick);
        };
        frame = requestAnimationFrame(tick);
        return () => cancelAnimationFrame(frame);
    }, [playing, plan]);
    // Columns run from far to the line, in time as in distance.
    const at = left === null || !plan ? undefined : readAt(plan.profile.time_s, plan.profile.along, left);
    return { playing, at, toggle: () => setLeft((now) => (now === null ? (plan?.profile.time_s[0] ?? null) : null)) };
}
