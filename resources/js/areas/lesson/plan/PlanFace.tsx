import { useState } from 'react';
import type { Lesson } from '@/api/types';
import { Empty } from '@/ui/State';
import { Travel } from '../onward/Travel';
import { AddPlace } from './AddPlace';
import { Aim } from './Aim';
import { Brief } from './Brief';
import { FromRecord } from './FromRecord';
import { LessonLine } from './LessonLine';
import { Proposed } from './Proposed';

/** What shall we do in this lesson: the places in order, the brief for the one that is open, and beside it the aim and what to work on. */
export function PlanFace({ lesson }: { lesson: Lesson }) {
    const [openId, setOpenId] = useState<string | null>(null);
    const [wanted, setWanted] = useState<string | null>(null);
    const isToCome = lesson.state === 'booked' || lesson.state === 'wished';
    const open = lesson.items.find((item) => item.id === openId) ?? lesson.items[0];
    const beside = (
        <div className="screen-only grid content-start gap-3">
            <Aim lesson={lesson} />
            {open && isToCome && <Again lesson={lesson} />}
            <FromRecord lesson={lesson} onAdd={setWanted} />
            {lesson.reference_points.length > 0 && (
                <details>
                    <summary className="link min-h-12 cursor-pointer content-center font-semibold">Reference points in {lesson.vehicle.name}</summary>
                    <dl className="grid gap-1 text-sm">
                        {lesson.reference_points.map((point) => (
                            <div key={point.what}>
                                <dt className="text-quiet">{point.what}</dt>
                                <dd>{point.where}</dd>
                            </div>
                        ))}
                    </dl>
                </details>
            )}
        </div>
    );
    return (
        <div className="grid gap-3">
            {open && <LessonLine lesson={lesson} open={open} onOpen={setOpenId} onAdd={() => setWanted('')} />}
            <Travel lesson={lesson} />
            {open ? (
                <Brief key={open.id} lesson={lesson} item={open} beside={beside} />
            ) : (
                <div className="grid gap-6 lg:grid-cols-[1fr_19rem]">
                    <div className="grid content-start gap-6">
                        {isToCome && <Proposed lesson={lesson} />}
                        <Empty title="No places yet">
                            <p>Take what is proposed, or choose a junction, easy before hard; its plan opens here.</p>
                            <button type="button" className="key justify-self-start" onClick={() => setWanted('')}>
                                Add a place
                            </button>
                        </Empty>
                    </div>
                    {beside}
                </div>
            )}
            {wanted !== null && <AddPlace lesson={lesson} words={wanted} open onOpenChange={() => setWanted(null)} onAdded={setOpenId} />}
        </div>
    );
}

/** Beside a plan there is already: what the record would propose, on a press. */
function Again({ lesson }: { lesson: Lesson }) {
    const [isOpen, setOpen] = useState(false);
    return (
        <details open={isOpen} onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary className="min-h-12 cursor-pointer content-center font-semibold">What the record would propose</summary>
            {isOpen && <Proposed lesson={lesson} />}
        </details>
    );
}
