import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, at, Problem } from '@/api/client';
import { questions } from '@/api/questions';
import type { Site, SiteLine } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { armWords } from '@/site/draft';
import { metresApart } from '@/site/map';
import { Field } from '@/ui/Field';
import { useNotice } from '@/ui/Notice';
import { Options } from '@/ui/Options';
import { isMeant } from '@/ui/search';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import type { Way } from './WayFacts';

interface Props {
    site: Site;
    ways: Way[];
    onMerged: () => void;
    onClose: () => void;
}

/** So many are offered before something is searched for. */
const OFFERED = 8;

/** Another site that is the same one is put into this: which, and which of its ways is which. */
export function Merge({ site, ways, onMerged, onClose }: Props) {
    const [find, setFind] = useState('');
    const [other, setOther] = useState<SiteLine | null>(null);
    const sites = useQuery(questions.sites());
    const mine = words([site.name, ...site.arms.map(({ name }) => name ?? '')]);
    const offered = (sites.data ?? [])
        .filter((one) => one.id !== site.id && one.pack === site.pack && isMeant([one.name, ...one.arms.map(({ name }) => name)].join(' '), find))
        .map((one) => ({ one, like: likeness(one, site, mine) }))
        .sort((first, second) => second.like - first.like)
        .map(({ one }) => one);
    return (
        <Sheet
            title="The same place, drawn twice"
            about="Its ways come here with their lessons and marks; its drawing goes into the archive."
            open
            onOpenChange={onClose}
        >
            {other ? (
                <Which site={site} other={other} ways={ways} onBack={() => setOther(null)} onDone={onMerged} />
            ) : (
                <div className="grid gap-3">
                    <Field label="Which one is put in here?">
                        <input type="search" value={find} onChange={(event) => setFind(event.target.value)} />
                    </Field>
                    {sites.isLoading && <Waiting />}
                    {sites.error && <Failed error={sites.error} retry={() => void sites.refetch()} />}
                    {sites.data && offered.length === 0 && <p>No other site of the same law is called that.</p>}
                    <ul className="grid gap-2">
                        {offered.slice(0, find ? undefined : OFFERED).map((one) => (
                            <li key={one.id}>
                                <button type="button" className="key min-h-14 w-full justify-start text-left" onClick={() => setOther(one)}>
                                    {one.name}
                                    {one.used > 0 && ` · ${one.used} used in lessons`}
                                </button>
                            </li>
                        ))}
                    </ul>
                </div>
            )}
        </Sheet>
    );
}

/** Each way that lessons use of the other, and which it is here. */
function Which({ site, other, ways, onBack, onDone }: { site: Site; other: SiteLine; ways: Way[]; onBack: () => void; onDone: () => void }) {
    const client = useQueryClient();
    const notice = useNotice();
    const routineName = useRoutineName();
    const drawn = useQuery(questions.site(other.id));
    const [chosen, setChosen] = useState<Record<string, string>>({});
    const [wrong, setWrong] = useState<string | null>(null);
    if (drawn.isLoading) return <Waiting />;
    if (!drawn.data) return <Failed error={drawn.error} retry={() => void drawn.refetch()} />;
    const arm = (id: string) => {
        const found = site.arms.find((one) => one.id === id);
        return found ? armWords(found as Named, site.arms as Named[]) : id;
    };
    const rows = drawn.data.used.map((used) => {
        const like = ways.filter((way) => way.routine === used.routine && way.tool !== null);
        const options = Object.fromEntries(like.map((way) => [`${way.from} ${way.to}`, `${arm(way.from)} → ${arm(way.to)}`]));
        return { used, options, value: chosen[used.place_id] ?? Object.keys(options)[0] };
    });
    const lacking = rows.filter(({ value }) => value === undefined);
    const put = async () => {
        setWrong(null);
        const said = rows.map(({ used, value = ' ' }) => {
            const [from, to] = value.split(' ') as [string, string];
            return { place_id: used.place_id, from, to };
        });
        try {
            await api.POST('/sites/{site}/merge', { ...at({ site: site.id }), body: { other: other.id, ways: said } });
        } catch (error) {
            if (!(error instanceof Problem)) throw error;
            setWrong(Object.values(error.errors).flat()[0] ?? error.message);
            return;
        }
        await Promise.all([['sites'], ['places'], ['lesson']].map((queryKey) => client.invalidateQueries({ queryKey })));
        notice({ text: `${other.name} is one with ${site.name} now.` });
        onDone();
    };
    return (
        <div className="grid gap-4">
            <p>
                <strong>{other.name}</strong> becomes a part of <strong>{site.name}</strong>.
            </p>
            {rows.length === 0 && <p>No lesson uses a way of it: only its drawing goes.</p>}
            {rows.map(({ used, options, value }) =>
                value === undefined ? (
                    <p key={used.place_id} className="font-semibold">
                        ▸ Nothing here is {routineName(used.routine).toLowerCase()}: draw its road first.
                    </p>
                ) : (
                    <Field key={used.place_id} label={`${routineName(used.routine)} is here`}>
                        <select value={value} onChange={(event) => setChosen({ ...chosen, [used.place_id]: event.target.value })}>
                            <Options of={options} />
                        </select>
                    </Field>
                ),
            )}
            {wrong && (
                <p role="alert" className="font-semibold">
                    ▸ {wrong}
                </p>
            )}
            <div className="flex flex-wrap gap-3">
                <button type="button" className="key" data-tone="main" disabled={lacking.length > 0} onClick={() => void put()}>
                    Make them one
                </button>
                <button type="button" className="key" data-tone="bare" onClick={onBack}>
                    Another one
                </button>
            </div>
        </div>
    );
}

type Named = { name: string; bearing_deg: number };

const words = (names: string[]): Set<string> =>
    new Set(
        names
            .join(' ')
            .toLowerCase()
            .match(/\p{L}{3,}/gu) ?? [],
    );

/** How much another site looks like this one: words of its name and roads in common with ours, and how near it lies. */
function likeness(one: SiteLine, site: Site, mine: Set<string>): number {
    const common = [...words([one.name, ...one.arms.map((arm) => arm.name)])].filter((word) => mine.has(word)).length;
    const metres = metresApart(one, site);
    return common + (metres === null ? 0 : 4 * Math.exp(-metres / 100));
}
