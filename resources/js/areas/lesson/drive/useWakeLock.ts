import { useEffect } from 'react';

/** Keeps the screen on while the page is in sight, where the device can; asked for again whenever it comes back. */
export function useWakeLock(): void {
    useEffect(() => {
        let lock: WakeLockSentinel | null = null;
        let gone = false;
        const ask = async () => {
            if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
            try {
                lock = await navigator.wakeLock.request('screen');
                if (gone) void lock.release();
            } catch {
                // Low on battery, or not allowed: the screen goes dark as it always did.
            }
        };
        const seen = () => void ask();
        seen();
        document.addEventListener('visibilitychange', seen);
        return () => {
            gone = true;
            document.removeEventListener('visibilitychange', seen);
            void lock?.release();
        };
    }, []);
}
