import { Problem } from '@/api/client';
import { heard } from '@/api/heard';
import { Noticed } from '@/api/noticed';
import type { Neighbours } from '@/queue/events';
import { NOBODY } from '@/queue/neighbours';
import type { Written } from './written';

/** Something written without signal, as it waits. */
export interface Waiting {
    seq: number;
    user: string;
    lesson: string;
    written: Written;
}

export interface WritesState {
    /** Of the present user, oldest first. */
    waiting: Waiting[];
    /** Why the server would not take one, by its number. */
    refused: ReadonlyMap<number, string>;
}

interface Shelved {
    of(user: string): Promise<Waiting[]>;
    put(one: Waiting): Promise<void>;
    drop(seqs: number[]): Promise<void>;
}

/** Signal, a sign-in, or a server with room: until then everything waits. */
const waits = (problem: Problem): boolean => problem.isOutOfReach || [401, 409, 419, 429, 507].includes(problem.status);

/**
 * What is written on lessons beside the marks. With signal it is told to the server at once, and a refusal is the writer's; without, it
 * waits on the device and goes later, in the order in which it was written.
 */
export class Writes {
    readonly state = new Noticed<WritesState>({ waiting: [], refused: new Map() });
    private all: Waiting[] = [];
    /** Being put on the shelf at this moment: neither shown nor sent before it lies there, for a page that is closed meanwhile takes it along. */
    private readonly storing = new Set<Waiting>();
    private refused = new Map<number, string>();
    private user = '';
    private sending: Promise<void> | null = null;
    private onSent: (lesson: string) => Promise<unknown> = () => Promise.resolve();

    constructor(
        private readonly shelf: Shelved,
        private readonly send: (lesson: string, written: Written) => Promise<unknown>,
        private readonly neighbours: Neighbours = NOBODY,
    ) {
        neighbours.listen(() => void this.read().then(() => this.tell()));
    }

    async load(user: string, onSent: (lesson: string) => Promise<unknown>): Promise<void> {
        this.user = user;
        this.onSent = onSent;
        this.refused.clear();
        await this.read();
        this.tell();
        await this.flush();
    }

    /** What the server answered; null where it waits. What was written on the same lesson before goes first. */
    async write(lesson: string, written: Written): Promise<unknown> {
        // Without signal nobody waits for a network that carries nothing, and a page that is closed meanwhile loses nothing.
        if (heard.reached.get() && !this.mine().some((one) => one.lesson === lesson && !this.refused.has(one.seq))) {
            try {
                return (await this.send(lesson, written)) ?? true;
            } catch (error) {
                if (!(error instanceof Problem) || !error.isOutOfReach) throw error;
            }
        }
        const one = { seq: Math.max(Date.now() * 1000, ...this.all.map(({ seq }) => seq + 1)), user: this.user, lesson, written };
        this.all.push(one);
        this.storing.add(one);
        // What cannot be kept on the device is said to whoever wrote it, while it is still on the page.
        try {
            await this.shelf.put(one);
        } catch {
            this.all = this.all.filter((other) => other !== one);
            throw new Problem(0, 'There is no signal, and this browser cannot store it.');
        } finally {
            this.storing.delete(one);
        }
        this.tell();
        this.neighbours.tell({ dropped: [] });
        void this.flush();
        return null;
    }

    flush(): Promise<void> {
        this.sending ??= this.neighbours
            .alone(() => this.sendAll())
            .finally(() => {
                this.sending = null;
            });
        return this.sending;
    }

    /** Gives one up. */
    async discard(seq: number): Promise<void> {
        await this.forget(seq);
        this.tell();
    }

    /** Tries a refused one once more, when what was in its way may be gone. */
    async again(seq: number): Promise<void> {
        this.refused.delete(seq);
        this.tell();
        await this.flush();
    }

    private mine = (): Waiting[] => this.all.filter((one) => one.user === this.user);

    private stored = (): Waiting[] => this.mine().filter((one) => !this.storing.has(one));

    private async read(): Promise<void> {
        // What is written while the shelf is read is not missed on it.
        const stored = this.stored();
        const kept = await this.shelf.of(this.user).catch(() => null);
        if (!kept) return;
        const there = new Set(kept.map((one) => one.seq));
        const gone = new Set(stored.filter((one) => !there.has(one.seq)));
        const known = new Set(this.all.map((one) => one.seq));
        this.all = [...this.all.filter((one) => !gone.has(one)), ...kept.filter((one) => !known.has(one.seq))].sort((a, b) => a.seq - b.seq);
    }

    private async sendAll(): Promise<void> {
        await this.read();
        const user = this.user;
        for (let one = this.next(); one && this.user === user; one = this.next()) {
            try {
                await this.send(one.lesson, one.written);
            } catch (error) {
                const problem = error instanceof Problem ? error : new Problem(0, 'Not sent yet.');
                if (waits(problem)) break;
                this.refused.set(one.seq, problem.message);
                this.tell();
                continue;
            }
            await this.forget(one.seq);
            this.tell();
            await this.onSent(one.lesson).catch(() => undefined);
        }
        this.tell();
    }

    private next = (): Waiting | undefined => this.stored().find((one) => !this.refused.has(one.seq));

    private async forget(seq: number): Promise<void> {
        await this.shelf.drop([seq]).catch(() => undefined);
        this.all = this.all.filter((one) => one.seq !== seq);
        this.refused.delete(seq);
        this.neighbours.tell({ dropped: [seq] });
    }

    private tell(): void {
        this.state.set({ waiting: this.stored(), refused: new Map(this.refused) });
    }
}
