import { useState } from 'react';
import type { Draft } from '@/site/draft';

/** How many steps are taken back at most. */
const STEPS_BACK = 50;

/** A drawing with its way back: what changes one figure again and again is one step. */
export function useDraft(begun: Draft) {
    const [state, setState] = useState<{ now: Draft; before: Draft[]; what: string }>({ now: begun, before: [], what: '' });
    const [kept, setKept] = useState(state.now);
    return {
        draft: state.now,
        /** `what` is changed, "bearing of s": a run of changes of the same is taken back at once. */
        change: (what: string, to: (draft: Draft) => Draft) =>
            setState(({ now, before, what: last }) => {
                const next = to(now);
                if (next === now) return { now, before, what: last };
                return { now: next, before: what === last && before.length > 0 ? before : [...before, now].slice(-STEPS_BACK), what };
            }),
        undo: () =>
            setState((last) => (last.before.length === 0 ? last : { now: last.before[last.before.length - 1]!, before: last.before.slice(0, -1), what: '' })),
        canUndo: state.before.length > 0,
        isChanged: state.now !== kept,
        /** What is drawn is kept now. */
        settle: () => setKept(state.now),
    };
}
