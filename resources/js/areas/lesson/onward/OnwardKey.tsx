import { useState } from 'react';
import type { Lesson, LessonItem } from '@/api/types';
import { useRules } from '@/rules/rules';
import { toldBefore, whereToSay } from '@/seat/rows';
import { useSeat } from '@/seat/useSeat';
import { SeatList } from '@/seat/SeatList';
import { Sheet } from '@/ui/Sheet';
import { TimeLeft } from './TimeLeft';
import { stopOf } from './onward';
import { useOnward } from './useOnward';

interface Props {
    lesson: Lesson;
    item: LessonItem | undefined;
    next: LessonItem | undefined;
    onGo: (item: string) => void;
}

/** The way on: how the next place is asked for and where that is said, the whole list, and what still fits. Read while parked. */
export function OnwardKey({ lesson, item, next, onGo }: Props) {
    const [open, setOpen] = useState(false);
    const { length_unit: unit } = useRules();
    const { asked, left } = useOnward(lesson);
    const { rows, told, following } = useSeat(lesson.items.map(stopOf), asked);
    const said = next && toldBefore(told, next.id);
    const words = said?.say ?? rows.find(({ stop }) => stop.id === next?.id)?.direction;
    return (
        <section aria-label="The way on" className="border-hair grid gap-2 rounded-lg border-2 p-3">
            {next ? (
                <>
                    <p className="text-quiet text-sm">Next: {next.place.name}</p>
                    {words && (
                        <p>
                            “{words}” {said && <span className="text-quiet text-sm">{whereToSay(said, unit)}</span>}
                        </p>
                    )}
                </>
            ) : (
                <p className="text-quiet text-sm">The last place of the plan.</p>
            )}
            <button type="button" className="key min-h-[88px]" onClick={() => setOpen(true)}>
                The way on, time left
            </button>
            <Sheet title="The way on" open={open} onOpenChange={setOpen}>
                <TimeLeft lesson={lesson} item={item} left={left} />
                <SeatList
                    rows={rows}
                    told={told}
                    following={following}
                    watch={lesson.works_on?.step ?? 'mirrors'}
                    here={item?.id}
                    onGo={(id) => {
                        setOpen(false);
                        onGo(id);
                    }}
                />
            </Sheet>
        </section>
    );
}
