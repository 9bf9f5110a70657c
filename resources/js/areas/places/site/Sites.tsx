import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type Dispatch, type SetStateAction } from 'react';
import { Link } from 'react-router';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { SiteLine, SiteNear } from '@/api/types';
import { ArchiveList } from '@/archive/ArchiveList';
import { useRoutineText, useSay } from '@/rules/rules';
import { KINDS, STARTS, type Start } from '@/site/draft';
import { lies } from '@/site/map';
import { SitesMap } from '@/site/SitesMap';
import { useMarks } from '@/site/useMarks';
import { InAndOut } from './InAndOut';
import { NearChoice, type Near } from './NearChoice';
import { useNotice } from '@/ui/Notice';
import { NotShown } from '@/ui/NotShown';
import { isMeant } from '@/ui/search';
import { withSaid } from '@/ui/useAddress';

/** So many kinds are offered at once: most of what is drawn is one of them. */
const FIRST = 5;

const address = ({ id }: { id: string }) => `/places/sites/${id}`;

/** The sites of the school: where they lie, and as a list; a new one begins as what it is most like. */
export function Sites({ said, onSaid }: { said: URLSearchParams; onSaid: Dispatch<SetStateAction<URLSearchParams>> }) {
    const client = useQueryClient();
    const say = useSay();
    const text = useRoutineText();
    const notice = useNotice();
    const sites = useQuery(questions.sites());
    const [all, setAll] = useState(false);
    const [picked, setPicked] = useState(false);
    const [only, setOnly] = useState<'' | 'unused' | 'easy' | 'hard'>('');
    const marks = useMarks();
    const near: Near = { what: said.get('near') ?? '', within: Number(said.get('within')) || null };
    const find = said.get('find') ?? '';
    const from = marks.find(({ id }) => id === near.what);
    const distances = useQuery({
        ...questions.sitesNear({ latitude_deg: from?.latitude_deg ?? 0, longitude_deg: from?.longitude_deg ?? 0 }),
        enabled: from !== undefined,
    });
    const byTime = new Map(from ? distances.data?.map((row, rank) => [row.site, { ...row, rank }]) : []);
    const look = ({ what, within }: Near) => onSaid((before) => withSaid(before, { near: what, within: what === '' ? '' : String(within ?? '') }));
    const putAway = async (site: SiteLine) => {
        const again = () => client.invalidateQueries({ queryKey: ['sites'] });
        await api.DELETE('/sites/{site}', at({ site: site.id }));
        await again();
        notice({ text: `${site.name} is archived.`, undo: () => void api.POST('/sites/{site}/restore', at({ site: site.id })).then(again) });
    };
    const routines = (site: SiteLine) => [...new Set(site.ways.map(({ routine }) => routine))];
    const time = ({ id }: { id: string }) => byTime.get(id)?.time_s ?? Infinity;
    const rank = ({ id }: { id: string }) => byTime.get(id)?.rank ?? Infinity;
    const meant = (sites.data ?? []).filter(
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
            (only === '' || (only === 'unused' ? site.used === 0 : site.ways.some(({ words }) => words === only))) &&
            (byTime.size === 0 || near.within === null || time(site) <= near.within * 60),
    );
    // Where there is nothing to be near they stay as they came: by name.
    const found = byTime.size === 0 ? meant : [...meant].sort((one, other) => compared(rank(one), rank(other)));
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
            {placed.length > 0 && (
                <SitesMap
                    sites={placed}
                    marks={marks.filter(({ kind, id }) => kind !== 'pick-up' || picked || id === near.what)}
                    from={near.what}
                    address={address}
                />
            )}
            {(sites.data?.length ?? 0) > 0 && (
                <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Show">
                    {(
                        [
                            ['', 'All'],
                            ['unused', 'Never used'],
                            ['easy', 'With an easy way'],
                            ['hard', 'With a hard way'],
                        ] as const
                    ).map(([value, words]) => (
                        <button key={value} type="button" className="key" aria-pressed={only === value} onClick={() => setOnly(value)}>
                            {words}
                        </button>
                    ))}
                    {marks.some(({ kind }) => kind === 'pick-up') && (
                        <button type="button" className="key" aria-pressed={picked} onClick={() => setPicked(!picked)}>
                            Pick-ups on the map
                        </button>
                    )}
                    <NearChoice near={near} marks={marks} onChange={look} />
                    <Link className="key" to="/places/circuits">
                        Circuits
                    </Link>
                    {marks.length > 0 && (
                        <Link className="key" to={`/places/circuit${near.what === '' ? '' : `?from=${near.what}`}`}>
                            Plan a circuit
                        </Link>
                    )}
                </div>
            )}
            {from && distances.error && <NotShown what="How far they are is not known" error={distances.error} retry={() => void distances.refetch()} />}
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
                                {byTime.has(site.id) && ` · ${farWords(byTime.get(site.id)!)}`}
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

/** Two that lie nowhere stay as they stood. */
const compared = (one: number, other: number): number => (one === other ? 0 : one - other);

/** How far one drives there: never said finer than it is known. */
const farWords = ({ time_s, driven_m }: SiteNear): string => {
    const far = driven_m < 950 ? `${Math.max(100, Math.round(driven_m / 100) * 100)} m` : `${(driven_m / 1000).toFixed(1)} km`;
    return `about ${Math.max(1, Math.round(time_s / 60))} min, ${far} by road`;
};
