import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { SiteLine } from '@/api/types';
import { useRules } from '@/rules/rules';
import { askedOf, read, written, type Mark, type Order, type Planned, type Taken } from '@/site/circuit';
import { asItStands, AT_ONCE, useAddress, withSaid } from '@/ui/useAddress';

export const ORDERS: Record<Order, string> = {
    shortest: 'Shortest',
    'easy-to-hard': 'Easy to hard',
    'least-left-over': 'Least left over',
    'as-given': 'As it stands',
};

/** What may be said of a circuit; what is not said stays. */
export interface Said {
    from?: string;
    /** Empty: back where it starts. */
    to?: string;
    order?: Order;
    minutes?: number;
    /** By the clock on the wall of a working day, `16:30`; empty: outside the busy hours. */
    at?: string;
    taken?: Taken[];
    kept?: string;
}

/** A Wednesday: at what hour it is driven is asked, not on which day. The clock on the wall is its own, so no zone is. */
const onAWorkingDay = (at: string): string => `2026-01-07T${at}:00+00:00`;

/** The circuit that stands in the address: nothing of it is lost over a reload, and it can be sent and opened by a colleague. */
export function useCircuit(sites: SiteLine[], marks: Mark[]) {
    const rules = useRules();
    const [search, setSearch] = useAddress(asItStands, AT_ONCE);
    const kept = useQuery(questions.circuits()).data?.find(({ id }) => id === search.get('kept')) ?? null;
    const measured = useQuery(questions.legs()).data?.measured;
    const start = marks.find(({ id }) => id === search.get('from')) ?? marks[0]!;
    const end = marks.find(({ id }) => id === search.get('to') && id !== start.id) ?? null;
    const order = (Object.keys(ORDERS) as Order[]).find((one) => one === search.get('order')) ?? 'easy-to-hard';
    const minutes = Math.min(240, Math.max(15, Number(search.get('minutes')) || 60));
    const at = /^([01]\d|2[0-3]):[0-5]\d$/.exec(search.get('at') ?? '')?.[0] ?? '';
    const ways = search.getAll('way');
    const taken = ways.flatMap((said) => read(said, sites) ?? []);
    const plan: Planned = { start, end, minutes, order, taken, sites, pack: rules.pack, measured, startsAt: at === '' ? null : onAWorkingDay(at) };
    const change = ({ taken: ways, minutes, ...said }: Said) =>
        setSearch((before) => {
            const next = withSaid(before, { ...said, ...(minutes ? { minutes: String(minutes) } : {}) });
            if (ways) {
                next.delete('way');
                ways.forEach((one) => next.append('way', written(one)));
            }
            return next;
        });
    return { plan, kept, at, lost: ways.length - taken.length, asked: askedOf(plan), change, search };
}
