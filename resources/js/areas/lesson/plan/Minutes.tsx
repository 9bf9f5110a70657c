import { useRef, useState } from 'react';

interface Props {
    label: string;
    value: number;
    min: number;
    max: number;
    onWrite: (minutes: number) => Promise<unknown>;
}

/** Minutes, by fives with the keys and to the minute as they are typed. Whoever shows other minutes gives it another key. */
export function Minutes({ label, value, min, max, onWrite }: Props) {
    const [typed, setTyped] = useState(String(value));
    const [isRefused, setRefused] = useState(false);
    // One after the other: the last one pressed is the last one written.
    const writing = useRef<Promise<unknown>>(Promise.resolve());
    const minutes = /^\d+$/.test(typed) ? Number(typed) : NaN;
    const isSound = minutes >= min && minutes <= max;
    const write = (wanted: number) => {
        setRefused(false);
        writing.current = writing.current.then(() => onWrite(wanted)).catch(() => setRefused(true));
    };
    const press = (wanted: number) => {
        const within = Math.min(max, Math.max(min, wanted));
        setTyped(String(within));
        write(within);
    };
    const from = isSound ? minutes : value;
    return (
        <div role="group" aria-label={`Minutes, ${label}`} className="flex flex-wrap items-center gap-1">
            <button
                type="button"
                className="key !px-3 text-xl"
                aria-label="Less time"
                disabled={from <= min}
                onClick={() => press(Math.ceil(from / 5) * 5 - 5)}
            >
                −
            </button>
            <label className="flex items-center gap-1">
                <input
                    className="entry !w-16 text-center"
                    inputMode="numeric"
                    aria-label={`Minutes, ${label}`}
                    aria-invalid={!isSound || isRefused}
                    value={typed}
                    onChange={(event) => setTyped(event.target.value.trim())}
                    onBlur={() => isSound && minutes !== value && write(minutes)}
                    onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
                />
                <span>min</span>
            </label>
            <button
                type="button"
                className="key !px-3 text-xl"
                aria-label="More time"
                disabled={from >= max}
                onClick={() => press(Math.floor(from / 5) * 5 + 5)}
            >
                +
            </button>
            {(!isSound || isRefused) && (
                <p role="alert" className="text-sm font-semibold">
                    {isRefused ? 'Not written: no answer from the server.' : `Minutes: a whole number from ${min} to ${max}.`}
                </p>
            )}
        </div>
    );
}
