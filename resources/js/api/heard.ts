import { Noticed } from './noticed';

declare const __CONTRACT__: string;

/** The form in which this page speaks with the server: a fingerprint of their contract, which the server sends with every answer. */
export const FORM: string = __CONTRACT__;

/** Off by more than this a device's clock is spoken of, minutes: less makes no difference to anybody (assumed). */
const OFF = 2;

/** What this page knows of the server by what it last heard from it. */
export const heard = {
    /** Whether it answers. A device that says it is online may be behind a network that carries nothing: only an answer counts. */
    reached: new Noticed(true),
    /** By how many minutes this device's clock is ahead of the server's, behind where negative; 0 where it is right. */
    clockAhead: new Noticed(0),
    /** It speaks another form than this page: it has been brought up to date since, or put back. */
    otherForm: new Noticed(false),
    /** When it last answered, ms. */
    last: 0,
};

/** The server is behind a gateway that answers for it. */
const GATEWAY = [502, 503, 504];

/** An answer came; or none did. */
export function hear(answer: Pick<Response, 'status' | 'headers'> | null, now = Date.now()): void {
    heard.reached.set(answer !== null && !GATEWAY.includes(answer.status));
    if (!answer) return;
    heard.last = now;
    const form = answer.headers.get('X-Contract');
    if (form) heard.otherForm.set(form !== FORM);
    const ahead = Math.round((now - Date.parse(answer.headers.get('Date') ?? '')) / 60_000);
    if (!Number.isNaN(ahead)) heard.clockAhead.set(Math.abs(ahead) > OFF ? ahead : 0);
}
