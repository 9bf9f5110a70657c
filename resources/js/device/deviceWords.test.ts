import { describe, expect, it } from 'vitest';
import type { QueueEvent, QueueState, Trouble } from '@/queue/queue';
import { saidOf, shortOf } from './deviceWords';
import type { Device } from './useDevice';

const iso = (moment: Date) => moment.toISOString().slice(0, 10);
const clock = { time: (moment: Date) => moment.toISOString().slice(11, 16), short: (moment: Date) => `day ${iso(moment)}`, iso };
const EMPTY: QueueState = { loaded: true, waiting: [], made: [], writing: 0, unsafe: false, trouble: null, sentAt: null, refused: [] };
const WELL: Device = {
    queue: EMPTY,
    writes: { waiting: 0, refused: 0 },
    reached: true,
    asOf: null,
    clockAhead: 0,
    nearlyFull: false,
    newer: false,
    otherForm: false,
};
const mark = (seq: number): QueueEvent => ({ seq, kind: 'mark', user: 'u', mark: {} as never });
const said = (device: Partial<Device>, queue: Partial<QueueState> = {}) => saidOf({ ...WELL, ...device, queue: { ...EMPTY, ...queue } }, clock);

describe('the line about this device', () => {
    it('says nothing while all goes well, nor while marks are on their way', () => {
        expect(said({})).toBe('');
        expect(said({}, { waiting: [mark(1)] })).toBe('');
        expect(said({}, { sentAt: Date.now() })).toBe('');
    });

    it.each<[Trouble, RegExp]>([
        ['out-of-reach', /^2 marks on this device, not yet sent\. They go by themselves when there is signal\.$/],
        ['signed-out', /sign in again and they go/],
        ['somebody-else', /they wait until you sign in again/],
        ['older-server', /newer than the server: they go when the server has been brought up to date/],
        ['no-room', /disk is full/],
        ['broken', /tried again/],
    ])('says how many marks wait, why, and what makes them go: %s', (trouble, words) => {
        expect(said({}, { trouble, waiting: [mark(1), mark(2)] })).toMatch(words);
    });

    it('counts as on this device what is written to its store, not what is on its way there', () => {
        const waiting = [mark(1), mark(2), mark(3), mark(4), mark(5)];
        expect(said({}, { trouble: 'out-of-reach', waiting, writing: 4 })).toMatch(/^1 mark on this device, not yet sent\./);
        expect(said({}, { trouble: 'out-of-reach', waiting, writing: 0 })).toMatch(/^5 marks on this device, not yet sent\./);
    });

    it('says beside what waits what was refused, and warns where closing the page would lose something', () => {
        const refused = [{ event: mark(1), reason: 'no', holdsUp: 0 }];
        expect(said({}, { refused, waiting: [mark(1)] })).toBe('1 mark not accepted.');
        expect(said({}, { refused, trouble: 'out-of-reach', unsafe: true, waiting: [mark(1), mark(2)] })).toBe(
            '2 marks on this device, not yet sent. This browser cannot store them: do not close the page. They go by themselves when there is signal. 1 mark not accepted.',
        );
    });

    it('says what else was written and waits, or was not accepted', () => {
        expect(said({ writes: { waiting: 1, refused: 0 } })).toBe('One thing written on lessons waits here and goes with signal.');
        expect(said({ writes: { waiting: 3, refused: 1 } })).toBe(
            '3 things written on lessons wait here and go with signal. One thing written on lessons not accepted.',
        );
    });

    it('says how old what is shown is: by its time today, with its day otherwise', () => {
        const today = new Date();
        today.setUTCHours(10, 42, 0, 0);
        expect(said({ reached: false, asOf: today.getTime() })).toBe('No signal: what is shown is as of 10:42.');
        expect(said({ reached: false, asOf: Date.parse('2026-01-02T07:05:00Z') })).toBe('No signal: what is shown is as of day 2026-01-02, 07:05.');
        expect(said({ asOf: today.getTime() })).toBe('The server takes long: what is shown is as of 10:42.');
        expect(said({ reached: false })).toBe('No signal.');
    });

    it.each([
        [3, '3 minutes fast'],
        [-45, '45 minutes slow'],
        [89, '89 minutes fast'],
        [118, '2 hours fast'],
        [-26 * 60, '26 hours slow'],
    ])('says how far the clock is off: %i minutes', (clockAhead, words) => {
        expect(said({ clockAhead })).toContain(`The clock of this device is ${words}.`);
    });

    it('says early that room runs out, and that another version is here or ahead', () => {
        expect(said({ nearlyFull: true })).toContain('nearly full');
        expect(said({ newer: true, otherForm: true })).toBe('A newer version is here; it is taken when you go to another page.');
        expect(said({ otherForm: true })).toContain('another version than this page');
    });

    it('in a few words always says something, and the same while marks come and go with signal', () => {
        const short = (device: Partial<Device>, queue: Partial<QueueState> = {}) => shortOf({ ...WELL, ...device, queue: { ...EMPTY, ...queue } }, clock);
        const sentAt = Date.parse('2026-05-20T10:42:00Z');
        expect(short({})).toBe('Nothing waits to be sent');
        expect(short({}, { sentAt })).toBe('All sent, 10:42');
        expect(short({}, { sentAt, waiting: [mark(1)] })).toBe('Sending');
        expect(short({ reached: false }, { sentAt, trouble: 'out-of-reach', waiting: [mark(1), mark(2)] })).toBe('No signal · 2 marks to be sent');
        expect(short({ reached: false, writes: { waiting: 1, refused: 0 } }, { sentAt })).toBe('No signal · Something written waits');
        expect(short({ reached: false }, { sentAt })).toBe('No signal · All sent, 10:42');
    });

    it('says what is most urgent first', () => {
        const all = said({ reached: false, clockAhead: 5, nearlyFull: true, newer: true }, { trouble: 'out-of-reach', waiting: [mark(1)] });
        const order = ['not yet sent', 'No signal', 'clock', 'nearly full', 'newer version'].map((words) => all.indexOf(words));
        expect(order).toEqual([...order].sort((a, b) => a - b));
        expect(order[0]).toBeGreaterThanOrEqual(0);
    });
});
