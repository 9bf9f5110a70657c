import { readFileSync } from 'node:fs';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import { SessionContext, type SignedIn } from '@/app/session';
import { NoticeProvider } from '@/ui/Notice';

/** For tests of components: answers of the real application (tests/answers), and what a component asked and sent. */

/** A recorded answer; AnswersTest holds it against what is answered today. */
export const answer = <T,>(name: string): T => JSON.parse(readFileSync(`tests/answers/${name}.json`, 'utf8')) as T;

export interface Sent {
    method: string;
    path: string;
    body: unknown;
}

type Reply = object | number | ((sent: Sent) => object | number);

/** Stands in for the server: a status, or a body, by "METHOD path"; what is not named is answered with 204. Returns all that was sent. */
export function server(replies: Record<string, Reply>): Sent[] {
    const sent: Sent[] = [];
    vi.stubGlobal('fetch', (url: string, options: { method: string; body?: string }) => {
        const one: Sent = { method: options.method, path: url.replace('/api/', ''), body: options.body === undefined ? undefined : JSON.parse(options.body) };
        sent.push(one);
        const reply = replies[`${one.method} ${one.path}`];
        const said = typeof reply === 'function' ? (reply as (sent: Sent) => object | number)(one) : (reply ?? 204);
        const status = typeof said === 'number' ? said : 'errors' in said ? 422 : 200;
        return Promise.resolve(new Response(status === 204 ? null : JSON.stringify(typeof said === 'number' ? { message: 'refused' } : said), { status }));
    });
    return sent;
}

/** What was written, without what was only read. */
export const written = (sent: Sent[]): Sent[] => sent.filter((one) => one.method !== 'GET');

/** Draws a component as a signed-in user sees it. */
export function show(what: ReactNode, role: 'owner' | 'instructor' = 'owner', at = '/') {
    const session = answer<SignedIn>('session');
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    return render(
        <MemoryRouter initialEntries={[at]}>
            <QueryClientProvider client={client}>
                <SessionContext value={{ ...session, user: { ...session.user, role } }}>
                    <NoticeProvider>{what}</NoticeProvider>
                </SessionContext>
            </QueryClientProvider>
        </MemoryRouter>,
    );
}
