import type { Problem } from '@/api/client';
import type { Mark, paths, Planned, Round, Taken as Arrived } from '@/api/types';

/** What waits to be sent, where it waits, and what comes back. */

/** A round without its marks, with the plan it was driven against; one of before plans were kept waits without. */
export type RoundEvent = Omit<Round, 'marks' | 'ordinal' | 'assessment_id'> & { plan?: Planned };
export type QueueEvent = { seq: number; kind: 'round'; user: string; round: RoundEvent } | { seq: number; kind: 'mark'; user: string; mark: Mark };
export type NewEvent = { kind: 'round'; round: RoundEvent } | { kind: 'mark'; mark: Mark };

/** Where events wait: they survive a closed tab and an empty battery. Whoever is signed in reads only their own. */
export interface Store {
    of(user: string): Promise<QueueEvent[]>;
    /** All of them or none: a page that is closed meanwhile keeps no half of a press. */
    add(...events: QueueEvent[]): Promise<void>;
    drop(seqs: number[]): Promise<void>;
    /** No longer waiting: kept a while, because a page that opens without signal has read nothing of the server since. */
    sent(events: QueueEvent[]): Promise<void>;
    recent(user: string): Promise<QueueEvent[]>;
}

/** What is sent: each event says who made it, so that it is never stored under another name. */
export type Batch = Omit<Body, 'sent_at'>;
type Body = paths['/sync']['post']['requestBody']['content']['application/json'];

/** What comes back: marks that others pressed later in the same place of a round. */
export type Taken = Pick<Arrived, 'stands'>;

export type Send = (batch: Batch) => Promise<Taken>;

/** What one page of this device tells the others. */
export type News = { added: QueueEvent[] } | { sent: QueueEvent[] } | { dropped: number[] };

/** The other pages that are open on this device, with the same store. */
export interface Neighbours {
    /** Works while no other page does. */
    alone(work: () => Promise<void>): Promise<void>;
    tell(news: News): void;
    listen(listener: (news: News) => void): void;
}

/** Why nothing goes at present. */
export type Trouble = 'out-of-reach' | 'signed-out' | 'somebody-else' | 'older-server' | 'no-room' | 'broken';

export interface Refusal {
    event: QueueEvent;
    /** The server's own sentence. */
    reason: string;
    /** How many events wait for this one. */
    holdsUp: number;
}

export interface QueueState {
    /** Whether what waits on the device has been read. */
    loaded: boolean;
    /** Events of the present user still on this device only, oldest first. */
    waiting: QueueEvent[];
    /** Those, the ones sent since the page was loaded, and what others were heard to have pressed: what to lay over the server’s rounds. */
    made: QueueEvent[];
    /** So many marks of those are being written to this device's store just now: a page closed in this moment would lose them. */
    writing: number;
    /** Events that could not be written to this device's store: closing the page would lose them. */
    unsafe: boolean;
    trouble: Trouble | null;
    /** When the last of them went, ms; null where none has since the page was loaded. */
    sentAt: number | null;
    /** What the server will not take as it is; tried again when the page is loaded anew. */
    refused: Refusal[];
}

/** Answers that will not change by trying again. */
const REFUSALS = [400, 403, 404, 413, 415, 422];

/** What an answer means for the queue: whom it concerns, and whether trying again helps. */
export function meaning(problem: Problem): Trouble | 'refused' {
    if (problem.status === 401 || problem.status === 419) return 'signed-out';
    if (problem.status === 409) return 'somebody-else';
    if (problem.status === 426) return 'older-server';
    if (problem.status === 507) return 'no-room';
    if (problem.isOutOfReach || problem.status === 429) return 'out-of-reach';
    return REFUSALS.includes(problem.status) ? 'refused' : 'broken';
}

const roundAsSent = ({ id, lesson_id, place_id, elsewhere, moment_id, routine, side, conditions, plan, device_at }: RoundEvent) => ({
    ...{ id, lesson_id, place_id, routine, conditions, device_at },
    ...{ elsewhere: elsewhere ?? null, moment_id: moment_id ?? null, side: side ?? null },
    ...(plan ? { plan } : {}),
});

const markAsSent = ({
    id,
    round_id,
    kind,
    step,
    stage,
    outcome,
    taught,
    decision,
    what,
    number,
    seconds,
    conditions,
    out_of_order,
    fault,
    effect,
    place_id,
    note,
    corrects_id,
    withdrawn,
    device_at,
}: Mark) => ({
    ...{ id, round_id, kind, step, outcome, taught, conditions, out_of_order, note, corrects_id, withdrawn, device_at },
    // Of before these could be said: nothing.
    ...{ stage: stage ?? null, fault: fault ?? null, effect: effect ?? null, place_id: place_id ?? null },
    ...{ decision: decision ?? null, what: what ?? null, number: number ?? null, seconds: seconds ?? null },
});

/** Events as they are sent, each with who made it; what only this device makes of them stays here. */
export function asBatch(events: QueueEvent[]): Batch {
    return {
        rounds: events.flatMap((event) => (event.kind === 'round' ? [{ ...roundAsSent(event.round), made_by: event.user }] : [])),
        marks: events.flatMap((event) => (event.kind === 'mark' ? [{ ...markAsSent(event.mark), made_by: event.user }] : [])),
    };
}
