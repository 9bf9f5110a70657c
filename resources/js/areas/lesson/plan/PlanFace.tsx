import { useState } from 'react';
import type { Lesson } from '@/api/types';
import { AddPlace } from './AddPlace';
import { Aim } from './Aim';
import { Brief } from './Brief';
import { FromRecord } from './FromRecord';
import { PlaceList } from './PlaceList';

/** What shall we do in this lesson: the aim, the places in order, and the brief for the one that is open. */
export function PlanFace({ lesson }: { lesson: Lesson }) {
    const [openId, setOpenId] = useState<string | null>(null);
    const [wanted, setWanted] = useState<string | null>(null);
    const open = lesson.items.find((item) => item.id === openId) ?? lesson.items[0];
    return (
        <div className="grid gap-3">
            <Aim lesson={lesson} />
            <FromRecord lesson={lesson} onAdd={setWanted} />
            <PlaceList lesson={lesson} openId={open?.id ?? null} onOpen={setOpenId} />
            {wanted !== null && <AddPlace lesson={lesson} words={wanted} open onOpenChange={() => setWanted(null)} onAdded={setOpenId} />}
            {open && <Brief key={open.id} lesson={lesson} item={open} />}
            {lesson.reference_points.length > 0 && (
                <details className="text-sm">
                    <summary className="link min-h-12 cursor-pointer content-center font-semibold">Reference points in {lesson.vehicle.name}</summary>
                    <dl className="grid grid-cols-[minmax(0,18rem)_1fr] gap-x-4 gap-y-1">
                        {lesson.reference_points.map((point) => (
                            <div key={point.what} className="contents">
                                <dt className="text-quiet">{point.what}</dt>
                                <dd>{point.where}</dd>
                            </div>
                        ))}
                    </dl>
                </details>
            )}
        </div>
    );
}
