import { useQuery, useQueryClient } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { Link } from 'react-router';
import { api, at } from '@/api/client';
import type { LearnerRecord, RoutineCode } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { NotShown } from '@/ui/NotShown';

interface Props {
    routine: RoutineCode;
    lessons: LearnerRecord['lessons'];
    onClose: () => void;
}

/** What can be done about a routine that was never done: put a place of it on the next lesson, mark it anywhere, read its card. */
export function NeverDone({ routine, lessons, onClose }: Props) {
    const name = useRoutineName();
    const clock = useClock();
    const notice = useNotice();
    const client = useQueryClient();
    const places = useQuery(questions.places());
    const next = lessons
        .filter((lesson) => lesson.state === 'booked')
        .reduce<Props['lessons'][number] | undefined>((soonest, one) => (soonest && soonest.starts_at < one.starts_at ? soonest : one), undefined);
    const when = next && `${clock.day(next.starts_at)}, ${clock.time(next.starts_at)}`;
    const shows = places.data?.filter((place) => place.routine === routine) ?? [];
    const put = async (place: { id: string; name: string }) => {
        if (!next) return;
        const item = await api.POST('/lessons/{lesson}/items', { ...at({ lesson: next.id }), body: { place_id: place.id } });
        const again = () => client.invalidateQueries({ queryKey: ['lesson', next.id] });
        await again();
        onClose();
        notice({
            text: `${place.name} is on the plan of ${when}.`,
            undo: () => void api.DELETE('/items/{item}', at({ item: item.id })).then(again),
        });
    };
    return (
        <Sheet title={name(routine)} about="Not started yet." open onOpenChange={onClose}>
            {places.error && <NotShown what="The places are not shown" error={places.error} retry={() => void places.refetch()} />}
            {next && shows.length > 0 && (
                <section aria-label="Places that show it" className="grid gap-2">
                    <h3 className="border-hair border-b-2 pb-1">Put it on the plan of {when}</h3>
                    {shows.map((place) => (
                        <button key={place.id} type="button" className="key min-h-14 justify-start text-left" onClick={() => void put(place)}>
                            {place.name}
                        </button>
                    ))}
                </section>
            )}
            {places.data && shows.length === 0 && (
                <p>
                    No place of the school shows it. It can be marked anywhere all the same: in Drive, choose <b>Somewhere else</b>.
                </p>
            )}
            {!next && <p>No lesson is booked: book one from Today, and it can go on the plan.</p>}
            <div className="flex flex-wrap gap-3">
                {next && shows.length === 0 && (
                    <Link className="key" to={`/lessons/${next.id}/drive`}>
                        Drive of {when}
                    </Link>
                )}
                <Link className="key" to={`/routines/${routine}`}>
                    Open the card
                </Link>
                <Link className="key" to="/places">
                    Places
                </Link>
            </div>
        </Sheet>
    );
}
