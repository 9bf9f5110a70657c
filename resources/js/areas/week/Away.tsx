import type { BusyTime } from '@/api/types';
import { busyWords } from '@/diary/entries';
import { useClock, useSession } from '@/session/session';
import { minuteOn } from './rows';

/** A car that is away on a day, and when; pressed it is changed. */
export function Away({ busy, day, onOpen }: { busy: BusyTime; day: string; onOpen: () => void }) {
    const clock = useClock();
    const { school } = useSession();
    const [from, until] = [busy.starts_at, busy.ends_at].map((moment) => minuteOn(day, moment, school.time_zone));
    const when = [from! > 0 && `from ${clock.time(busy.starts_at)}`, until! < 24 * 60 && `until ${clock.time(busy.ends_at)}`].filter(Boolean);
    return (
        <button type="button" className="link min-h-8" onClick={onOpen}>
            {busyWords(busy)}, {when.length > 0 ? when.join(' ') : 'all day'}
        </button>
    );
}
