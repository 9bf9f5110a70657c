import type { BusyTime, Today } from '@/api/types';
import { busyWords } from '@/diary/entries';
import { useClock } from '@/session/session';
import { LeaveBy } from './LeaveBy';

interface Props {
    busy: BusyTime[];
    between: Today['between'];
    /** When the next lesson begins; null where none is to come. */
    next: string | null;
    now: number;
}

/** A test, or whatever else keeps somebody, that is on or comes before the next lesson: when, where, and when to leave for it. */
export function Before({ busy, between, next, now }: Props) {
    const clock = useClock();
    const before = busy.filter(
        (one) => one.kind !== 'away' && Date.parse(one.ends_at) > now && (next === null || Date.parse(one.starts_at) < Date.parse(next)),
    );
    if (before.length === 0) return null;
    return (
        <ul className="grid gap-2" aria-label="Before the next lesson">
            {before.map((one) => {
                const isOn = Date.parse(one.starts_at) <= now;
                return (
                    <li key={one.id} className="border-line border-l-8 pl-4">
                        <p className="text-quiet text-sm font-semibold">
                            {isOn ? `On now, until ${clock.time(one.ends_at)}` : `First · ${clock.time(one.starts_at)} to ${clock.time(one.ends_at)}`}
                        </p>
                        <p className="text-xl font-semibold break-words">
                            {busyWords(one)}
                            {one.centre && <span className="text-quiet font-normal"> · {one.centre.name}</span>}
                        </p>
                        {!isOn && <LeaveBy drive={between.find((gap) => gap.before === one.id)} />}
                    </li>
                );
            })}
        </ul>
    );
}
