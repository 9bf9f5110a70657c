import { useMemo, useState } from 'react';
import { ApproachView } from '@/approach/ApproachView';
import type { Conditions } from '@/approach/Controls';
import type { ApproachInputs, Lesson, PlannedItem } from '@/api/types';
import { DrawingLinks } from '@/drawings/DrawingLinks';
import { ROUTINE_WORDS } from '@/strip/words';
import { useLesson } from '../useLesson';

/** Everything to explain one place at the kerb. */
export function Brief({ lesson, item }: { lesson: Lesson; item: PlannedItem }) {
    const { approach } = item.place;
    const { refresh } = useLesson(lesson.id);
    const [conditions, setConditions] = useState<Conditions>({
        speed: approach.limit_mph ?? 30,
        gradient: approach.gradient ?? 0,
        surface: 'dry',
        follower: false,
    });
    const inputs = useMemo<ApproachInputs>(
        () => ({ ...lesson.plan_defaults, ...approach, routine: item.routine }),
        [lesson.plan_defaults, approach, item.routine],
    );
    return (
        <section aria-label={`Brief: ${item.place.name}`} className="grid gap-2">
            <ApproachView
                inputs={inputs}
                conditions={conditions}
                onConditions={setConditions}
                lead={
                    <div className="min-w-0 flex-1 basis-60">
                        <p className="hidden font-semibold print:block">{item.place.name}</p>
                        <h2 className="text-lg">{ROUTINE_WORDS[item.routine]}</h2>
                        <p className="text-quiet text-sm">{[describe(approach), item.place.note].filter(Boolean).join('. ')}</p>
                    </div>
                }
            />
            <div className="flex flex-wrap items-center gap-3">
                <DrawingLinks drawings={item.drawings} onChanged={refresh} />
                <button type="button" className="key screen-only" onClick={() => window.print()}>
                    Print this brief
                </button>
            </div>
        </section>
    );
}

function describe(approach: PlannedItem['place']['approach']): string {
    return [
        `${approach.limit_mph ?? 30} mph limit`,
        approach.control === 'stop' ? 'stop line' : approach.control === 'give-way' ? 'give-way line' : null,
        approach.view_from_m !== undefined ? `view from ${approach.view_from_m} m` : approach.view ? `${approach.view} view` : null,
        approach.one_way ? 'one-way' : null,
        approach.room_m ? `${approach.room_m} m of room` : null,
    ]
        .filter(Boolean)
        .join(', ');
}
