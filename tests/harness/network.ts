import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { Problem } from '@/api/client';
import type { Batch, Taken } from '@/queue/queue';

/** A browser's way to the server: cookies kept, the token sent along. */
export class Wire {
    /** How often each answer came. */
    readonly answers = new Map<number, number>();
    private cookies = new Map<string, string>();

    constructor(private readonly base: string) {}

    async ask<T>(method: string, path: string, body?: unknown): Promise<T> {
        const answer = await this.once(method, path, body);
        if (!answer.ok) throw new Problem(answer.status, ((await answer.json().catch(() => ({}))) as { message?: string }).message ?? 'no answer');
        return (answer.status === 204 ? undefined : await answer.json()) as T;
    }

    /** As `ask`, again and again until the server can be reached: one that was killed a moment ago is being begun anew. */
    async reached<T>(method: string, path: string): Promise<T> {
        for (let i = 0; i < 200; i++) {
            try {
                return await this.ask<T>(method, path);
            } catch {
                await new Promise((done) => setTimeout(done, 100));
            }
        }
        throw new Error('The server did not come back.');
    }

    private async once(method: string, path: string, body?: unknown): Promise<Response> {
        let answer: Response;
        try {
            answer = await fetch(`${this.base}/api/${path}`, {
                method,
                headers: {
                    Accept: 'application/json',
                    Cookie: [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; '),
                    'X-XSRF-TOKEN': decodeURIComponent(this.cookies.get('XSRF-TOKEN') ?? ''),
                    ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
                },
                body: body === undefined ? undefined : JSON.stringify(body),
            });
        } catch {
            throw new Problem(0, 'The server cannot be reached.');
        }
        this.answers.set(answer.status, (this.answers.get(answer.status) ?? 0) + 1);
        for (const cookie of answer.headers.getSetCookie()) {
            const [name, value] = cookie.split(';')[0]!.split('=') as [string, string];
            this.cookies.set(name, value);
        }
        return answer;
    }
}

export const FAULTS = [
    'request lost',
    'answer lost',
    'sent again',
    'sent twice at once',
    'an old copy comes late',
    'a page closed',
    'a second page',
    'php worker killed',
    'php killed',
    'web server killed',
    'database killed',
] as const;
export type Fault = (typeof FAULTS)[number];

/** What goes wrong on the way, and how often it did. Processes are killed by the ids that bin/test started. */
export class Weather {
    readonly happened = new Map<Fault, number>();
    private late: Promise<unknown>[] = [];

    constructor(
        /** Where bin/test notes the id of each server it began, the last one begun. */
        private readonly run: string,
        private readonly chance: (below: number) => number,
    ) {}

    get count(): number {
        return [...this.happened.values()].reduce((sum, n) => sum + n, 0);
    }

    /** Sends a batch, or loses it, or its answer, or sends it more than once. */
    async send(wire: Wire, batch: Batch): Promise<Taken> {
        const body = { ...batch, sent_at: new Date().toISOString() };
        const once = () => wire.ask<Taken>('POST', 'sync', body);
        switch (this.chance(8)) {
            case 0:
                this.note('request lost');
                throw new Problem(0, 'lost');
            case 1:
                await once();
                this.note('answer lost');
                throw new Problem(0, 'lost');
            case 2:
                await once();
                this.note('sent again');
                return once();
            case 3: {
                this.note('sent twice at once');
                const [first] = await Promise.all([once(), once()]);
                return first;
            }
            case 4:
                this.note('an old copy comes late');
                this.late.push(new Promise((done) => setTimeout(done, 200 + this.chance(1500))).then(once).catch(() => undefined));
                return once();
            default:
                return once();
        }
    }

    /** Ends a process in the middle of whatever it does. */
    strike(): void {
        const fault = ([...Array<Fault>(9).fill('php worker killed'), 'database killed', 'php killed', 'web server killed'] as Fault[])[this.chance(12)]!;
        const servers: Partial<Record<Fault, string>> = { 'database killed': 'database', 'php killed': 'fpm', 'web server killed': 'nginx' };
        const server = servers[fault];
        const pid = server ? this.noted(server) : this.worker();
        if (!pid) return;
        try {
            process.kill(Number(pid), 'SIGKILL');
            this.note(fault);
        } catch {
            // It was just ending by itself.
        }
    }

    /** Until every late copy has come. */
    settled = (): Promise<unknown> => Promise.all(this.late);

    private noted = (server: string): string => readFileSync(`${this.run}/${server}.pid`, 'utf8').trim();

    private worker(): string {
        try {
            const children = execFileSync('pgrep', ['-P', this.noted('fpm')])
                .toString()
                .trim()
                .split('\n');
            return children[this.chance(children.length)] ?? '';
        } catch {
            return '';
        }
    }

    note(fault: Fault): void {
        this.happened.set(fault, (this.happened.get(fault) ?? 0) + 1);
    }
}
