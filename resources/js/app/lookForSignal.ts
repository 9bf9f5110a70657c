import type { QueryClient } from '@tanstack/react-query';
import { heard } from '@/api/heard';

/** How often the server is tried while it cannot be reached, ms (assumed). */
const TRY = 15_000;

/** Without signal the server is tried now and then, and as soon as the device says that it is back. */
export function lookForSignal(client: QueryClient): void {
    const tried = () => void client.refetchQueries({ queryKey: ['session'] });
    window.addEventListener('online', tried);
    window.addEventListener('offline', () => heard.reached.set(false));
    setInterval(() => {
        if (!heard.reached.get() && document.visibilityState === 'visible') tried();
    }, TRY);
}
