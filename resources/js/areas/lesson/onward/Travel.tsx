import type { Lesson } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { markWords, type Asking } from '@/site/circuit';
import { NotShown } from '@/ui/NotShown';
import { useOnward } from './useOnward';

/** How much of the lesson is driving from place to place, and which place has too few minutes for the way there. */
export function Travel({ lesson }: { lesson: Lesson }) {
    const { asked, start, without } = useOnward(lesson);
    if (asked === null || start === null) return null;
    return <Drives lesson={lesson} asked={asked} from={markWords(start)} without={without.length} />;
}

function Drives({ lesson, asked, from, without }: { lesson: Lesson; asked: Asking; from: string; without: number }) {
    const { data, error, refetch } = useCompute('circuit', asked);
    if (!data) return error && <NotShown what="The drives between are not worked out" error={error} retry={() => void refetch()} />;
    const drives = data.parts.filter(({ kind }) => kind === 'drive');
    const home = drives.find(({ way }) => way === null);
    const whole = (seconds: number) => Math.max(1, Math.round(seconds / 60));
    const tight = lesson.items.flatMap((item) => {
        const drive = drives.find(({ way }) => way === item.id);
        return drive && drive.until_s - drive.from_s >= item.minutes * 60 ? [{ item, minutes: whole(drive.until_s - drive.from_s) }] : [];
    });
    const out = data.left_out.flatMap(({ way }) => lesson.items.find(({ id }) => id === way)?.place.name ?? []);
    return (
        <div className="text-quiet screen-only -mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm" role="status">
            <p>
                About {whole(data.driving_s)} of {lesson.minutes} min are driving from place to place, from {from} and back
                {home && `; the way back takes ${whole(home.until_s - home.from_s)} min`}.
                {without > 0 && ` Where ${without === 1 ? 'one place lies' : `${without} places lie`} is not known: not counted.`}
            </p>
            {tight.map(({ item, minutes }) => (
                <p key={item.id} className="text-ink font-semibold">
                    ▸ {item.place.name}: {item.minutes} min, and the drive there alone takes {minutes}.
                </p>
            ))}
            {out.map((name) => (
                <p key={name} className="text-ink font-semibold">
                    ▸ {name}: too far for this lesson.
                </p>
            ))}
        </div>
    );
}
