import { useEffect, useState } from 'react';
import { useSession } from '@/session/session';
import type { Draft } from '@/site/draft';

/** How many steps are taken back at most. */
const STEPS_BACK = 50;

/** What was drawn on this tab and not kept, by whom and of which site: a page that is left by mistake loses nothing. */
function unkept(key: string, begun: Draft): Draft | null {
    try {
        const kept = JSON.parse(sessionStorage.getItem(key) ?? 'null') as Partial<Draft> | null;
        // Drawn before a drawing had all that it has now: the rest is as it began.
        return kept && { ...begun, ...kept };
    } catch {
        return null;
    }
}

/** A drawing with its way back: what changes one figure again and again is one step. `site` is its id, or the word it began with. */
export function useDraft(begun: Draft, site: string) {
    const key = `noble-turn.drawing.${useSession().user.id}.${site}`;
    const [kept, setKept] = useState(begun);
    const [state, setState] = useState<{ now: Draft; before: Draft[]; what: string }>(() => ({ now: unkept(key, begun) ?? kept, before: [], what: '' }));
    const isChanged = state.now !== kept;
    useEffect(() => {
        if (isChanged) sessionStorage.setItem(key, JSON.stringify(state.now));
        else sessionStorage.removeItem(key);
    }, [key, state.now, isChanged]);
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
        isChanged,
        /** As it was before anything was changed. */
        throwAway: () => setState({ now: kept, before: [], what: '' }),
        /** What is drawn is kept now. */
        settle: () => {
            sessionStorage.removeItem(key);
            setKept(state.now);
        },
    };
}
