import { useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { QueueState, Trouble } from '@/queue/queue';
import { useMarksQueue } from '@/queue/marks';
import { useSession } from '@/session/session';

const WHY: Record<Trouble, string> = {
    'out-of-reach': 'They go by themselves when there is signal.',
    'no-room': 'The server’s disk is full: they go by themselves when there is room again.',
    'signed-out': 'You are signed out: sign in again and they go.',
    'somebody-else': 'Somebody else is signed in on this device: they wait until you sign in again.',
    broken: 'The server could not store some of them; they are tried again.',
};

const many = (events: number): string => `${events} ${events === 1 ? 'mark' : 'marks'}`;

/** What is to be said of the queue; nothing while all goes well. */
export function said({ waiting, trouble, refused, unsafe }: QueueState): string | null {
    if (waiting.length === 0 || (!trouble && !unsafe && refused.length === 0)) return null;
    const marks = many(waiting.filter((event) => event.kind === 'mark').length);
    return [
        trouble || unsafe ? `${marks} on this device, not yet sent.` : `${many(refused.length)} not accepted.`,
        unsafe && 'This browser cannot store them: do not close the page.',
        trouble && WHY[trouble],
    ]
        .filter(Boolean)
        .join(' ');
}

/** What still waits to be sent: beside the areas on a tablet, where it takes no room from the keys, above the page on a phone. */
export function QueueLine({ className }: { className: string }) {
    const client = useQueryClient();
    const queue = useMarksQueue();
    const { user } = useSession();
    const { trouble, refused } = queue;
    const text = said(queue);
    if (!text) return null;
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
            {refused.length > 0 && (
                <Link className="link flex min-h-12 items-center" to="/unsent">
                    See which and why
                </Link>
            )}
        </div>
    );
}
