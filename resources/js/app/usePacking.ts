import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { heard } from '@/api/heard';
import type { SignedIn } from '@/api/types';
import { pageKeeper } from '@/copies/worker';
import { pack } from './packing';
import { useNoticed } from '@/ui/useNoticed';

/** The page that is opened comes first, ms. */
const FIRST = 3_000;

/** How often the day is looked at again, ms (assumed). */
const AGAIN = 10 * 60_000;

/** What is under way goes on when signal comes and goes: it is not begun beside itself. */
let going: Promise<void> | null = null;

/** While somebody is signed in and pages open without signal, what a day needs is kept on the device. */
export function usePacking(session: SignedIn): void {
    const client = useQueryClient();
    const ready = useNoticed(pageKeeper.ready);
    const reached = useNoticed(heard.reached);
    useEffect(() => {
        if (!ready || !reached) return;
        const go = () => {
            going ??= pack(client, session)
                .catch(() => undefined)
                .finally(() => {
                    going = null;
                });
        };
        const first = setTimeout(go, FIRST);
        const again = setInterval(go, AGAIN);
        return () => {
            clearTimeout(first);
            clearInterval(again);
        };
    }, [client, session, ready, reached]);
}
