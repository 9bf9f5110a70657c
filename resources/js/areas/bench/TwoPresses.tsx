import { useEffect, useRef, useState } from 'react';

/** Longer than this nobody counts: the second press was forgotten. */
const FORGOTTEN_S = 15;

/** A time taken by two presses, to a tenth of a second. */
export function TwoPresses({ first, second, onCounted }: { first: string; second: string; onCounted: (seconds: number) => void }) {
    const [since, setSince] = useState<number | null>(null);
    const begun = useRef<number | null>(null);
    useEffect(() => {
        if (since === null) return;
        const timer = setTimeout(() => {
            begun.current = null;
            setSince(null);
        }, FORGOTTEN_S * 1000);
        return () => clearTimeout(timer);
    }, [since]);
    const press = () => {
        const now = performance.now();
        if (begun.current === null) {
            begun.current = now;
            setSince(now);
            return;
        }
        onCounted(Math.round((now - begun.current) / 100) / 10);
        begun.current = null;
        setSince(null);
    };
    return (
        <button type="button" className="key min-h-16" aria-pressed={since !== null} onClick={press}>
            {since === null ? first : second}
        </button>
    );
}
