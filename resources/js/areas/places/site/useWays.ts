import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { questions } from '@/api/questions';
import type { Site } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import type { Draft } from '@/site/draft';
import type { Way } from './WayFacts';

/** Every way through what is drawn, as the core reads it, and the one that is looked at: it stands in the address. */
export function useWays(draft: Draft, pack: Site['pack']) {
    const [search, setSearch] = useSearchParams();
    const asked = { pack, kind: draft.kind, arms: draft.arms };
    const drawn = useCompute('site', asked);
    // What cannot be is said; what could be before stays in sight until it can be again.
    const [answer, setAnswer] = useState(drawn.data);
    if (drawn.data && drawn.data !== answer) setAnswer(drawn.data);
    const ways = answer?.ways ?? [];
    const [from, to, routine] = ['from', 'to', 'routine'].map((name) => search.get(name));
    const there = ways.filter((way) => way.from === from && way.to === to);
    const wanted = there.find((way) => way.routine === routine) ?? there[0];
    const hardest = ways.reduce<Way | undefined>((most, way) => (most && most.difficulty.score >= way.difficulty.score ? most : way), undefined);
    // Until somebody says a way, the hardest is looked at; one that nobody may drive is none.
    const way = wanted ?? (draft.arms.some(({ id }) => id === from) ? undefined : hardest);
    const first = useQuery({
        ...questions.tool('site', { ...asked, ...(way ? { from: way.from, to: way.to, routine: way.routine } : {}) }),
        enabled: way !== undefined,
        placeholderData: (before) => before,
    });
    return {
        answer,
        /** Of what is drawn now: waiting, or what the core refuses of it. */
        drawn,
        ways,
        way,
        /** What else is taught between the same two roads, and it. */
        taught: ways.filter((one) => one.from === way?.from && one.to === way.to),
        from: way?.from ?? from ?? null,
        to: way?.to ?? to ?? null,
        closed: answer?.closed.find((one) => one.from === from && one.to === to),
        first: first.data?.measure_first ?? [],
        lookAt: (one: Pick<Way, 'from' | 'to' | 'routine'>) =>
            setSearch((before) => ({ ...kept(before), from: one.from, to: one.to, routine: one.routine }), { replace: true }),
        /** A road is pressed: where one comes from, and then where one goes. */
        choose: (id: string) =>
            setSearch(
                (before) => {
                    const isChoosing = before.get('from') !== null && before.get('to') === null;
                    return { ...kept(before), ...(isChoosing && id !== before.get('from') ? { from: before.get('from')!, to: id } : { from: id }) };
                },
                { replace: true },
            ),
    };
}

/** What stands in the address besides the way. */
const kept = (search: URLSearchParams): Record<string, string> => (search.has('start') ? { start: search.get('start')! } : {});
