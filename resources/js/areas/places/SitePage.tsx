import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, at, Problem } from '@/api/client';
import { questions } from '@/api/questions';
import type { Site, SiteAnswer } from '@/api/types';
import { useRules, useSay } from '@/rules/rules';
import { armIs, armWords, begun, drawnBefore, hasRoom, isMet, isStart, KINDS, named, remarkOf, turned, withArm, withoutArm, type Draft } from '@/site/draft';
import { Position } from '@/site/Position';
import { SitePicture } from '@/site/SitePicture';
import { Field } from '@/ui/Field';
import { NotShown } from '@/ui/NotShown';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import { useForm } from '@/ui/useForm';
import { ArmForm } from './site/ArmForm';
import { Merge } from './site/Merge';
import { OwnWord } from './site/OwnWord';
import { Past } from './site/Past';
import { useDraft } from './site/useDraft';
import { UseInLesson } from './site/UseInLesson';
import { useWays } from './site/useWays';
import { WayFacts, WayPlan } from './site/WayFacts';
import { Ways } from './site/Ways';

/** A site, new or drawn before. */
export function SitePage() {
    const { id = 'new' } = useParams();
    const [search] = useSearchParams();
    const { keeps } = useRules();
    const start = search.get('start');
    // Made one with another it is drawn as it is now.
    const [merged, setMerged] = useState(0);
    const kept = useQuery({ ...questions.site(id), enabled: id !== 'new' });
    if (id === 'new') return <Drawing key="new" begin={begun(isStart(start) ? start : 't', keeps)} />;
    if (kept.isLoading) return <Waiting />;
    if (!kept.data) return <Failed error={kept.error} retry={() => void kept.refetch()} />;
    return <Drawing key={`${id} ${merged}`} begin={drawnBefore(kept.data)} site={kept.data} onMerged={() => setMerged(merged + 1)} />;
}

/** Drawn once: the roads on the left, the way through them that is looked at on the right, its plan below. */
function Drawing({ begin, site, onMerged }: { begin: Draft; site?: Site; onMerged?: () => void }) {
    const rules = useRules();
    const say = useSay();
    const client = useQueryClient();
    const go = useNavigate();
    const notice = useNotice();
    const start = useSearchParams()[0].get('start') ?? 't';
    const { draft, change, undo, canUndo, isChanged, throwAway, settle } = useDraft(begin, site?.id ?? `new ${start}`);
    const form = useForm({});
    const [road, setRoad] = useState<string | null>(null);
    const [using, setUsing] = useState(false);
    const [merging, setMerging] = useState(false);
    const pack = site?.pack ?? rules.pack;
    const { search, answer, drawn, ways, way, taught, from, to, closed, first, lookAt, choose } = useWays(draft, pack);
    const arm = (id: string | null | undefined) => draft.arms.find((one) => one.id === id);
    const name = (id: string | null | undefined) => {
        const found = arm(id);
        return found ? armWords(found, draft.arms) : '';
    };
    const errors = drawn.error instanceof Problem ? drawn.error.errors : form.errors;
    const ofArm = (id: string): Record<string, string[]> => {
        const at = `arms.${draft.arms.findIndex((one) => one.id === id)}.`;
        return Object.fromEntries(Object.entries(errors).flatMap(([field, said]) => (field.startsWith(at) ? [[field.slice(at.length), said]] : [])));
    };
    const keep = (archive = false) =>
        form.submit(async () => {
            const { note, ...rest } = draft;
            const body = { ...rest, note: note || null, pack, archive };
            const saved = site ? await api.PUT('/sites/{site}', { ...at({ site: site.id }), body }) : await api.POST('/sites', { body });
            // The ways that lessons use follow.
            await Promise.all([['sites'], ['places'], ['lesson']].map((queryKey) => client.invalidateQueries({ queryKey })));
            notice({ text: `${saved.name} is kept.` });
            settle();
            if (!site) await go(`/places/sites/${saved.id}?${search.toString()}`, { replace: true });
        });
    // A way that lessons to come plan would be no more.
    const missed = form.errors.archive;
    const edited = arm(road);
    const [left, right] = [arm(way?.meets.left), arm(way?.meets.right)];
    const heading =
        draft.arms.length === 1
            ? name(from)
            : way
              ? `${name(way.from)} → ${name(way.to)}${isMet(draft.kind) ? `, ${way.exit_number === null ? way.out : `exit ${way.exit_number}`}` : ''}`
              : `${name(from)} → ${name(to) || 'where?'}`;
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
                    {say(KINDS[draft.kind])} · law of {answer?.law ?? rules.pack_name} · {ways.length} {ways.length === 1 ? 'way' : 'ways'}
                    {isChanged && ' · not kept yet'}
                </p>
            </header>
            <div className="grid gap-6 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
                <div className="grid content-start gap-3">
                    <SitePicture
                        draft={draft}
                        keeps={answer?.keeps ?? rules.keeps}
                        from={from}
                        to={to}
                        met={{ ...(left ? { left } : {}), ...(right ? { right } : {}) }}
                        seen={seenFrom(way?.inputs)}
                        onChange={change}
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
                        {hasRoom(draft) && (
                            <button type="button" className="key" data-tone="bare" onClick={() => change('arms', withArm)}>
                                Another road
                            </button>
                        )}
                        <button type="button" className="key" data-tone="bare" disabled={!canUndo} onClick={undo}>
                            Undo
                        </button>
                    </div>
                </div>
                <div className="grid content-start gap-4">
                    {draft.arms.length > 1 && (
                        <p className="text-quiet">Press where you come from, then where you go. Pull what is marked ◇, or move it by arrow keys.</p>
                    )}
                    <h2 className="text-2xl break-words">{heading}</h2>
                    {closed && <p className="font-semibold">▸ {closed.message}</p>}
                    {drawn.error && <NotShown what="As it is drawn now there are no ways" error={drawn.error} retry={() => void drawn.refetch()} />}
                    {taught.length > 1 && (
                        <div className="flex flex-wrap gap-2" role="group" aria-label="Taught on this way">
                            {taught.map((one) => (
                                <button key={one.routine} type="button" className="key" aria-pressed={one === way} onClick={() => lookAt(one)}>
                                    {one.title}
                                </button>
                            ))}
                        </div>
                    )}
                    {way && <WayFacts way={way} ownWord={remarkOf(draft, way)?.difficulty ?? null} first={first} />}
                    {site && way?.tool && <Past site={site.id} way={way} />}
                    {way && <OwnWord draft={draft} way={way} errors={form.errors} onChange={change} />}
                    <div className="grid gap-4 sm:grid-cols-2">
                        <Field label="Name of the site" errors={form.errors.name ?? []}>
                            <input
                                maxLength={160}
                                value={draft.name}
                                placeholder={isMet(draft.kind) ? `${name(draft.arms[draft.arms.length - 1]?.id)} at ${draft.arms[0]?.name ?? ''}` : ''}
                                onChange={(event) => change('name', (now) => ({ ...now, name: event.target.value }))}
                            />
                        </Field>
                        <Field label="Note on the site" errors={form.errors.note ?? []}>
                            <input maxLength={500} value={draft.note} onChange={(event) => change('note', (now) => ({ ...now, note: event.target.value }))} />
                        </Field>
                    </div>
                    <details>
                        <summary className="link min-h-12 cursor-pointer content-center font-semibold">
                            Where it lies{draft.latitude_deg === null && ': not known yet'}
                        </summary>
                        <Position
                            where={draft}
                            errors={{ latitude: form.errors.latitude_deg ?? [], longitude: form.errors.longitude_deg ?? [] }}
                            here="I am at the site now"
                            onChange={({ latitude_deg, longitude_deg }) => change('position', (now) => ({ ...now, latitude_deg, longitude_deg }))}
                        />
                    </details>
                    {form.message && !missed && (
                        <p role="alert" className="font-semibold">
                            ▸ {form.message}
                        </p>
                    )}
                    {missed && (
                        <div role="alert" className="grid gap-2">
                            {missed.map((sentence) => (
                                <p key={sentence} className="font-semibold">
                                    ▸ {sentence}
                                </p>
                            ))}
                            <p>Kept so, it goes out of those lessons; its rounds stay what they were.</p>
                            <button type="button" className="key justify-self-start" disabled={form.busy} onClick={() => void keep(true)}>
                                Keep it all the same
                            </button>
                        </div>
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
                        {site && (
                            <button type="button" className="key" data-tone="bare" disabled={isChanged} onClick={() => setMerging(true)}>
                                Drawn twice?
                            </button>
                        )}
                    </div>
                </div>
            </div>
            {way && <WayPlan way={way} />}
            <Ways draft={draft} ways={ways} name={name} onChoose={lookAt} />
            <Sheet title={edited ? armWords(edited, draft.arms) : ''} open={edited !== undefined} onOpenChange={() => setRoad(null)}>
                {edited && (
                    <ArmForm
                        draft={draft}
                        arm={edited}
                        site={site?.id ?? null}
                        measured={(answer?.measured ?? []).filter((row) => row.arm === edited.id)}
                        offers={answer?.offers ?? { controls: ['give-way'], centre_lane: false, features: [] }}
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
            {merging && site && <Merge site={site} ways={ways} onMerged={() => onMerged?.()} onClose={() => setMerging(false)} />}
            {using && site && way && <UseInLesson site={site.id} from={way.from} to={way.to} routine={way.routine} onClose={() => setUsing(false)} />}
        </form>
    );
}

/** How far one sees along the road met, as it is planned with: written or measured. */
const seenFrom = (inputs: SiteAnswer['ways'][number]['inputs'] | undefined): { left?: number; right?: number } =>
    Object.fromEntries(
        (['left', 'right'] as const).flatMap((side) => (typeof inputs?.[`sight_${side}_m`] === 'number' ? [[side, inputs[`sight_${side}_m`]]] : [])),
    );
