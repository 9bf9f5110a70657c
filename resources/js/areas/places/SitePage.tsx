import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, at, Problem } from '@/api/client';
import { questions } from '@/api/questions';
import type { Site, SiteAnswer } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { useRules, useSay } from '@/rules/rules';
import { armIs, armWords, begun, drawnBefore, isStart, named, turned, withArm, withoutArm, type Draft } from '@/site/draft';
import { SitePicture } from '@/site/SitePicture';
import { Field } from '@/ui/Field';
import { NotShown } from '@/ui/NotShown';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import { useForm } from '@/ui/useForm';
import { ArmForm } from './site/ArmForm';
import { Position } from './site/Position';
import { useDraft } from './site/useDraft';
import { UseInLesson } from './site/UseInLesson';
import { WayFacts, WayStrip } from './site/WayFacts';

const KINDS = { junction: '{junction}', roundabout: 'roundabout', 'mini-roundabout': 'mini-roundabout' } as const;

/** A site, new or drawn before. */
export function SitePage() {
    const { id = 'new' } = useParams();
    const [search] = useSearchParams();
    const start = search.get('start');
    const kept = useQuery({ ...questions.site(id), enabled: id !== 'new' });
    if (id === 'new') return <Drawing key="new" begin={begun(isStart(start) ? start : 't')} />;
    if (kept.isLoading) return <Waiting />;
    if (!kept.data) return <Failed error={kept.error} retry={() => void kept.refetch()} />;
    return <Drawing key={id} begin={drawnBefore(kept.data)} site={kept.data} />;
}

/** Drawn once: the roads on the left, the way through them that is looked at on the right, its plan below. */
function Drawing({ begin, site }: { begin: Draft; site?: Site }) {
    const rules = useRules();
    const say = useSay();
    const client = useQueryClient();
    const go = useNavigate();
    const notice = useNotice();
    const [search, setSearch] = useSearchParams();
    const { draft, change, undo, canUndo, isChanged, throwAway, settle } = useDraft(begin, site?.id ?? `new ${search.get('start') ?? 't'}`);
    const form = useForm({});
    const [road, setRoad] = useState<string | null>(null);
    const [using, setUsing] = useState(false);
    const pack = site?.pack ?? rules.pack;
    const asked = { pack, kind: draft.kind, arms: draft.arms };
    const drawn = useCompute('site', asked);
    // What cannot be is said; what could be before stays in sight until it can be again.
    const [answer, setAnswer] = useState(drawn.data);
    if (drawn.data && drawn.data !== answer) setAnswer(drawn.data);
    const ways = answer?.ways ?? [];
    const wanted = ways.find((way) => way.from === search.get('from') && way.to === search.get('to'));
    const isChoosing = search.get('from') !== null && search.get('to') === null;
    const hardest = ways.reduce<(typeof ways)[number] | undefined>(
        (most, way) => (most && most.difficulty.score >= way.difficulty.score ? most : way),
        undefined,
    );
    // Until somebody says a way, the hardest is looked at; one that nobody may drive is none.
    const way = wanted ?? (draft.arms.some(({ id }) => id === search.get('from')) ? undefined : hardest);
    const from = way?.from ?? search.get('from');
    const first = useQuery({
        ...questions.tool('site', { ...asked, ...(way ? { from: way.from, to: way.to } : {}) }),
        enabled: way !== undefined,
        placeholderData: (before) => before,
    });
    const name = (arm: string | null | undefined) => {
        const found = draft.arms.find((one) => one.id === arm);
        return found ? armWords(found, draft.arms) : '';
    };
    const choose = (id: string) => {
        const next = new URLSearchParams(search);
        if (isChoosing && id !== from) next.set('to', id);
        else {
            next.set('from', id);
            next.delete('to');
        }
        setSearch(next, { replace: true });
    };
    const closed = answer?.closed.find((one) => one.from === search.get('from') && one.to === search.get('to'));
    const errors = drawn.error instanceof Problem ? drawn.error.errors : form.errors;
    const ofArm = (id: string): Record<string, string[]> => {
        const at = `arms.${draft.arms.findIndex((arm) => arm.id === id)}.`;
        return Object.fromEntries(Object.entries(errors).flatMap(([field, said]) => (field.startsWith(at) ? [[field.slice(at.length), said]] : [])));
    };
    const keep = () =>
        form.submit(async () => {
            const { note, ...rest } = draft;
            const body = { ...rest, note: note || null, pack };
            const saved = site ? await api.PUT('/sites/{site}', { ...at({ site: site.id }), body }) : await api.POST('/sites', { body });
            // The ways that lessons use follow.
            await Promise.all([['sites'], ['places'], ['lesson']].map((queryKey) => client.invalidateQueries({ queryKey })));
            notice({ text: `${saved.name} is kept.` });
            settle();
            if (!site) await go(`/places/sites/${saved.id}?${search.toString()}`, { replace: true });
        });
    const edited = draft.arms.find((arm) => arm.id === road);
    const arm = (id: string | null | undefined) => draft.arms.find((one) => one.id === id);
    const [left, right] = [arm(way?.meets.left), arm(way?.meets.right)];
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void keep();
            }}
        >
            <header className="grid gap-1">
                <Link className="link text-sm" to="/places">
                    Places
                </Link>
                <h1 className="text-3xl break-words">{draft.name || 'New site'}</h1>
                <p className="text-quiet">
                    {say(KINDS[draft.kind])} · law of {answer?.law ?? rules.pack_name} · {ways.length} ways
                    {isChanged && ' · not kept yet'}
                </p>
            </header>
            <div className="grid gap-6 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
                <div className="grid content-start gap-3">
                    <SitePicture
                        draft={draft}
                        keeps={answer?.keeps ?? rules.keeps}
                        from={from}
                        to={way?.to ?? search.get('to')}
                        met={{ ...(left ? { left } : {}), ...(right ? { right } : {}) }}
                        seen={seenFrom(way?.inputs)}
                        onTurn={(id, bearing) => change(`lies ${id}`, (now) => turned(now, id, bearing))}
                        onChoose={choose}
                    />
                    <div className="flex flex-wrap items-center gap-2" role="group" aria-label="Roads">
                        <span className="text-quiet">Say more of:</span>
                        {draft.arms.map((one) => (
                            <button key={one.id} type="button" className="key" onClick={() => setRoad(one.id)}>
                                {armWords(one, draft.arms)}
                                {Object.keys(ofArm(one.id)).length > 0 && <span aria-label="something is wrong here"> ▸</span>}
                            </button>
                        ))}
                        <button type="button" className="key" data-tone="bare" onClick={() => change('arms', withArm)}>
                            Another road
                        </button>
                        <button type="button" className="key" data-tone="bare" disabled={!canUndo} onClick={undo}>
                            Undo
                        </button>
                    </div>
                </div>
                <div className="grid content-start gap-4">
                    <p className="text-quiet">Press where you come from, then where you go</p>
                    <h2 className="text-2xl break-words">
                        {way
                            ? `${name(way.from)} → ${name(way.to)}, ${way.exit_number === null ? way.out : `exit ${way.exit_number}`}`
                            : `${name(from)} → ${name(search.get('to')) || 'where?'}`}
                    </h2>
                    {closed && <p className="font-semibold">▸ {closed.message}</p>}
                    {drawn.error && <NotShown what="As it is drawn now there are no ways" error={drawn.error} retry={() => void drawn.refetch()} />}
                    {way && <WayFacts way={way} first={first.data?.measure_first ?? []} />}
                    <div className="grid gap-4 sm:grid-cols-2">
                        <Field label="Name of the site" errors={form.errors.name ?? []}>
                            <input
                                maxLength={160}
                                value={draft.name}
                                placeholder={`${name(draft.arms[draft.arms.length - 1]?.id)} at ${draft.arms[0]?.name ?? ''}`}
                                onChange={(event) => change('name', (now) => ({ ...now, name: event.target.value }))}
                            />
                        </Field>
                        <Field label="Note" errors={form.errors.note ?? []}>
                            <input maxLength={500} value={draft.note} onChange={(event) => change('note', (now) => ({ ...now, note: event.target.value }))} />
                        </Field>
                    </div>
                    <Position draft={draft} errors={form.errors} onChange={(part) => change('position', (now) => ({ ...now, ...part }))} />
                    {form.message && (
                        <p role="alert" className="font-semibold">
                            ▸ {form.message}
                        </p>
                    )}
                    <div className="flex flex-wrap gap-3">
                        <button type="submit" className="key" data-tone="main" disabled={form.busy}>
                            Keep the site
                        </button>
                        {isChanged && (
                            <button type="button" className="key" data-tone="bare" onClick={throwAway}>
                                Throw the changes away
                            </button>
                        )}
                        {site && way?.tool && (
                            <button type="button" className="key" disabled={isChanged} onClick={() => setUsing(true)}>
                                Use in a lesson
                            </button>
                        )}
                    </div>
                </div>
            </div>
            {way?.inputs && <WayStrip inputs={way.inputs} />}
            <Ways ways={ways} name={name} onChoose={(one) => setSearch({ from: one.from, to: one.to }, { replace: true })} />
            <Sheet title={edited ? armWords(edited, draft.arms) : ''} open={edited !== undefined} onOpenChange={() => setRoad(null)}>
                {edited && (
                    <ArmForm
                        draft={draft}
                        arm={edited}
                        measured={(answer?.measured ?? []).filter((row) => row.arm === edited.id)}
                        offers={answer?.offers ?? { controls: ['give-way'], centre_lane: false }}
                        errors={ofArm(edited.id)}
                        onChange={(part) => change(`${Object.keys(part).join()} of ${edited.id}`, (now) => armIs(now, edited.id, part))}
                        onName={(said) => change(`name of ${edited.id}`, (now) => named(now, edited.id, said))}
                        onTurn={(bearing) => change(`lies ${edited.id}`, (now) => turned(now, edited.id, bearing))}
                        onRemove={() => {
                            setRoad(null);
                            change('arms', (now) => withoutArm(now, edited.id));
                        }}
                    />
                )}
            </Sheet>
            {using && site && way && <UseInLesson site={site.id} from={way.from} to={way.to} onClose={() => setUsing(false)} />}
        </form>
    );
}

/** How far one sees along the road met, as it is planned with: written or measured. */
const seenFrom = (inputs: SiteAnswer['ways'][number]['inputs'] | undefined): { left?: number; right?: number } =>
    Object.fromEntries(
        (['left', 'right'] as const).flatMap((side) => (typeof inputs?.[`sight_${side}_m`] === 'number' ? [[side, inputs[`sight_${side}_m`]]] : [])),
    );

interface WaysProps {
    ways: { from: string; to: string; title: string; out: string; difficulty: { words: string } }[];
    name: (arm: string) => string;
    onChoose: (way: { from: string; to: string }) => void;
}

/** Every way as a list: the same as the picture, to be read and pressed. */
function Ways({ ways, name, onChoose }: WaysProps) {
    return (
        <details>
            <summary className="link min-h-12 cursor-pointer content-center font-semibold">All {ways.length} ways</summary>
            <ul className="grid gap-1 sm:grid-cols-2">
                {ways.map((way) => (
                    <li key={`${way.from}>${way.to}`}>
                        <button type="button" className="key w-full justify-start text-left" data-tone="bare" onClick={() => onChoose(way)}>
                            {name(way.from)} → {name(way.to)}: {way.title.toLowerCase()}, {way.difficulty.words}
                        </button>
                    </li>
                ))}
            </ul>
        </details>
    );
}
