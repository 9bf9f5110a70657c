import { useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { pageKeeper } from '@/copies/worker';
import { useClock, useSession } from '@/session/session';
import { saidOf, shortOf } from '@/device/deviceWords';
import { useDevice } from '@/device/useDevice';

/**
 * The one line about this device: what waits to be sent, what was refused, whether there is signal and how old what is shown is. Beside
 * the areas on a tablet, where it takes no room from the keys, above the page on a phone. Nothing while all goes well, but when the last
 * mark went where there is room to say it. Slim it is always there and always as high: no key under a finger moves when signal comes
 * or goes.
 */
export function DeviceLine({ className, quiet = false, slim = false }: { className: string; quiet?: boolean; slim?: boolean }) {
    const client = useQueryClient();
    const { user } = useSession();
    const clock = useClock();
    const device = useDevice();
    const { trouble, refused, sentAt, waiting } = device.queue;
    const text = saidOf(device, clock);
    const asks = trouble === 'signed-out' || refused.length > 0 || device.writes.refused > 0 || device.queue.unsafe;
    if (slim && !asks) {
        return (
            <p role="status" className={`text-quiet screen-only -mt-2 mb-1 h-6 truncate text-sm ${className}`}>
                {shortOf(device, clock)}
            </p>
        );
    }
    if (!text) {
        if (!quiet || sentAt === null || waiting.length > 0) return null;
        return (
            <p role="status" className={`text-quiet screen-only ${className}`}>
                All sent, {clock.time(new Date(sentAt))}
            </p>
        );
    }
    return (
        <div role="status" className={`border-ink screen-only rounded-lg border-2 ${className}`}>
            <p>{text}</p>
            {trouble === 'signed-out' && (
                <button
                    type="button"
                    className="link min-h-12"
                    onClick={() => client.setQueryData(['session'], { user: null })}
                    aria-label={`Sign in again as ${user.name}`}
                >
                    Sign in again
                </button>
            )}
            {(refused.length > 0 || device.writes.refused > 0) && (
                <Link className="link flex min-h-12 items-center" to="/unsent">
                    See which and why
                </Link>
            )}
            {device.newer && (
                <button type="button" className="link min-h-12" onClick={() => pageKeeper.take()}>
                    Go on with it now
                </button>
            )}
        </div>
    );
}
