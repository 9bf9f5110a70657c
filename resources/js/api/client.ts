/** One door to the server: JSON both ways, the CSRF token from its cookie, problems as one kind of error. */

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

export function whenSomebodyElse(act: () => void): void {
    onSomebodyElse = act;
}

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

function token(): string {
    const cookie = document.cookie.split('; ').find((part) => part.startsWith('XSRF-TOKEN='));
    return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : '';
}

async function once(method: Method, path: string, body?: unknown): Promise<Response> {
    try {
        return await fetch(`/api/${path}`, {
            method,
            credentials: 'same-origin',
            headers: {
                Accept: 'application/json',
                'X-XSRF-TOKEN': token(),
                ...(whose ? { 'X-Signed-In-As': whose } : {}),
                ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
            },
            body: body === undefined ? undefined : JSON.stringify(body),
        });
    } catch {
        throw new Problem(0, 'The server cannot be reached.');
    }
}

export async function ask<T>(method: Method, path: string, body?: unknown): Promise<T> {
    let answer = await once(method, path, body);
    if (answer.status === 419) {
        // The token ran out while the tablet slept: fetch a new one and say the same again.
        await once('GET', 'session');
        answer = await once(method, path, body);
    }
    if (answer.status === 409) onSomebodyElse();
    if (answer.ok) return (answer.status === 204 ? undefined : await answer.json()) as T;
    const said = (await answer.json().catch(() => ({}))) as { message?: string; errors?: Record<string, string[]> };
    throw new Problem(answer.status, said.message || 'Something went wrong.', said.errors);
}

export const get = <T>(path: string) => ask<T>('GET', path);
export const post = <T>(path: string, body: unknown = {}) => ask<T>('POST', path, body);
export const put = <T>(path: string, body: unknown) => ask<T>('PUT', path, body);
export const patch = <T>(path: string, body: unknown) => ask<T>('PATCH', path, body);
export const remove = (path: string) => ask<unknown>('DELETE', path);
