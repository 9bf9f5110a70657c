import { useState } from 'react';
import type { Lesson } from '@/api/types';
import { Aim } from './Aim';
import { Brief } from './Brief';
import { PlaceList } from './PlaceList';

/** What shall we do in this lesson: the aim, the places in order, and the brief for the one that is open. */
export function PlanFace({ lesson }: { lesson: Lesson }) {
    const [openId, setOpenId] = useState<string | null>(null);
    const open = lesson.items.find((item) => item.id === openId) ?? lesson.items[0];
    return (
        <div className="grid gap-3">
            <Aim lesson={lesson} />
            <PlaceList lesson={lesson} openId={open?.id ?? null} onOpen={setOpenId} />
            {open && <Brief key={open.id} lesson={lesson} item={open} />}
        </div>
    );
}
