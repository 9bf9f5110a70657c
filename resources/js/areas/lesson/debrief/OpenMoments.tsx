import { Link } from 'react-router';
import type { Lesson, Round } from '@/api/types';
import { useRoundTitle } from '@/rules/rules';
import { useClock } from '@/session/session';
import { openMoments } from '../openMoments';

/** What was marked while moving and nobody has said yet what it was. */
export function OpenMoments({ lesson, rounds }: { lesson: Lesson; rounds: Round[] }) {
    const titleOf = useRoundTitle();
    const clock = useClock();
    const moments = openMoments(rounds);
    if (moments.length === 0) return null;
    return (
        <section aria-labelledby="moments" className="grid gap-2">
            <h2 id="moments" className="text-xl">
                Marked while moving, still to tell
            </h2>
            <ul>
                {moments.map(({ moment, round }) => (
                    <li key={moment.id} className="border-hair min-h-12 content-center border-b">
                        {clock.exact(moment.pressed_at ?? moment.device_at)} in round {rounds.indexOf(round) + 1}, {titleOf(round)}
                    </li>
                ))}
            </ul>
            <Link className="key screen-only justify-self-start" to={`/lessons/${lesson.id}/drive`}>
                Tell what they were, in Drive
            </Link>
        </section>
    );
}
