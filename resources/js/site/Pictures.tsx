import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState, type PointerEvent } from 'react';
import { api, at, Problem } from '@/api/client';
import { questions } from '@/api/questions';
import type { Picture } from '@/api/types';
import { Field } from '@/ui/Field';
import { NotShown } from '@/ui/NotShown';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { asJpeg, asPath, drawnOn, NoPicture, type Line } from './picture';
import { usePen } from './usePen';

/** Pictures of the roads of a site as they hang there; those of one road where it is named. */
const usePictures = (site: string, arm: string) => {
    const all = useQuery(questions.pictures(site));
    return { ...all, hung: (all.data ?? []).filter((picture) => picture.arm === arm) };
};

/** Pictures that hang on a road: more are taken or chosen, each is drawn on, named and taken down. */
export function Pictures({ site, arm }: { site: string; arm: string }) {
    const { hung, error, refetch } = usePictures(site, arm);
    const again = useHangingAgain(site);
    const [seen, setSeen] = useState<string | null>(null);
    const [wrong, setWrong] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const hang = async (file: File | undefined) => {
        if (!file) return;
        setBusy(true);
        setWrong(null);
        try {
            await api.POST('/sites/{site}/pictures', { ...at({ site }), body: { arm, image: await asJpeg(file) } });
            await again();
        } catch (problem) {
            if (!(problem instanceof NoPicture) && !(problem instanceof Problem)) throw problem;
            setWrong(problem instanceof Problem ? (Object.values(problem.errors)[0]?.[0] ?? problem.message) : problem.message);
        } finally {
            setBusy(false);
        }
    };
    const shown = hung.find(({ id }) => id === seen);
    return (
        <section aria-label="Pictures" className="grid gap-2">
            <h4 className="font-semibold">Pictures of this road</h4>
            {error && <NotShown what="The pictures are not shown" error={error} retry={() => void refetch()} />}
            <ul className="flex flex-wrap gap-2">
                {hung.map((picture, i) => (
                    <li key={picture.id}>
                        <button type="button" className="block" aria-label={picture.note ?? `Picture ${i + 1}`} onClick={() => setSeen(picture.id)}>
                            <Shown picture={picture} className="h-24 w-auto rounded-lg" />
                        </button>
                    </li>
                ))}
            </ul>
            <label className="key cursor-pointer justify-self-start focus-within:outline-2">
                {busy ? 'Being kept…' : 'Add a picture'}
                <input
                    type="file"
                    accept="image/*"
                    className="sr-only"
                    disabled={busy}
                    onChange={(event) => {
                        void hang(event.target.files?.[0]);
                        event.target.value = '';
                    }}
                />
            </label>
            <p className="text-quiet text-sm">
                A sign, a line, a view. Where and when it was taken is left away; only this school sees it. No people, no number plates.
            </p>
            {wrong && (
                <p role="alert" className="font-semibold">
                    ▸ {wrong}
                </p>
            )}
            <Sheet title="Picture" open={shown !== undefined} onOpenChange={() => setSeen(null)}>
                {shown && <DrawOn key={shown.id} picture={shown} onDone={() => setSeen(null)} />}
            </Sheet>
        </section>
    );
}

const useHangingAgain = (site: string) => {
    const client = useQueryClient();
    return () => client.invalidateQueries({ queryKey: questions.pictures(site).queryKey });
};

/** A picture with what is drawn on it. */
export function Shown({ picture, lines, className = '' }: { picture: Picture; lines?: Line[]; className?: string }) {
    const { id, width, height, note } = picture;
    const whole = useQuery(questions.picture(id));
    const stroke = Math.max(width, height) / 120;
    return (
        <svg viewBox={`0 0 ${width} ${height}`} className={className} role="img" aria-label={note ?? 'A picture of this road'}>
            <rect width={width} height={height} fill="var(--verge)" />
            {whole.data && <image href={whole.data.image} width={width} height={height} />}
            {(lines ?? (picture.lines as Line[])).map((line, i) => (
                <g key={i} fill="none" strokeLinejoin="round" strokeLinecap="round">
                    <path d={asPath(line, width, height)} stroke="var(--ink)" strokeWidth={2 * stroke} />
                    <path d={asPath(line, width, height)} stroke="var(--now-fill)" strokeWidth={stroke} data-line="" />
                </g>
            ))}
        </svg>
    );
}

/** Drawn on by finger, pen or mouse; a note says the same in words. */
function DrawOn({ picture, onDone }: { picture: Picture; onDone: () => void }) {
    const again = useHangingAgain(picture.site_id);
    const notice = useNotice();
    const [lines, setLines] = useState(picture.lines as Line[]);
    const [note, setNote] = useState(picture.note ?? '');
    const [drawing, setDrawing] = useState<Line | null>(null);
    const how = useId();
    const pen = usePen({ drawing, setDrawing, onLine: (line) => setLines([...lines, line]) });
    const under = (event: PointerEvent): [number, number] => {
        const box = event.currentTarget.getBoundingClientRect();
        return [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height];
    };
    const keep = async () => {
        await api.PUT('/pictures/{picture}', { ...at({ picture: picture.id }), body: { arm: picture.arm, note: note || null, lines } });
        await again();
        onDone();
    };
    const takeDown = async () => {
        await api.DELETE('/pictures/{picture}', at({ picture: picture.id }));
        await again();
        onDone();
        notice({
            text: 'The picture is taken down.',
            undo: () => void api.POST('/pictures/{picture}/restore', at({ picture: picture.id })).then(again),
        });
    };
    return (
        <div className="grid gap-4">
            {/* Drawn on by hand or by key: what a reader needs of it is its note. */}
            <div
                className="relative cursor-crosshair touch-none"
                role="application"
                tabIndex={0}
                aria-label="Draw on the picture"
                aria-describedby={how}
                {...pen.keys}
                onPointerDown={(event) => {
                    event.currentTarget.setPointerCapture(event.pointerId);
                    setDrawing([under(event)]);
                }}
                onPointerMove={(event) => drawing && setDrawing(drawnOn(drawing, under(event)))}
                onPointerUp={() => {
                    if (drawing && drawing.length > 1) setLines([...lines, drawing]);
                    setDrawing(null);
                }}
            >
                <Shown picture={picture} lines={drawing ? [...lines, drawing] : lines} className="block w-full rounded-lg" />
                {pen.at && (
                    <span
                        aria-hidden="true"
                        data-pen=""
                        className="border-paper outline-ink pointer-events-none absolute size-4 -translate-1/2 rounded-full border-2 outline-2"
                        style={{ left: `${pen.at[0] * 100}%`, top: `${pen.at[1] * 100}%` }}
                    />
                )}
            </div>
            <div className="flex flex-wrap items-center gap-2">
                <span id={how} className="text-quiet">
                    Draw on it to show what you mean. By key: arrows move the pen, Space puts it down and takes it up, Backspace lets the line go.
                </span>
                <span className="sr-only" role="status">
                    {drawing && pen.at ? `Drawing, ${drawing.length} ${drawing.length === 1 ? 'point' : 'points'}` : ''}
                </span>
                <button type="button" className="key" disabled={lines.length === 0} onClick={() => setLines(lines.slice(0, -1))}>
                    Take back a line
                </button>
            </div>
            <Field label="What it shows" hint="Also for who cannot see it.">
                <input maxLength={300} value={note} onChange={(event) => setNote(event.target.value)} />
            </Field>
            <div className="flex flex-wrap gap-2">
                <button type="button" className="key" data-tone="main" onClick={() => void keep()}>
                    Keep
                </button>
                <button type="button" className="key" data-tone="bare" onClick={() => void takeDown()}>
                    Take it down
                </button>
            </div>
        </div>
    );
}

/** At the kerb: the pictures of the road we come by, one press away. */
export function PicturesThere({ site, arm }: { site: string; arm: string }) {
    const { hung } = usePictures(site, arm);
    const [open, setOpen] = useState(false);
    if (hung.length === 0) return null;
    return (
        <>
            <button type="button" className="key min-h-14" onClick={() => setOpen(true)}>
                {hung.length === 1 ? 'Picture' : `${hung.length} pictures`}
            </button>
            <Sheet title="Pictures" open={open} onOpenChange={setOpen}>
                <ul className="grid gap-4">
                    {hung.map((picture) => (
                        <li key={picture.id}>
                            <Shown picture={picture} className="block w-full rounded-lg" />
                            {picture.note && <p>{picture.note}</p>}
                        </li>
                    ))}
                </ul>
            </Sheet>
        </>
    );
}
