import { readFileSync } from 'node:fs';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import type { ApproachFolded, ApproachSweep, Archive, Changes, Device, Keeping, LearnerData, LessonsAhead, Letters, People, SignedIn } from '@/api/types';
import { SessionContext } from '@/app/session';
import { NoticeProvider } from '@/ui/Notice';

/** For tests of components: answers of the real application (tests/answers), and what a component asked and sent. */

/** Answers of the real application as they were recorded, by name; AnswersTest holds each against what is answered today. */
interface Recorded {
    archived: Archive;
    changes: Changes;
    'learner-data': LearnerData;
    'lessons-ahead': LessonsAhead;
    letters: Letters;
    people: People;
    retention: Keeping;
    session: SignedIn;
    sessions: Device[];
}

const recorded = (name: string): unknown => JSON.parse(readFileSync(`tests/answers/${name}.json`, 'utf8'));

export const answer = <Name extends keyof Recorded>(name: Name): Recorded[Name] => recorded(name) as Recorded[Name];

/** What stands of marks, case by case, as the core says it. */
export const markLog = <Case,>(): Case[] => recorded('mark-log') as Case[];

/** One sweep of the core, folded and plain. */
export const sweep = recorded('sweep') as { folded: ApproachFolded; plain: ApproachSweep };

export interface Sent {
    method: string;
    path: string;
    body: unknown;
}

type Reply = object | number | ((sent: Sent) => object | number);

/** Stands in for the server: a status, or a body, by "METHOD path"; what is not named is answered with 204. Returns all that was sent. */
export function server(replies: Record<string, Reply>): Sent[] {
    const sent: Sent[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
        const text = await request.text();
        const path = request.url.slice(request.url.indexOf('/api/') + '/api/'.length);
        const one: Sent = { method: request.method, path, body: text === '' ? undefined : JSON.parse(text) };
        sent.push(one);
        const reply = replies[`${one.method} ${one.path}`];
        const said = typeof reply === 'function' ? (reply as (sent: Sent) => object | number)(one) : (reply ?? 204);
        const status = typeof said === 'number' ? said : 'errors' in said ? 422 : 200;
        return new Response(status === 204 ? null : JSON.stringify(typeof said === 'number' ? { message: 'refused' } : said), { status });
    });
    return sent;
}

/** What was written, without what was only read. */
export const written = (sent: Sent[]): Sent[] => sent.filter((one) => one.method !== 'GET');

/** Draws a component as a signed-in user sees it. */
export function show(what: ReactNode, role: 'owner' | 'instructor' = 'owner', at = '/') {
    const session = answer('session');
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
