import type { QueueState, Trouble } from '@/queue/queue';
import type { Device } from './useDevice';

const WHY: Record<Trouble, string> = {
    'out-of-reach': 'They go by themselves when there is signal.',
    'no-room': 'The server’s disk is full: they go by themselves when there is room again.',
    'signed-out': 'You are signed out: sign in again and they go.',
    'somebody-else': 'Somebody else is signed in on this device: they wait until you sign in again.',
    'older-server': 'This page is newer than the server: they go when the server has been brought up to date.',
    broken: 'The server could not store some of them; they are tried again.',
};

const many = (events: number): string => `${events} ${events === 1 ? 'mark' : 'marks'}`;

/** What is to be said of the marks; nothing while they go. */
function ofMarks({ waiting, writing, trouble, refused, unsafe }: QueueState): string[] {
    if (waiting.length === 0 || (!trouble && !unsafe && refused.length === 0)) return [];
    // What is being written just now is on this device once it is.
    const marks = waiting.filter((event) => event.kind === 'mark').length - writing;
    return [
        ...(trouble || unsafe ? [`${many(marks)} on this device, not yet sent.`] : []),
        ...(unsafe ? ['This browser cannot store them: do not close the page.'] : []),
        ...(trouble ? [WHY[trouble]] : []),
        ...(refused.length > 0 ? [`${many(refused.length)} not accepted.`] : []),
    ];
}

/** How much a clock is off, as it is said. */
export function offWords(minutes: number): string {
    const by = Math.abs(minutes);
    const much = by < 90 ? `${by} minutes` : `${Math.round(by / 60)} hours`;
    return `${much} ${minutes > 0 ? 'fast' : 'slow'}`;
}

interface Clock {
    time: (moment: Date) => string;
    short: (moment: Date) => string;
    iso: (moment: Date) => string;
}

/** A moment of today by its time, of another day with the day. */
const when = (at: number, clock: Clock): string => {
    const moment = new Date(at);
    return clock.iso(moment) === clock.iso(new Date()) ? clock.time(moment) : `${clock.short(moment)}, ${clock.time(moment)}`;
};

/** What was written beside the marks. */
function ofWrites({ waiting, refused }: Device['writes']): string[] {
    const many = (count: number) => (count === 1 ? 'One thing' : `${count} things`);
    return [
        ...(waiting > 0
            ? [`${many(waiting)} written on lessons ${waiting === 1 ? 'waits' : 'wait'} here and ${waiting === 1 ? 'goes' : 'go'} with signal.`]
            : []),
        ...(refused > 0 ? [`${many(refused)} written on lessons not accepted.`] : []),
    ];
}

function ofSignal({ reached, asOf }: Device, clock: Clock): string[] {
    if (asOf !== null) return [`${reached ? 'The server takes long' : 'No signal'}: what is shown is as of ${when(asOf, clock)}.`];
    return reached ? [] : ['No signal.'];
}

/** What is to be said of this device, most urgent first; nothing while all goes well. */
export function saidOf(device: Device, clock: Clock): string {
    return [
        ...ofMarks(device.queue),
        ...ofWrites(device.writes),
        ...ofSignal(device, clock),
        ...(device.clockAhead === 0
            ? []
            : [`The clock of this device is ${offWords(device.clockAhead)}. Marks get the right time all the same; set it right.`]),
        ...(device.nearlyFull ? ['This device is nearly full: make room, or marks cannot be kept without signal.'] : []),
        ...(device.newer ? ['A newer version is here; it is taken when you go to another page.'] : []),
        ...(device.otherForm && !device.newer ? ['The server has another version than this page: load the page anew when there is a quiet moment.'] : []),
    ].join(' ');
}

/** The same in a few words, where every line counts; always something. */
export function shortOf(device: Device, clock: Clock): string {
    const { waiting, trouble, sentAt } = device.queue;
    const marks = waiting.filter((event) => event.kind === 'mark').length;
    const signal = device.reached ? [] : ['No signal'];
    if (marks > 0 && trouble) return [...signal, `${many(marks)} to be sent`].join(' · ');
    if (device.writes.waiting > 0) return [...signal, 'Something written waits'].join(' · ');
    const sent = sentAt === null ? 'Nothing waits to be sent' : `All sent, ${clock.time(new Date(sentAt))}`;
    return [...signal, ...(marks > 0 ? ['Sending'] : [sent])].join(' · ');
}
