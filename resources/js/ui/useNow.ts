import { useEffect, useState } from 'react';

/** What time it is, to the minute, on a page that stays open all day; at once when it is looked at again. */
export function useNow(): Date {
    const [now, setNow] = useState(() => new Date());
    useEffect(() => {
        const tick = () => setNow(new Date());
        const timer = setInterval(tick, 60_000);
        document.addEventListener('visibilitychange', tick);
        return () => {
            clearInterval(timer);
            document.removeEventListener('visibilitychange', tick);
        };
    }, []);
    return now;
}
