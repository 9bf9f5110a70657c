import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useState } from 'react';
import type { Changed } from '@/api/types';
import type { Lesson } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { RangeBand } from '@/skill/RangeBand';
import { inTen, isUncertain, percent } from '@/skill/words';
import { StepIcon } from '@/strip/glyphs';
import { STEP_WORDS } from '@/strip/words';
import { NotShown } from '@/ui/NotShown';

const FIRST = 5;
/** A change this small, of a hundred, is said as none. */
const LEVEL = 1;

/** Progress today in the record and by how much: the hollow bar is where it stood, the full one where it stands. */
export function WhatChanged({ lesson }: { lesson: Lesson }) {
    const [all, setAll] = useState(false);
    const name = useRoutineName();
    const changed = useQuery(questions.changed(lesson.id));
    if (changed.error && !changed.data) return <NotShown what="Progress today is not shown" error={changed.error} retry={() => void changed.refetch()} />;
    if (!changed.data || changed.data.length === 0) return null;
    const shown = all ? changed.data : changed.data.slice(0, FIRST);
    return (
        <section aria-labelledby="changed" className="grid gap-2">
            <h2 id="changed" className="text-xl">
                Progress today
            </h2>
            <ul className="grid gap-x-8 gap-y-1 md:grid-cols-2">
                {shown.map((one) => (
                    <li
                        key={`${one.routine}.${one.step}`}
                        className="border-hair grid grid-cols-[1.8rem_minmax(0,1fr)_auto] items-center gap-x-2 border-b py-1"
                    >
                        <StepIcon step={one.step} size={24} />
                        <span className="min-w-0">
                            <span className="block truncate">
                                <strong>{STEP_WORDS[one.step]}</strong>, {name(one.routine).toLowerCase()}
                            </span>
                            <RangeBand believed={one.after} before={one.before} />
                        </span>
                        <span className="text-right leading-tight">
                            <span className="font-display text-lg font-bold">{said(one)}</span>
                            <span className="text-quiet block text-sm">{isUncertain(one.after) ? 'not certain yet' : 'times alone'}</span>
                        </span>
                    </li>
                ))}
            </ul>
            {changed.data.length > FIRST && (
                <button type="button" className="key screen-only justify-self-start" data-tone="bare" onClick={() => setAll(!all)}>
                    {all ? 'Only the largest' : `All ${changed.data.length}`}
                </button>
            )}
            <p className="text-quiet text-sm">How often each is done alone in a quiet town by day, before and after the marks of this lesson.</p>
        </section>
    );
}

function said(one: Changed): string {
    if (!one.before) return `first: ${inTen(one.after.estimate)}`;
    const by = percent(one.after.estimate) - percent(one.before.estimate);
    if (Math.abs(by) < LEVEL) return `${inTen(one.after.estimate)}, as before`;
    const [then, now] = [inTen(one.before.estimate), inTen(one.after.estimate)];
    return then === now ? `${now}, a little ${by > 0 ? 'more' : 'less'}` : `${then.split(' ')[0]} → ${now}`;
}
