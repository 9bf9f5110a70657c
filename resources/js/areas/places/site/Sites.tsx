import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { SiteLine } from '@/api/types';
import { ArchiveList } from '@/archive/ArchiveList';
import { useRoutineText, useSay } from '@/rules/rules';
import { KINDS, STARTS, type Start } from '@/site/draft';
import { lies } from '@/site/map';
import { SitesMap } from '@/site/SitesMap';
import { InAndOut } from './InAndOut';
import { useNotice } from '@/ui/Notice';
import { NotShown } from '@/ui/NotShown';
import { isMeant } from '@/ui/search';

/** So many kinds are offered at once: most of what is drawn is one of them. */
const FIRST = 5;

const address = ({ id }: { id: string }) => `/places/sites/${id}`;

/** The sites of the school: where they lie, and as a list; a new one begins as what it is most like. */
export function Sites({ find }: { find: string }) {
    const client = useQueryClient();
    const say = useSay();
    const text = useRoutineText();
    const notice = useNotice();
    const sites = useQuery(questions.sites());
    const [all, setAll] = useState(false);
    const [only, setOnly] = useState<'' | 'unused' | 'hard'>('');
    const putAway = async (site: SiteLine) => {
        const again = () => client.invalidateQueries({ queryKey: ['sites'] });
        await api.DELETE('/sites/{site}', at({ site: site.id }));
        await again();
        notice({ text: `${site.name} is archived.`, undo: () => void api.POST('/sites/{site}/restore', at({ site: site.id })).then(again) });
    };
    const routines = (site: SiteLine) => [...new Set(site.ways.map(({ routine }) => routine))];
    const found = (sites.data ?? []).filter(
        (site) =>
            isMeant(
                [
                    site.name,
                    ...site.arms.map(({ name }) => name),
                    ...routines(site).map(text),
                    say(KINDS[site.kind]),
                    site.note ?? '',
                    ...site.ways.map(({ note }) => note ?? ''),
                ].join(' '),
                find,
            ) &&
            (only === '' || (only === 'unused' ? site.used === 0 : site.ways.some(({ words }) => words === 'hard'))),
    );
    const placed = found.filter(lies);
    return (
        <section aria-label="Sites" className="grid gap-3">
            <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
                <h2 className="text-xl">Sites</h2>
                <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Draw a new site">
                    <span className="text-quiet">Draw:</span>
                    {(Object.keys(STARTS) as Start[]).slice(0, all ? undefined : FIRST).map((start) => (
                        <Link key={start} className="key" to={`/places/sites/new?start=${start}`}>
                            {say(STARTS[start].words)}
                        </Link>
                    ))}
                    <button type="button" className="key" data-tone="bare" aria-expanded={all} onClick={() => setAll(!all)}>
                        {all ? 'Fewer' : 'Something else'}
                    </button>
                </div>
            </div>
            {sites.error && <NotShown what="The sites are not shown" error={sites.error} retry={() => void sites.refetch()} />}
            {sites.data?.length === 0 && (
                <p className="text-quiet">Draw a place once, and every way through it is planned: a T gives six, a {say('{crossroads}')} twelve.</p>
            )}
            {placed.length > 0 && <SitesMap sites={placed} address={address} />}
            {(sites.data?.length ?? 0) > 0 && (
                <div className="flex flex-wrap gap-2" role="group" aria-label="Show">
                    {(
                        [
                            ['', 'All'],
                            ['unused', 'Never used'],
                            ['hard', 'With a hard way'],
                        ] as const
                    ).map(([value, words]) => (
                        <button key={value} type="button" className="key" aria-pressed={only === value} onClick={() => setOnly(value)}>
                            {words}
                        </button>
                    ))}
                </div>
            )}
            <ul>
                {found.map((site) => (
                    <li key={site.id} className="border-hair flex flex-wrap items-center gap-x-4 border-b py-2">
                        <div className="min-w-[min(15rem,100%)] flex-1">
                            <h3 className="text-lg">
                                <Link className="link break-words" to={address(site)}>
                                    {site.name}
                                </Link>
                            </h3>
                            <p className="text-quiet text-sm">
                                {say(KINDS[site.kind])} · {site.ways.length} ways{site.used > 0 && `, ${site.used} used in lessons`}
                                {!lies(site) && ' · not on the map'}
                                {site.note && ` · ${site.note}`}
                            </p>
                        </div>
                        <button type="button" className="key" data-tone="bare" aria-label={`Archive ${site.name}`} onClick={() => void putAway(site)}>
                            Archive
                        </button>
                    </li>
                ))}
            </ul>
            {sites.data && sites.data.length > 0 && found.length === 0 && <p>No site is like that.</p>}
            {sites.data && <InAndOut />}
            <ArchiveList of="sites" />
        </section>
    );
}
