import createClient, { type MaybeOptionalInit } from 'openapi-fetch';
import type { PathsWithMethod, RequiredKeysOf } from 'openapi-typescript-helpers';
import type { paths } from './contract';
import { hear } from './heard';

/** One door to the server, typed by its document: the CSRF token from its cookie, problems as one kind of error. */

export class Problem extends Error {
    constructor(
        readonly status: number,
        message: string,
        readonly errors: Record<string, string[]> = {},
    ) {
        super(message);
    }

    /** No answer at all: no signal, or the server is down. */
    get isOutOfReach(): boolean {
        return this.status === 0 || this.status === 502 || this.status === 503 || this.status === 504;
    }
}

/** Whose page this is, said with everything it asks: where somebody else has signed in meanwhile, nothing is read or written in their name. */
let whose = '';
let onSomebodyElse = (): void => undefined;

export function belongTo(user: string): void {
    whose = user;
}

export const whosePage = (): string => whose;

export function whenSomebodyElse(act: () => void): void {
    onSomebodyElse = act;
}

/** Where there is no window (the queue is tested without one) nothing is sent by this client either. */
const BASE = `${typeof window === 'undefined' ? '' : window.location.origin}/api`;

function token(): string {
    const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
    return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : '';
}

/** A network that carries nothing may keep a question for minutes: after this it counts as not answered, ms. */
const LONGEST = 45_000;

async function once(request: Request): Promise<Response> {
    request.headers.set('Accept', 'application/json');
    request.headers.set('X-XSRF-TOKEN', token());
    if (whose) request.headers.set('X-Signed-In-As', whose);
    // What is sent so late that nobody waits for it any more may still arrive: it is stored once all the same.
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<never>((_, giveUp) => {
        timer = setTimeout(() => giveUp(new Error('no answer')), LONGEST);
    });
    try {
        const answer = await Promise.race([fetch(request), late]);
        hear(answer);
        return answer;
    } catch {
        hear(null);
        throw new Problem(0, 'The server cannot be reached.');
    } finally {
        clearTimeout(timer);
    }
}

async function send(request: Request): Promise<Response> {
    const again = request.clone();
    let answer = await once(request);
    if (answer.status === 419) {
        // The token ran out while the tablet slept: fetch a new one and say the same again.
        await once(new Request(`${BASE}/session`));
        answer = await once(again);
    }
    if (answer.status === 409) onSomebodyElse();
    if (answer.ok) return answer;
    const said = (await answer.json().catch(() => ({}))) as { message?: string; errors?: Record<string, string[]> };
    throw new Problem(answer.status, said.message || 'Something went wrong.', said.errors);
}

const client = createClient<paths>({ baseUrl: BASE, fetch: send });

type Method = 'get' | 'post' | 'put' | 'patch' | 'delete';
type Good = 200 | 201 | 202;
/** What an address answers where all goes well; nothing where it answers with nothing. */
export type Answered<P extends keyof paths, M extends Method> = paths[P][M] extends { responses: infer R }
    ? { [Status in keyof R & Good]: R[Status] extends { content: { 'application/json': infer A } } ? A : undefined }[keyof R & Good]
    : undefined;

/** What an address needs besides itself: nothing, where it has no ids and takes nothing. */
type Init<P extends keyof paths, M extends Method> =
    RequiredKeysOf<MaybeOptionalInit<paths[P], M>> extends never ? [init?: MaybeOptionalInit<paths[P], M>] : [init: MaybeOptionalInit<paths[P], M>];

// The library's own types ask for a whole union of addresses at once, which is too much of it to be checked: each is typed below.
const request = client.request as unknown as (method: Method, path: string, init?: object) => Promise<{ data?: unknown }>;

const asking =
    <M extends Method>(method: M) =>
    async <P extends PathsWithMethod<paths, M>>(path: P, ...init: Init<P, M>): Promise<Answered<P, M>> =>
        (await request(method, path, init[0])).data as Answered<P, M>;

/** Asks by method and address: `api.GET('/lessons/{lesson}', at({ lesson: id }))`. What goes wrong is thrown as a Problem. */
export const api = { GET: asking('get'), POST: asking('post'), PUT: asking('put'), PATCH: asking('patch'), DELETE: asking('delete') };

/** The ids in an address. */
export const at = <Ids>(path: Ids): { params: { path: Ids } } => ({ params: { path } });
