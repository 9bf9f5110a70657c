/** Between moments and what the clock on a wall in a time zone shows, as `2026-05-20T10:30`. */

export function wallClock(moment: Date, zone: string): string {
    const parts = new Intl.DateTimeFormat('en-CA', {
        timeZone: zone,
        year: 'numeric',
        month: '2-digit',
        day: '2-digit',
        hour: '2-digit',
        minute: '2-digit',
        hourCycle: 'h23',
    }).formatToParts(moment);
    const part = (type: Intl.DateTimeFormatPartTypes) => parts.find((candidate) => candidate.type === type)!.value;
    return `${part('year')}-${part('month')}-${part('day')}T${part('hour')}:${part('minute')}`;
}

/** The moment at which that clock shows this; in an hour that is skipped, the moment the clock would have shown it. */
export function momentOf(shown: string, zone: string): Date {
    const asUtc = new Date(`${shown}:00Z`).getTime();
    const offset = (at: number) => new Date(`${wallClock(new Date(at), zone)}:00Z`).getTime() - at;
    const first = asUtc - offset(asUtc);
    return new Date(asUtc - offset(first));
}
