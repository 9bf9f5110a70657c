import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { RepeatAsked } from '@/api/types';
import { useClock } from '@/session/session';
import { Field } from '@/ui/Field';
import { lightWords } from './fitWords';

/** A lesson again: every so many weeks, so many times more, but on some days. */
export interface Repetition {
    weeks: number;
    times: number;
    without: string[];
}

const EVERY = ['Every week', 'Every second week', 'Every third week', 'Every fourth week'];

interface Props {
    /** Which lesson: one that is there, or one that is to be. */
    asked: Omit<RepeatAsked, 'weeks' | 'times'>;
    value: Repetition;
    onChange: (value: Repetition) => void;
}

/** How often a lesson comes again; each week is said with what it would mean, and can be left out. */
export function RepeatFields({ asked, value, onChange }: Props) {
    const { weeks, times, without } = value;
    return (
        <div className="grid gap-4">
            <div className="grid grid-cols-2 gap-3">
                <Field label="How often">
                    <select value={weeks} onChange={(event) => onChange({ ...value, weeks: Number(event.target.value) })}>
                        {EVERY.map((label, i) => (
                            <option key={label} value={i + 1}>
                                {label}
                            </option>
                        ))}
                    </select>
                </Field>
                <Field label="Times more">
                    <input
                        type="number"
                        required
                        min={1}
                        max={52}
                        value={Number.isNaN(times) ? '' : times}
                        onChange={(event) => onChange({ ...value, times: event.target.valueAsNumber })}
                    />
                </Field>
            </div>
            {times >= 1 && times <= 52 && (
                <Weeks
                    asked={{ ...asked, weeks, times }}
                    without={without}
                    onLeave={(day, out) => onChange({ ...value, without: out ? [...without, day] : without.filter((one) => one !== day) })}
                />
            )}
        </div>
    );
}

function Weeks({ asked, without, onLeave }: { asked: RepeatAsked; without: string[]; onLeave: (day: string, out: boolean) => void }) {
    const clock = useClock();
    const series = useQuery({ ...questions.series(asked), placeholderData: (before) => before });
    if (!series.data) return series.error ? <p role="alert">▸ {series.error.message}</p> : <p className="text-quiet">Looking …</p>;
    const all = series.data.length;
    const free = series.data.filter(({ clashes, day }) => clashes.length === 0 && !without.includes(day)).length;
    return (
        <section aria-label="Weeks" className="grid gap-2">
            <p aria-live="polite" className="font-semibold">
                {free < all ? `${free} of ${all} will be booked.` : all === 1 ? 'It can be booked.' : `All ${all} can be booked.`}
            </p>
            <ul className="grid gap-x-4 sm:grid-cols-2">
                {series.data.map((one) => (
                    <li key={one.starts_at} className="border-hair border-b">
                        {one.clashes.length > 0 ? (
                            <p className="py-2">
                                <span className="block line-through">{clock.day(one.starts_at)}</span>
                                <span className="block text-sm font-semibold">▸ {one.clashes.join(' ')}</span>
                            </p>
                        ) : (
                            <label className="flex min-h-12 items-center gap-3">
                                <input
                                    type="checkbox"
                                    className="size-6"
                                    checked={!without.includes(one.day)}
                                    onChange={(event) => onLeave(one.day, !event.target.checked)}
                                />
                                <span>
                                    {clock.day(one.starts_at)}
                                    <span className="text-quiet text-sm"> {[clock.time(one.starts_at), lightWords(one)].filter(Boolean).join(', ')}</span>
                                </span>
                            </label>
                        )}
                    </li>
                ))}
            </ul>
        </section>
    );
}
