import type { NewEvent, QueueEvent } from './events';
import { uuid7 } from './uuid';

/** Which waiting event needs which other one to arrive first: a mark its round, a correction what it corrects. */

const idOf = (event: NewEvent): string => (event.kind === 'round' ? event.round.id : event.mark.id);

/** The events that cannot go while some are set aside, directly or through others. In the order in which they were made. */
export function heldUpBy(events: QueueEvent[], aside: ReadonlySet<number>): Set<number> {
    const missing = new Set<string>();
    const held = new Set<number>();
    if (aside.size === 0) return held;
    for (const event of events) {
        const needs = event.kind === 'mark' ? [event.mark.round_id, event.mark.corrects_id ?? ''] : [];
        if (aside.has(event.seq)) missing.add(idOf(event));
        else if (needs.some((id) => missing.has(id))) {
            missing.add(idOf(event));
            held.add(event.seq);
        }
    }
    return held;
}

/** The same events as something newly made: new ids, pointing to each other as before and to nothing else that could be refused. */
export function renewed(events: QueueEvent[]): NewEvent[] {
    const ids = new Map(events.map((event) => [idOf(event), uuid7()]));
    return events.map((event) =>
        event.kind === 'round'
            ? { kind: 'round', round: { ...event.round, id: ids.get(event.round.id)! } }
            : {
                  kind: 'mark',
                  mark: {
                      ...event.mark,
                      id: ids.get(event.mark.id)!,
                      round_id: ids.get(event.mark.round_id) ?? event.mark.round_id,
                      corrects_id: ids.get(event.mark.corrects_id ?? '') ?? null,
                  },
              },
    );
}
