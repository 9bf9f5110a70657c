import type { Lesson, Round } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import type { useDrive } from './useDrive';

interface Props {
    lesson: Lesson;
    drive: ReturnType<typeof useDrive>;
    /** A round that is open though its place is no longer on the plan. */
    elsewhere: Round | null;
    onPlace: (item: string) => void;
    onAway: () => void;
}

/** The last line of the list of places. */
const AWAY = 'away';

/** Where the lesson is: a place of the plan, or somewhere else. */
export function PlaceSelect({ lesson, drive, elsewhere, onPlace, onAway }: Props) {
    const name = useRoutineName();
    const { item, away } = drive;
    return (
        <select
            aria-label="Place"
            className="entry font-display w-auto max-w-full min-w-0 flex-1 basis-full font-bold sm:basis-0"
            value={elsewhere || away ? '' : (item?.id ?? '')}
            onChange={(event) => (event.target.value === AWAY ? onAway() : onPlace(event.target.value))}
        >
            {elsewhere && (
                <option value="" disabled>
                    {elsewhere.place} (not on the plan)
                </option>
            )}
            {away && (
                <option value="" disabled>
                    {name(away.routine)}
                    {away.where && `, ${away.where}`}
                </option>
            )}
            {lesson.items.map((candidate) => (
                <option key={candidate.id} value={candidate.id}>
                    {candidate.place.name} · {name(candidate.routine)}
                </option>
            ))}
            <option value={AWAY}>Somewhere else …</option>
        </select>
    );
}
