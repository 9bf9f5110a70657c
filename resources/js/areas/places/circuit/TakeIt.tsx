import { Problem } from '@/api/client';
import type { CircuitAnswer, LessonLine } from '@/api/types';
import { useClock } from '@/session/session';
import { minutesOf, type Taken } from '@/site/circuit';
import { useTakeWays } from '@/site/useTakeWays';
import { useNotice } from '@/ui/Notice';
import { LessonChoice } from '../site/LessonChoice';

/** Its ways go on the plan of a lesson, in their order and with their minutes. */
export function TakeIt({ data, driven, onClose }: { data: CircuitAnswer; driven: Taken[]; onClose: () => void }) {
    const take = useTakeWays();
    const notice = useNotice();
    const clock = useClock();
    const minutes = minutesOf(data.parts, data.order);
    const put = async (lesson: LessonLine) => {
        try {
            const takeBack = await take(
                lesson.id,
                driven.map((way, i) => ({ ...way, minutes: minutes[i]! })),
            );
            notice({
                text: `${driven.length === 1 ? 'One way is' : `${driven.length} ways are`} on the plan of ${lesson.learner.name}, ${clock.time(lesson.starts_at)}.`,
                undo: () => void takeBack(),
            });
        } catch (problem) {
            if (!(problem instanceof Problem)) throw problem;
            notice({ text: `Nothing was taken: ${problem.message}` });
        }
        onClose();
    };
    return <LessonChoice onChoose={(lesson) => void put(lesson)} onClose={onClose} />;
}
