import { createContext, useContext } from 'react';
import type { SignedIn } from '@/api/types';

export const SessionContext = createContext<SignedIn | null>(null);

export function useSession(): SignedIn {
    const session = useContext(SessionContext);
    if (!session) throw new Error('useSession must be used while somebody is signed in.');
    return session;
}

/** The day a clock on a wall in a time zone shows, `2026-05-20`. */
export const isoDay = (moment: Date, zone: string): string => new Intl.DateTimeFormat('en-CA', { timeZone: zone }).format(moment);

/** Moments as the school's own clock shows them. */
export function useClock() {
    const { school } = useSession();
    const format = (options: Intl.DateTimeFormatOptions) => {
        const formatter = new Intl.DateTimeFormat('en-GB', { timeZone: school.time_zone, ...options });
        return (moment: string | Date) => formatter.format(typeof moment === 'string' ? new Date(moment) : moment);
    };
    return {
        time: format({ hour: '2-digit', minute: '2-digit' }),
        exact: format({ hour: '2-digit', minute: '2-digit', second: '2-digit' }),
        day: format({ weekday: 'long', day: 'numeric', month: 'long' }),
        date: format({ day: 'numeric', month: 'long', year: 'numeric' }),
        /** The day as addresses say it, `2026-05-20`. */
        iso: (moment: Date) => isoDay(moment, school.time_zone),
        short: format({ day: 'numeric', month: 'short' }),
    };
}
