import type { Decision, Lesson, Outcome, Round, Step } from '@/api/types';
import { momentIn, pressing, pressTime, settling, takingBack, type Written } from '@/queue/press';
import { Queue, type Neighbours, type NewEvent, type News } from '@/queue/queue';
import { says, standing, withMade } from '@/queue/standing';
import { spokenOf, withdrawal, type Press } from '@/queue/undo';
import { uuid7 } from '@/queue/uuid';
import { Memory } from '@/testing/memory';
import type { Weather, Wire } from './network';

const STEPS: Step[] = ['mirrors', 'signal', 'position', 'speed', 'look'];
const OUTCOMES: Outcome[] = ['unaided', 'reminded', 'prompted', 'missed', 'intervened'];

const DECISIONS: Decision[] = ['held-back-rightly', 'let-go', 'asked-again'];

/** A tablet or phone on which one lesson is marked through the real queue. */
export class Device {
    readonly store = new Memory();
    readonly made = { rounds: new Set<string>(), marks: new Set<string>() };
    /** Its open pages: one, or two that hear each other. */
    private pages: Queue[] = [];
    private hub: { page: number; listener: (news: News) => void }[] = [];
    private turn: Promise<unknown> = Promise.resolve();
    private lesson!: Lesson;
    private presses: Press[] = [];

    constructor(
        private readonly wire: Wire,
        private readonly weather: Weather,
        private readonly user: string,
        private readonly lessonId: string,
        private readonly chance: (below: number) => number,
    ) {
        this.pages = [this.newPage()];
    }

    private newPage(): Queue {
        return new Queue(this.store, (batch) => this.weather.send(this.wire, batch), this.beside());
    }

    /** As a browser does it: one page sends at a time, and each hears the others. */
    private beside(): Neighbours {
        const page = this.chance(1_000_000_000);
        return {
            alone: (work) => {
                const mine = this.turn.then(work);
                this.turn = mine.catch(() => undefined);
                return mine;
            },
            tell: (news) => this.hub.filter((one) => one.page !== page).forEach((one) => one.listener(structuredClone(news))),
            listen: (listener) => void this.hub.push({ page, listener }),
        };
    }

    /** The page that a finger is on. */
    private get queue(): Queue {
        return this.pages[this.chance(this.pages.length)]!;
    }

    private read = async (): Promise<void> => {
        this.lesson = await this.wire.ask<Lesson>('GET', `lessons/${this.lessonId}`);
    };

    /** Opens a page: what waits on the device is read and sent; of the old page nothing is left but that. */
    async open(): Promise<void> {
        this.lesson = await this.wire.reached<Lesson>('GET', `lessons/${this.lessonId}`);
        this.presses = [];
        this.hub = [];
        this.pages = [this.newPage()];
        if (this.chance(3) === 0) {
            this.pages.push(this.newPage());
            this.weather.note('a second page');
        }
        await Promise.all(this.pages.map((page) => page.load(this.user, this.read)));
    }

    flush = async (): Promise<void> => {
        await Promise.all(this.pages.map((page) => page.flush()));
    };

    get waiting(): number {
        return this.store.events.size;
    }

    get refused(): string[] {
        return this.pages.flatMap((page) => page.state().refused.map((one) => one.reason));
    }

    /** One press, as somebody marking would make it: mostly in the newest round, at times in an old one, a slip now and then. */
    press(): void {
        const rounds = withMade(this.lessonId, this.lesson.rounds, this.queue.state().made);
        const kind = this.chance(20);
        if (rounds.length === 0 || kind === 0) return this.begin();
        const round = kind < 4 ? rounds[this.chance(rounds.length)]! : rounds[rounds.length - 1]!;
        const stands = standing(round.marks);
        const at = pressTime();
        const step = STEPS[this.chance(5)]!;
        const outcome = OUTCOMES[this.chance(5)]!;
        const last = this.presses[this.presses.length - 1];
        if (kind === 5 && last) {
            this.presses.pop();
            return this.add(takingBack(last, rounds, this.user, at));
        }
        if (kind === 6) return this.keep(momentIn(round.id, at));
        if (kind === 7 && stands.moments[0]) return this.keep(settling(stands.moments[0], round, { round, step, outcome }, at));
        if (kind === 8) {
            return this.keep(
                pressing(round.id, stands, at, [{ kind: 'decision', decision: DECISIONS[this.chance(3)]! }], (slot, before) =>
                    before ? withdrawal(slot) : spokenOf(slot),
                ),
            );
        }
        if (kind < 12) {
            const open = STEPS.filter((one) => !stands.steps[one]).map((one) => ({ kind: 'step' as const, step: one }));
            return this.keep(
                pressing(round.id, stands, at, open, (slot) => ({ kind: 'step', step: slot.kind === 'step' ? slot.step : null, outcome: 'unaided' })),
            );
        }
        this.keep(
            pressing(round.id, stands, at, [{ kind: 'step', step }], (_, before) => ({
                ...{ kind: 'step', step, outcome, note: this.chance(9) === 0 ? 'by the van' : (before?.note ?? null), out_of_order: this.chance(7) === 0 },
            })),
        );
    }

    private begin(): void {
        const item = this.lesson.items[this.chance(this.lesson.items.length)]!;
        const round: Omit<Round, 'marks'> = {
            ...{ id: uuid7(), lesson_id: this.lessonId, place_id: item.place.id, place: item.place.name, routine: item.routine },
            ...{ conditions: { traffic: 'quiet' }, device_at: pressTime() },
        };
        this.add([{ kind: 'round', round }]);
    }

    private keep({ events, press }: Written): void {
        this.presses.push(press);
        this.add(events);
    }

    private add(events: NewEvent[]): void {
        for (const event of events) (event.kind === 'round' ? this.made.rounds : this.made.marks).add(event.kind === 'round' ? event.round.id : event.mark.id);
        this.queue.add(...events);
    }
}

/** What stands in some rounds, counted by step and outcome as a record counts it. */
export function counted(rounds: Round[]): Record<string, number> {
    const counts: Record<string, number> = {};
    for (const round of rounds) {
        const stands = standing(round.marks);
        for (const step of STEPS) {
            const outcome = says(stands, step);
            if (outcome) counts[`${round.routine} ${step} ${outcome}`] = (counts[`${round.routine} ${step} ${outcome}`] ?? 0) + 1;
        }
    }
    return counts;
}
