import { useState } from 'react';
import { useSession } from '@/session/session';
import { Field } from '@/ui/Field';
import { FitWords } from './FitWords';
import { FreeTimes } from './FreeTimes';
import { MinutesField } from './MinutesField';
import { isTime } from './week';
import { momentOf, wallClock } from './wallClock';

/** By the school's clock, `2026-05-20T10:30`. */
interface Time {
    at: string;
    minutes: number;
}

interface Props {
    value: Time;
    onChange: (time: Partial<Time>) => void;
    /** For which lesson: one that is there, or a new one's learner and car; null while that is not known. */
    asked: { lesson: string } | { learner_id: string; vehicle_id: string; instructor_id?: string } | null;
    errors: Record<string, string[]>;
}

/** When a lesson begins and how long it is; what that would mean is said at once, and times that are free are one press away. */
export function TimeFields({ value: { at, minutes }, onChange, asked, errors }: Props) {
    const { school } = useSession();
    const [choosing, setChoosing] = useState(false);
    return (
        <>
            <Field label="Begins" errors={errors.starts_at} hint={`Time in ${school.time_zone}`}>
                <input type="datetime-local" required value={at} onChange={(event) => onChange({ at: event.target.value })} />
            </Field>
            <MinutesField value={minutes} onChange={(next) => onChange({ minutes: next })} errors={errors.minutes} />
            {asked && isTime({ at, minutes }) && (
                <>
                    <FitWords asked={{ ...asked, minutes, starts_at: momentOf(at, school.time_zone).toISOString() }} />
                    <button type="button" className="key justify-self-start" aria-expanded={choosing} onClick={() => setChoosing(!choosing)}>
                        Free times
                    </button>
                    {choosing && (
                        <FreeTimes
                            asked={{ ...asked, minutes, from: at.slice(0, 10) }}
                            onPick={(moment) => {
                                onChange({ at: wallClock(new Date(moment), school.time_zone) });
                                setChoosing(false);
                            }}
                        />
                    )}
                </>
            )}
        </>
    );
}
