import { expect, test } from 'vitest';
import type { Lesson, Outcome } from '@/api/types';
import { standing } from '@/queue/standing';
import { uuid7 } from '@/queue/uuid';
import { chance } from './chance';
import { counted, Device } from './device';
import { FAULTS, Weather, Wire } from './network';

/** So much goes wrong in one lesson; a long run is many of them. */
const IN_A_LESSON = 500;
const LESSONS = Math.ceil(Number(process.env.NOBLE_TURN_HARNESS_FAULTS ?? IN_A_LESSON) / IN_A_LESSON);

const env = (name: string): string => process.env[name] ?? expect.fail(`${name} is not set: bin/test harness starts what this needs.`);

async function signedIn(): Promise<{ wire: Wire; user: string }> {
    const wire = new Wire(env('APP_URL'));
    await wire.ask('GET', 'session');
    const { user } = await wire.ask<{ user: { id: string } }>('POST', 'session', { email: 'instructor@harbourschool.test', password: 'demo-harbour' });
    return { wire, user: user.id };
}

let booked = 0;

/** A learner of their own, so that the record can be counted, with a lesson at some places. */
async function newLesson(wire: Wire): Promise<{ learner: { id: string }; lesson: { id: string }; places: { id: string; routine: string }[] }> {
    const learner = await wire.ask<{ id: string }>('POST', 'learners', { name: 'Harness', transmission: 'manual', level: 'beginner' });
    const [vehicle] = await wire.ask<{ id: string }[]>('GET', 'vehicles');
    const places = (await wire.ask<{ id: string; routine: string }[]>('GET', 'places')).filter((place) => place.routine.startsWith('emerge-')).slice(0, 4);
    const facts = {
        learner_id: learner.id,
        vehicle_id: vehicle!.id,
        starts_at: new Date(Date.now() + (50 + booked++) * 86_400_000).toISOString(),
        minutes: 60,
    };
    const lesson = await wire.ask<{ id: string }>('POST', 'lessons', facts);
    for (const place of places) await wire.ask('POST', `lessons/${lesson.id}/items`, { place_id: place.id });
    return { learner, lesson, places };
}

test('the same batch sent twice at once, and two corrections of one mark at once, are taken in as they should be', async () => {
    const [tablet, phone] = [await signedIn(), await signedIn()];
    const { lesson, places } = await newLesson(tablet.wire);
    const at = (n: number) => new Date(Date.now() - 60_000 + n).toISOString();
    const mark = (round: string, outcome: Outcome, n: number, corrects: string | null = null) => ({
        ...{ id: uuid7(), round_id: round, kind: 'step', step: 'look', outcome, corrects_id: corrects, device_at: at(n) },
    });
    for (let i = 0; i < 40; i++) {
        const round = { id: uuid7(), lesson_id: lesson.id, place_id: places[0]!.id, routine: places[0]!.routine, device_at: at(i) };
        const first = mark(round.id, 'missed', 0);
        const same = { rounds: [round], marks: [first] };
        await Promise.all([tablet, phone].map(({ wire }) => wire.ask('POST', 'sync', same)));
        const [one, other] = [mark(round.id, 'prompted', 1000, first.id), mark(round.id, 'unaided', 2000, first.id)];
        await Promise.all([tablet.wire.ask('POST', 'sync', { rounds: [], marks: [one] }), phone.wire.ask('POST', 'sync', { rounds: [], marks: [other] })]);
    }
    const { rounds } = await tablet.wire.ask<Lesson>('GET', `lessons/${lesson.id}`);
    expect(rounds.map((round) => round.marks.length)).toEqual(Array.from({ length: 40 }, () => 3));
    expect(rounds.map((round) => standing(round.marks).steps.look?.outcome)).toEqual(Array.from({ length: 40 }, () => 'unaided'));
    expect([...tablet.wire.answers.keys(), ...phone.wire.answers.keys()].filter((status) => status >= 300)).toEqual([]);
});

const everything = { lessons: 0, sent: 0, lost: 0, doubled: 0, faults: 0 };

test.each(Array.from({ length: LESSONS }, (_, i) => i))(
    'two devices mark one lesson while everything goes wrong, lesson %i: nothing is lost, nothing is doubled',
    async (nth) => {
        const tablet = await signedIn();
        const phone = await signedIn();
        const read = tablet.wire.reached.bind(tablet.wire);
        const { learner, lesson: made } = await newLesson(tablet.wire);
        const weather = new Weather(env('NOBLE_TURN_RUN'), chance(11 + 1000 * nth));
        const devices = [tablet, phone].map(({ wire, user }, i) => new Device(wire, weather, user, made.id, chance(100 + i + 1000 * nth)));
        const next = chance(7 + 1000 * nth);
        let over = false;
        const drive = async (device: Device) => {
            await device.open();
            while (weather.count < IN_A_LESSON) {
                for (let i = next(6); i >= 0; i--) device.press();
                await device.flush();
                // A page is closed and opened anew in the middle of it.
                if (next(20) === 0) {
                    weather.note('a page closed');
                    await device.open();
                }
            }
        };
        const storm = async () => {
            while (!over) {
                await new Promise((done) => setTimeout(done, 250));
                weather.strike();
            }
        };
        const raging = storm();
        await Promise.all(devices.map(drive));
        over = true;
        await raging;
        await weather.settled();
        // The signal is back: what waits goes, from new pages.
        for (const device of devices) {
            for (let i = 0; i < 100 && (i === 0 || device.waiting > 0); i++) {
                await device.open();
                await new Promise((done) => setTimeout(done, 50));
            }
        }

        const lesson = await read<Lesson>('GET', `lessons/${made.id}`);
        const stored = lesson.rounds.flatMap((round) => round.marks.map((mark) => mark.id));
        const sent = devices.flatMap((device) => [...device.made.marks]);
        const waiting = devices.reduce((sum, device) => sum + device.waiting, 0);
        const lost = sent.filter((id) => !stored.includes(id));
        const doubled = stored.filter((id, i) => stored.indexOf(id) !== i).concat(stored.filter((id) => !sent.includes(id)));
        const report = {
            sent: sent.length,
            acknowledged: sent.length - waiting,
            stored: stored.length,
            lost: lost.length,
            doubled: doubled.length,
            rounds: lesson.rounds.length,
            faults: weather.count,
        };
        everything.lessons++;
        for (const figure of ['sent', 'lost', 'doubled', 'faults'] as const) everything[figure] += report[figure];
        const answers = [...tablet.wire.answers, ...phone.wire.answers].map(([status, n]) => `${status} x ${n}`);
        const faults = FAULTS.map((fault) => `  ${fault}: ${weather.happened.get(fault) ?? 0}`).join('\n');
        process.stdout.write(
            `\nMarks harness: ${JSON.stringify(report)}\n${faults}\n  answers: ${answers.join(', ')}\n  in all: ${JSON.stringify(everything)}\n`,
        );
        // A killed worker answers with nothing, a killed database with a promise to be back: no answer is an error of ours.
        expect(answers.filter((answer) => answer.startsWith('500'))).toEqual([]);
        expect(devices.flatMap((device) => device.refused)).toEqual([]);
        expect(report).toMatchObject({ acknowledged: sent.length, stored: sent.length, lost: 0, doubled: 0 });
        expect(sent.length).toBeGreaterThanOrEqual(IN_A_LESSON);
        expect(weather.count).toBeGreaterThanOrEqual(IN_A_LESSON);
        for (const fault of FAULTS) expect(weather.happened.get(fault) ?? 0, fault).toBeGreaterThan(0);
        expect(new Set(lesson.rounds.map((round) => round.id))).toEqual(new Set(devices.flatMap((device) => [...device.made.rounds])));
        // Every device that reads the log counts as the server does.
        const { tallies } = await read<{ tallies: { routine: string; step: string; counts: Record<Outcome, number> }[] }>('GET', `learners/${learner.id}`);
        const record = Object.fromEntries(
            tallies.flatMap(({ routine, step, counts }) =>
                Object.entries(counts).flatMap(([outcome, n]) => (n > 0 ? [[`${routine} ${step} ${outcome}`, n]] : [])),
            ),
        );
        expect(counted(lesson.rounds)).toEqual(record);
    },
);
