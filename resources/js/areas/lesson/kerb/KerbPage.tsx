import { useEffect, useRef, type PointerEvent } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Lesson } from '@/api/types';
import { useTitle } from '@/ui/useTitle';
import { RulesOf } from '@/rules/rules';
import { PicturesThere } from '@/site/Pictures';
import { Empty, Failed, Waiting } from '@/ui/State';
import { useWakeLock } from '../drive/useWakeLock';
import { KerbPlace } from './KerbPlace';
import { useShownLesson } from '../useLesson';
import { giveTheScreenBack } from './screen';

/** Parked: one picture, one sentence, one number, for the learner beside us. The next place is one swipe or key away. */
export function KerbPage() {
    const { id = '' } = useParams();
    const lesson = useShownLesson(id);
    useTitle();
    useWakeLock();
    useEffect(() => giveTheScreenBack, []);
    return (
        <main id="page" tabIndex={-1} className="bg-paper fixed inset-0 overflow-hidden outline-none">
            {lesson.isLoading ? (
                <Waiting />
            ) : !lesson.data ? (
                <Failed error={lesson.error} retry={() => void lesson.refetch()} />
            ) : lesson.data.items.length === 0 ? (
                <div className="p-6">
                    <Empty title="No places yet">
                        <Link className="key justify-self-start" to={`/lessons/${id}/plan`}>
                            Back to the plan
                        </Link>
                    </Empty>
                </div>
            ) : (
                <RulesOf rules={lesson.data.rules}>
                    <Places lesson={lesson.data} />
                </RulesOf>
            )}
        </main>
    );
}

/** How far a finger has to go for a swipe, px. */
const SWIPE = 60;

function Places({ lesson }: { lesson: Lesson }) {
    const [params, setParams] = useSearchParams();
    const navigate = useNavigate();
    const swipe = useRef<{ x: number; y: number } | null>(null);
    const found = lesson.items.findIndex((item) => item.id === params.get('place'));
    const i = Math.max(0, found);
    const item = lesson.items[i]!;
    const go = (to: number) => {
        const next = lesson.items[to];
        if (next) setParams({ place: next.id }, { replace: true });
    };
    const leave = () => void navigate(`/lessons/${lesson.id}/plan`);
    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            if (event.ctrlKey || event.metaKey || event.altKey) return;
            const act = { ArrowRight: () => go(i + 1), ArrowLeft: () => go(i - 1), Escape: leave }[event.key];
            if (!act) return;
            event.preventDefault();
            act();
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    });
    const lift = (event: PointerEvent) => {
        const from = swipe.current;
        swipe.current = null;
        if (!from || Math.abs(event.clientX - from.x) < SWIPE || Math.abs(event.clientX - from.x) < 2 * Math.abs(event.clientY - from.y)) return;
        go(event.clientX < from.x ? i + 1 : i - 1);
    };
    return (
        <div
            className="flex h-full touch-pan-y flex-col gap-[1.5vh] p-3 sm:p-6"
            onPointerDown={(event) => (swipe.current = { x: event.clientX, y: event.clientY })}
            onPointerUp={lift}
            onPointerCancel={() => (swipe.current = null)}
        >
            <header className="flex items-center gap-3">
                <h1 className="min-w-0 flex-1 text-xl break-words sm:text-3xl">{item.place.name}</h1>
                {item.place.site_id && item.place.from_arm && <PicturesThere key={item.id} site={item.place.site_id} arm={item.place.from_arm} />}
                <Turn className="max-sm:hidden [@media(max-height:500px)]:flex" {...{ i, of: lesson.items.length, go }} />
                <button type="button" className="key min-h-14 min-w-14 text-xl" aria-label="Back to the plan" onClick={leave}>
                    ✕
                </button>
            </header>
            <KerbPlace key={item.id} item={item} />
            <p className="text-quiet text-center max-sm:hidden [@media(max-height:500px)]:hidden">
                {lesson.items[i + 1] ? `Next: ${lesson.items[i + 1]!.place.name}. Swipe, or press →` : 'The last place of this lesson'}
            </p>
            <Turn className="[@media(max-height:500px)]:hidden sm:hidden" {...{ i, of: lesson.items.length, go }} />
        </div>
    );
}

/** To the place before and the next, and which one this is: beside the name, on an upright phone at the foot. */
function Turn({ i, of, go, className }: { i: number; of: number; go: (to: number) => void; className: string }) {
    return (
        <nav aria-label="Places" className={`flex items-center justify-between gap-3 ${className}`}>
            <button type="button" className="key min-h-14 min-w-14 text-2xl" aria-label="Place before" disabled={i === 0} onClick={() => go(i - 1)}>
                ‹
            </button>
            <p className="text-quiet whitespace-nowrap">
                {i + 1} of {of}
            </p>
            <button type="button" className="key min-h-14 min-w-14 text-2xl" aria-label="Next place" disabled={i === of - 1} onClick={() => go(i + 1)}>
                ›
            </button>
        </nav>
    );
}
