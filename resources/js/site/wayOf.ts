import type { Place, Site, SiteAnswer, SiteAsked } from '@/api/types';

export type OfASite = Pick<Place, 'from_arm' | 'to_arm' | 'routine'>;

/** What the core is asked of a drawing, as its own page asks it: it is answered once for both. */
export const siteAsked = ({ pack, kind, arms }: { pack: Site['pack']; kind: Site['kind']; arms: readonly Site['arms'][number][] }): SiteAsked =>
    ({ pack, kind, arms }) as SiteAsked;

/** The way of a drawing that a place is: between the same roads, and the same routine where more than one is taught there. */
export function wayOf(answer: SiteAnswer | undefined, { from_arm: from, to_arm: to, routine }: OfASite): SiteAnswer['ways'][number] | undefined {
    const there = answer?.ways.filter((way) => way.from === from && way.to === to) ?? [];
    return there.find((way) => way.routine === routine) ?? there[0];
}
