import { expect, test } from 'vitest';
import type { Lesson, Outcome } from '@/api/types';
import { counted, Device } from './device';
import { FAULTS, Weather, Wire } from './network';

const MARKS = 3000;
const FAULTS_AT_LEAST = 200;

/** Numbers from a seed (mulberry32). When what goes wrong meets what is sent is left to the machine. */
function chance(seed: number): (below: number) => number {
    let state = seed;
    return (below) => {
        state = (state + 0x6d2b79f5) | 0;
        let t = Math.imul(state ^ (state >>> 15), 1 | state);
        t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
        return ((t ^ (t >>> 14)) >>> 0) % below;
    };
}

const env = (name: string): string => process.env[name] ?? expect.fail(`${name} is not set: bin/test harness starts what this needs.`);

test('two devices mark one lesson while everything goes wrong: nothing is lost, nothing is doubled', async () => {
    const signedIn = async () => {
        const wire = new Wire(env('APP_URL'));
        await wire.ask('GET', 'session');
        const { user } = await wire.ask<{ user: { id: string } }>('POST', 'session', { email: 'instructor@harbourschool.test', password: 'demo-harbour' });
        return { wire, user: user.id };
    };
    const tablet = await signedIn();
    const phone = await signedIn();
    const ask = tablet.wire.ask.bind(tablet.wire);
    // A learner of their own, so that the record can be counted.
    const learner = await ask<{ id: string }>('POST', 'learners', { name: 'Harness', transmission: 'manual', level: 'beginner' });
    const [vehicle] = await ask<{ id: string }[]>('GET', 'vehicles');
    const places = (await ask<{ id: string; routine: string }[]>('GET', 'places')).filter((place) => place.routine.startsWith('emerge-')).slice(0, 4);
    const made = await ask<{ id: string }>('POST', 'lessons', {
        learner_id: learner.id,
        vehicle_id: vehicle!.id,
        starts_at: new Date().toISOString(),
        minutes: 60,
    });
    for (const place of places) await ask('POST', `lessons/${made.id}/items`, { place_id: place.id });

    const weather = new Weather(env('NOBLE_TURN_FPM_PID'), env('NOBLE_TURN_DB_PID_FILE'), chance(11));
    const devices = [tablet, phone].map(({ wire, user }, i) => new Device(wire, weather, user, made.id, chance(100 + i)));
    const all = () => devices.reduce((sum, device) => sum + device.made.marks.size, 0);
    const next = chance(7);
    let over = false;
    const drive = async (device: Device) => {
        await device.open();
        while (all() < MARKS || weather.count < FAULTS_AT_LEAST) {
            for (let i = next(6); i >= 0; i--) device.press();
            await device.flush();
            // A page is closed and opened anew in the middle of it.
            if (next(60) === 0) await device.open();
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

    const lesson = await ask<Lesson>('GET', `lessons/${made.id}`);
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
    process.stdout.write(
        `\nMarks harness: ${JSON.stringify(report)}\n${FAULTS.map((fault) => `  ${fault}: ${weather.happened.get(fault) ?? 0}`).join('\n')}\n`,
    );
    expect(devices.flatMap((device) => device.refused)).toEqual([]);
    expect(report).toMatchObject({ acknowledged: sent.length, stored: sent.length, lost: 0, doubled: 0 });
    expect(sent.length).toBeGreaterThanOrEqual(MARKS);
    expect(weather.count).toBeGreaterThanOrEqual(FAULTS_AT_LEAST);
    for (const fault of FAULTS) expect(weather.happened.get(fault) ?? 0, fault).toBeGreaterThan(0);
    expect(new Set(lesson.rounds.map((round) => round.id))).toEqual(new Set(devices.flatMap((device) => [...device.made.rounds])));
    // Every device that reads the log counts as the server does.
    const { tallies } = await ask<{ tallies: { routine: string; step: string; counts: Record<Outcome, number> }[] }>('GET', `learners/${learner.id}`);
    const record = Object.fromEntries(
        tallies.flatMap(({ routine, step, counts }) => Object.entries(counts).flatMap(([outcome, n]) => (n > 0 ? [[`${routine} ${step} ${outcome}`, n]] : []))),
    );
    expect(counted(lesson.rounds)).toEqual(record);
});
