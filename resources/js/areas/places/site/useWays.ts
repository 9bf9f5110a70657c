import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { questions } from '@/api/questions';
import type { Site } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import type { Draft } from '@/site/draft';
import { asItStands, AT_ONCE, useAddress, withSaid } from '@/ui/useAddress';
import type { Way } from './WayFacts';

/** Every way through what is drawn, as the core reads it, and the one that is looked at: it stands in the address. */
export function useWays(draft: Draft, pack: Site['pack']) {
    const [search, setSearch] = useAddress(asItStands, AT_ONCE);
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
        /** The address as it is said, which the page's own follows a moment later. */
        search,
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
        lookAt: ({ from, to, routine }: Pick<Way, 'from' | 'to' | 'routine'>) => setSearch((before) => withSaid(before, { from, to, routine })),
        /** A road is pressed: where one comes from, and then where one goes. */
        choose: (id: string) =>
            setSearch((before) => {
                const isChoosing = before.get('from') !== null && before.get('to') === null && id !== before.get('from');
                return withSaid(before, { routine: '', ...(isChoosing ? { to: id } : { from: id, to: '' }) });
            }),
    };
}
