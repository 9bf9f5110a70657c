import { Link } from 'react-router';
import type { Lesson } from '@/api/types';
import { SeatSheet } from '@/seat/SeatSheet';
import { useClock } from '@/session/session';
import { markWords } from '@/site/circuit';
import { stopOf } from '../onward/onward';
import { useOnward } from '../onward/useOnward';
import { ShownLesson } from '../ShownLesson';

/** The lesson on one page for the seat beside: what is said and where, key figures, what to watch. */
export const SeatPage = () => <ShownLesson>{(lesson) => <OfLesson lesson={lesson} />}</ShownLesson>;

function OfLesson({ lesson }: { lesson: Lesson }) {
    const clock = useClock();
    const { asked, start, without } = useOnward(lesson);
    const about = [
        `${clock.day(lesson.starts_at)}, ${clock.time(lesson.starts_at)}, ${lesson.minutes} min`,
        start ? `from ${markWords(start)} and back` : 'where it starts is not on the map',
        lesson.aim,
        without.length > 0 && `not on the map: ${without.map(({ place }) => place.name).join(', ')}`,
    ];
    const back = (
        <Link className="key" to={`/lessons/${lesson.id}/plan`}>
            Back to the plan
        </Link>
    );
    if (lesson.items.length === 0) {
        return (
            <div className="grid gap-4">
                <p>No places yet: there is nothing to put on a sheet.</p>
                {back}
            </div>
        );
    }
    return (
        <SeatSheet
            title={lesson.learner.name}
            about={about.filter(Boolean).join(' · ')}
            stops={lesson.items.map(stopOf)}
            asked={asked}
            aim={lesson.works_on?.step}
            back={back}
        />
    );
}
