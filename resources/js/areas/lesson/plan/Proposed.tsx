import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Problem } from '@/api/client';
import { questions } from '@/api/questions';
import type { Lesson, ProposedLesson } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { useTakeWays } from '@/site/useTakeWays';
import { NotShown } from '@/ui/NotShown';
import { useNotice } from '@/ui/Notice';
import { useLesson } from '../useLesson';
import { LeftOut } from './LeftOut';
import { ProposedAim } from './ProposedAim';
import { aimOf, count, nameOf, withoutAPlace, type ProposedWay } from './proposedWords';

const AS_PROPOSED: { pinned: string[]; excluded: string[] } = { pinned: [], excluded: [] };

/** What this lesson could be for and drive, from the record: taken as it is, or with ways put in and thrown out, when the rest is planned again. */
export function Proposed({ lesson }: { lesson: Lesson }) {
    const [{ pinned, excluded }, setWishes] = useState(AS_PROPOSED);
    const heading = useRef<HTMLHeadingElement>(null);
    const { data, error, isPlaceholderData, refetch } = useQuery({
        ...questions.proposal(lesson.id, { pinned, excluded }),
        placeholderData: keepPreviousData,
    });
    if (!data) return error && <NotShown what="What this lesson could be for is not shown" error={error} retry={() => void refetch()} />;
    const wish = (wishes: typeof AS_PROPOSED) => {
        setWishes(wishes);
        // The key that was pressed goes with its line.
        heading.current?.focus({ preventScroll: true });
    };
    const without = (all: string[], one: string) => all.filter((other) => other !== one);
    const pin = (way: ProposedWay) => wish({ pinned: [...without(pinned, nameOf(way)), nameOf(way)], excluded: without(excluded, nameOf(way)) });
    const throwOut = (way: ProposedWay) => wish({ pinned: without(pinned, nameOf(way)), excluded: [...without(excluded, nameOf(way)), nameOf(way)] });
    const isChanged = pinned.length + excluded.length > 0;
    return (
        <section aria-labelledby="proposed" aria-busy={isPlaceholderData} className="border-ink grid gap-3 border-l-4 pl-4">
            <h2 id="proposed" ref={heading} tabIndex={-1} className="text-xl">
                Proposed from the record
            </h2>
            <ul className="grid gap-2">
                {data.aims.map((aim) => (
                    <ProposedAim key={aim.routine} aim={aim} apart={withoutAPlace(aim, data)} />
                ))}
            </ul>
            {data.ways.length > 0 ? (
                <Ways data={data} onWithout={throwOut} pinned={pinned} />
            ) : (
                <p className="text-quiet">
                    {data.is_placed
                        ? 'No place of the school is needed for it yet.'
                        : 'Where the lesson begins is not on the map: without that no places are proposed.'}
                </p>
            )}
            {data.lacking.map((one) => (
                <p key={one.condition} className={one.possible ? 'font-semibold' : 'text-quiet text-sm'}>
                    {one.message}
                </p>
            ))}
            <p className="flex flex-wrap gap-3">
                <Take lesson={lesson} data={data} />
                {isChanged && (
                    <button type="button" className="key" onClick={() => wish(AS_PROPOSED)}>
                        As it was proposed
                    </button>
                )}
            </p>
            <LeftOut data={data} agreed={lesson.promised_before} onTake={pin} />
        </section>
    );
}

function Ways({ data, pinned, onWithout }: { data: ProposedLesson; pinned: string[]; onWithout: (way: ProposedWay) => void }) {
    const name = useRoutineName();
    const minutes = data.ways.reduce((sum, way) => sum + way.minutes, 0);
    const spare = Math.floor(data.spare_s / 60) || 'nothing';
    return (
        <div>
            <ol className="border-hair border-t">
                {data.ways.map((way, i) => (
                    <li key={nameOf(way)} className="border-hair flex items-center gap-3 border-b py-1">
                        <span className="figure w-6 shrink-0 text-right">{i + 1}</span>
                        <span className="min-w-0 flex-1 leading-tight">
                            {name(way.routine)}
                            {pinned.includes(nameOf(way)) && <span className="text-quiet text-sm"> · you put it in</span>}
                            <span className="text-quiet block text-sm">
                                {count(way.rounds, 'round')}, {way.minutes} min · {way.name}
                            </span>
                        </span>
                        <button
                            type="button"
                            className="key min-h-12 px-3"
                            aria-label={`Without ${name(way.routine)}, ${way.name}`}
                            onClick={() => onWithout(way)}
                        >
                            Without
                        </button>
                    </li>
                ))}
            </ol>
            <p className="text-quiet pt-1 text-sm">
                {minutes} min with the drives between, {Math.round(data.talked_s / 60)} of talking, {spare} left over · {(data.driven_m / 1000).toFixed(1)} km
            </p>
        </div>
    );
}

/** The aim is written, and its ways go on the plan; one press takes both back. */
function Take({ lesson, data }: { lesson: Lesson; data: ProposedLesson }) {
    const [isBusy, setBusy] = useState(false);
    const take = useTakeWays();
    const notice = useNotice();
    const name = useRoutineName();
    const { write } = useLesson(lesson.id);
    const onTake = async () => {
        setBusy(true);
        const before = { aim: lesson.aim, aim_routine: lesson.works_on?.routine ?? null, aim_step: lesson.works_on?.step ?? null };
        try {
            const takeBack = await take(lesson.id, data.ways);
            await write(aimOf(data.aims, name));
            notice({
                text: data.ways.length === 0 ? 'The aim is written.' : `The aim is written, ${count(data.ways.length, 'way')} on the plan.`,
                // Neither waits for what is read anew after the other: working a proposal out takes its time.
                undo: () => void Promise.all([write(before), takeBack()]),
            });
        } catch (problem) {
            if (!(problem instanceof Problem)) throw problem;
            notice({ text: `Nothing was taken: ${problem.message}` });
        } finally {
            setBusy(false);
        }
    };
    return (
        <button type="button" className="key" data-tone="main" disabled={isBusy} onClick={() => void onTake()}>
            {data.ways.length === 0 ? 'Take the aim' : lesson.items.length === 0 ? 'Take it' : 'Take it after what is planned'}
        </button>
    );
}
