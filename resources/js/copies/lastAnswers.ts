import { hashKey, notifyManager, type Query, type QueryClient, type QueryKey, type QueryPersister } from '@tanstack/react-query';
import { Problem, type Answered } from '@/api/client';
import { heard } from '@/api/heard';
import { packed } from './packed';
import type { Copies, Copy } from './store';

/** How long a page waits for the server before it shows what it had, ms (assumed: longer than a slow answer, shorter than patience). */
const PATIENCE = 4_000;

/** Older than this nothing is shown: the week it was of is over (assumed). */
const LONGEST = 7 * 24 * 3_600_000;

/**
 * Every slider that comes to rest asks a new question of the core: of these the newest are kept, more than two days of lessons ask
 * (assumed; a whole range of answers takes about a third of a megabyte).
 */
const MOST = [
    ['["sweep"', 80],
    ['["compute"', 300],
] as const;

/** Of nobody: who was signed in here last. */
const DEVICE = 'device';

/** What is kept of answers, by the first word of the question. What is not named here is shown with signal only. */
const KEPT = [
    'today',
    'week',
    'lesson',
    'learners',
    'learner',
    'places',
    'sites',
    'pictures',
    'vehicles',
    'vehicle-kinds',
    'circuits',
    'centres',
    'legs',
    'rules',
    'routines',
    'compute',
    'sweep',
    'helped',
    'school',
    'texts',
];

/** Everything about one learner, to be handed out: not left on a device. */
const isKept = ([first, , third]: QueryKey): boolean => KEPT.includes(first as string) && third !== 'data';

const isOutOfReach = (error: unknown): boolean => error instanceof Problem && error.isOutOfReach;

/**
 * The last answer to every question, kept on the device for the person it was given to, and shown where the server cannot be reached or
 * takes too long. What was answered that way is asked again as soon as there is signal. Who signs out takes all of it along.
 */
export class LastAnswers {
    private client!: QueryClient;
    /** Questions that were answered with what was known, and as of when, ms. */
    private readonly owed = new Map<string, number>();
    private listeners = new Set<() => void>();

    constructor(
        private readonly copies: Copies,
        private readonly form: string,
        private readonly whose: () => string,
    ) {}

    /** Keeps what a client is told, by the server or by a page that has just written something. */
    of(client: QueryClient): void {
        this.client = client;
        client.getQueryCache().subscribe((event) => {
            if (event.type === 'updated' && event.action.type === 'success' && event.action.manual)
                void this.keep(event.query as Query, event.query.state.data, this.whose());
        });
        heard.reached.subscribe(() => {
            if (heard.reached.get()) this.askAgain();
        });
    }

    /** How a question is answered: by the server; failing that by what is known, if anything is. */
    persister: QueryPersister = async (ask, context, query) => {
        // Whose the answer is was settled when it was asked for: by the time it comes somebody else may be signed in.
        const owner = this.whose();
        const answer = { came: false };
        const asked = Promise.resolve(ask(context as never)).then((data) => {
            answer.came = true;
            void this.keep(query, data, owner);
            return data;
        });
        if (query.queryKey[0] !== 'session' && (owner === '' || !isKept(query.queryKey))) return asked;
        const LATE = Symbol('late');
        const patience = this.patience(LATE);
        const first = await Promise.race([asked.catch((error: unknown) => (isOutOfReach(error) ? LATE : Promise.reject(error as Error))), patience.over]);
        patience.end();
        if (first !== LATE) return first;
        const last = await this.known(query, owner);
        // It may have come while the device was searched.
        if (!last || answer.came) return asked;
        this.owe(query.queryHash, last.at);
        // The answer is as old as it is: without this it would count as new.
        notifyManager.schedule(() => query.setState({ dataUpdatedAt: last.at }));
        asked.then(
            (data) =>
                notifyManager.schedule(() => {
                    // Whatever was written meanwhile is newer than an answer that was asked for before it.
                    if (this.whose() === owner && query.state.dataUpdatedAt === last.at) query.setData(data);
                }),
            () => undefined,
        );
        return last.data;
    };

    /** As of when the oldest of some questions was answered, ms; null where all are fresh. */
    asOf(questions: readonly string[]): number | null {
        const times = questions.flatMap((question) => this.owed.get(question) ?? []);
        return times.length === 0 ? null : Math.min(...times);
    }

    /** Asks everything anew that was answered with what was known. */
    askAgain(): void {
        void this.client.invalidateQueries({ predicate: (query) => this.owed.has(query.queryHash) || isOutOfReach(query.state.error) });
    }

    /** Leaves nothing on this device. */
    async forget(): Promise<void> {
        packed.set(null);
        await this.copies.keepOnly(null, 0).catch(() => undefined);
    }

    /** Keeps no more than a device has room for. */
    async tidy(): Promise<void> {
        for (const [begins, most] of MOST) await this.copies.keepNewest(this.whose(), begins, most).catch(() => undefined);
    }

    /** What somebody was last answered, whether it is shown at present or not; undefined where it never was. */
    async recall<T>(key: QueryKey): Promise<T | undefined> {
        const held = this.client.getQueryData<T>(key);
        if (held !== undefined) return held;
        const copy = await this.copies.get(this.whose(), hashKey(key)).catch(() => undefined);
        return this.isGood(copy) ? (copy.data as T) : undefined;
    }

    /** When each question was last answered, ms, of those that are kept for the person signed in. */
    async times(): Promise<Map<string, number>> {
        return this.copies.times(this.whose()).catch(() => new Map<string, number>());
    }

    subscribe = (listener: () => void): (() => void) => {
        this.listeners.add(listener);
        return () => this.listeners.delete(listener);
    };

    /** Until a page has waited long enough. Nothing heard at all for so long is no signal, whatever the device says. */
    private patience<T>(late: T): { over: Promise<T>; end: () => void } {
        const began = Date.now();
        let timer: ReturnType<typeof setTimeout>;
        const over = new Promise<T>((done) => {
            timer = setTimeout(
                () => {
                    if (heard.last < began) heard.reached.set(false);
                    done(late);
                },
                heard.reached.get() ? PATIENCE : 0,
            );
        });
        return { over, end: () => clearTimeout(timer) };
    }

    private async known(query: Query, whose: string): Promise<{ at: number; data: unknown } | null> {
        if (query.state.data !== undefined) return { at: query.state.dataUpdatedAt, data: query.state.data };
        const owner = query.queryKey[0] === 'session' ? DEVICE : whose;
        const copy = await this.copies.get(owner, query.queryHash).catch(() => undefined);
        return this.isGood(copy) ? copy : null;
    }

    private isGood(copy: Copy | undefined): copy is Copy {
        return copy !== undefined && copy.form === this.form && copy.at > Date.now() - LONGEST;
    }

    private async keep(query: Query, data: unknown, owner: string): Promise<void> {
        if (data === undefined) return;
        this.settle(query.queryHash);
        if (query.queryKey[0] === 'session') return this.arrived(query, data as Answered<'/session', 'get'>);
        if (owner === '' || owner !== this.whose() || !isKept(query.queryKey)) return;
        await this.copies.put({ owner, question: query.queryHash, form: this.form, at: Date.now(), data }).catch(() => undefined);
    }

    /** Somebody is signed in: what others left here goes. Nobody is: everything goes. */
    private async arrived(query: Query, session: Answered<'/session', 'get'>): Promise<void> {
        const owner = session.user?.id ?? null;
        const since = Date.now() - LONGEST;
        try {
            await this.copies.keepOnly(owner, since);
            if (owner) await this.copies.put({ owner: DEVICE, question: query.queryHash, form: this.form, at: Date.now(), data: session });
        } catch {
            // Nothing is kept on this device: pages open with signal only.
        }
    }

    private owe(question: string, at: number): void {
        this.owed.set(question, at);
        this.listeners.forEach((listener) => listener());
    }

    private settle(question: string): void {
        if (this.owed.delete(question)) this.listeners.forEach((listener) => listener());
    }
}
