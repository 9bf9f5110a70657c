import { execFileSync } from 'node:child_process';
import { beforeAll, describe, expect, it } from 'vitest';
import type { ApproachAsked } from '@/api/types';
import { drawn, type DrawnPlan, type Planned } from './plan';
import { freeSide, layOut, wantedFrom } from './layout';
import { makeScale, ticks, secondTicks } from './scale';
import { readAt } from '@/ui/columns';
import { nearest } from './useApproach';
import { spoken } from './words';

/** The core's own answer, by the command line: what is drawn is tested on what is really computed. */
function answered(input: Partial<ApproachAsked>): Planned {
    const said = execFileSync('php', ['artisan', 'compute', 'approach'], { input: JSON.stringify({ routine: 'emerge-right', limit_mph: 30, ...input }) });
    return JSON.parse(said.toString()) as Planned;
}

const plan = (input: Partial<ApproachAsked>): DrawnPlan => drawn(answered(input));
const plans: Record<string, DrawnPlan> = {};
beforeAll(() => {
    plans.town = plan({});
    plans.slow = plan({ speed_mph: 20 });
    plans.fast = plan({ limit_mph: 60, surface: 'wet' });
    plans.short = plan({ room_m: 25, routine: 'turn-left' });
    plans.automatic = plan({ vehicle: 'small-automatic' });
    plans.hump = plan({ routine: 'hump' });
    plans.standing = plan({ routine: 'move-off' });
    plans.feet = plan({ pack: 'na', routine: 'right-on-red', limit_mph: 25 });
    plans.six = plan({ practice: { steps: 'six' } });
    plans.round = plan({ routine: 'roundabout', exit: 'right' });
    plans.mini = plan({ routine: 'mini-roundabout', limit_mph: 20 });
    plans.second = plan({ routine: 'turn-left', then: { routine: 'turn-right', distance_m: 90 } });
});

describe('the scale', () => {
    it('puts metres on the screen and back', () => {
        const scale = makeScale(1000, 120, 10, 4);
        expect(scale.x(120)).toBe(4);
        expect(scale.x(-10)).toBe(1000);
        for (const metres of [0, 17.3, 120]) expect(scale.metres(scale.x(metres))).toBeCloseTo(metres, 9);
        expect(ticks(123, 12).at(-1)!.metres).toBeLessThanOrEqual(123);
        // Feet: round numbers of feet, at the metres they are.
        expect(ticks(40, 8, 0.3048).map((tick) => tick.at)).toEqual([0, 20, 40, 60, 80, 100, 120]);
        expect(ticks(40, 8, 0.3048)[1]!.metres).toBeCloseTo(6.096, 9);
    });

    it('spaces seconds unevenly, wider where the car is faster', () => {
        const { along, time_s } = plans.town!.profile;
        const seconds = secondTicks(along, time_s, makeScale(1200, 120, 10, 4), 0);
        const gaps = seconds.slice(1).map((tick, i) => seconds[i]!.x - tick.x);
        expect(gaps.at(-1)!).toBeGreaterThan(3 * gaps[0]!);
        for (const [i, gap] of gaps.entries()) if (i > 0) expect(gap).toBeGreaterThanOrEqual(gaps[i - 1]! - 1e-6);
    });
});

describe('the strip', () => {
    it.each([320, 700, 1100])('keeps every mark on the picture at %i pixels', (width) => {
        for (const [name, answer] of Object.entries(plans)) {
            const { rows, scale, height, road, speed } = layOut(answer, { width });
            for (const row of rows) {
                expect(row.best.x, name).toBeGreaterThanOrEqual(0);
                expect(row.best.x, name).toBeLessThanOrEqual(width);
                expect(row.window.width, name).toBeGreaterThan(0);
                // The best point lies in its window, on one axis with the metres said beside it.
                expect(scale.metres(row.best.x), name).toBeCloseTo(Math.min(row.best.metres, scale.from), 6);
            }
            expect(road.bottom, name).toBeLessThan(height);
            expect(`${speed.line}${road.path}`, name).not.toMatch(/NaN|undefined/);
        }
    });

    it('shows the whole routine from the mirrors on', () => {
        for (const answer of Object.values(plans)) expect(wantedFrom(answer)).toBeGreaterThanOrEqual(answer.steps[0]!.best);
    });

    it('draws where the rule of thumb would put the signal, and how hard each braking is', () => {
        const { rule, rows, speed, scale } = layOut(plans.town!, { width: 1100 });
        expect(scale.metres(rule!.x)).toBeCloseTo(30, 6);
        expect(rule!.x).toBeGreaterThan(rows.find((row) => row.step === 'signal')!.best.x);
        expect(speed.hatches.map((hatch) => hatch.hard)).toEqual(plans.town!.phases.filter((phase) => phase.brake).map((phase) => phase.decel_mps2));
    });

    it('carries its speeds where the way of slowing changes, falling, within the picture, none twice', () => {
        for (const [name, answer] of Object.entries(plans)) {
            for (const width of [320, 700, 1100]) {
                const { speed, scale } = layOut(answer, { width, speedUnit: 'mph' });
                const said = speed.figures.map((figure) => parseFloat(figure.text));
                if (answer.axis === 'distance') expect(said.length, name).toBeGreaterThan(0);
                else expect(said, name).toEqual([]);
                expect(
                    [...said].sort((a, b) => b - a),
                    name,
                ).toEqual(said);
                expect(new Set(said).size, name).toBe(said.length);
                for (const [i, figure] of speed.figures.entries()) {
                    expect(figure.y, name).toBeLessThanOrEqual(speed.bottom);
                    expect(figure.x + figure.text.length * 6, name).toBeLessThanOrEqual(scale.x(0));
                    if (i > 0) expect(figure.x, name).toBeGreaterThan(speed.figures[i - 1]!.x + speed.figures[i - 1]!.text.length * 6);
                }
                for (const label of speed.labels) expect(label.x + label.text.length * 6, `${name}: ${label.text}`).toBeLessThanOrEqual(width);
            }
        }
        expect(layOut(plans.town!, { width: 1100, speedUnit: 'mph' }).speed.figures[0]!.text).toBe('30 mph');
        expect(layOut(plans.town!, { width: 1100, speedUnit: 'kmh' }).speed.figures[0]!.text).toBe('48 km/h');
        expect(layOut(plans.town!, { width: 1100 }).speed.figures).toEqual([]);
    });

    it('keeps room behind the line for a roundabout, and for nothing else', () => {
        const beyond = (answer: DrawnPlan, width: number) => width - layOut(answer, { width }).scale.x(0);
        for (const width of [320, 700, 1100]) {
            expect(beyond(plans.round!, width)).toBeGreaterThan(80);
            expect(beyond(plans.town!, width)).toBeLessThan(60);
        }
        expect(plans.round!.place.island).toBe('raised');
        expect(plans.mini!.place.island).toBe('painted');
        expect(plans.town!.place.island).toBeNull();
    });

    it('has gear blocks that meet, and none without a clutch', () => {
        const { gears, scale } = layOut(plans.town!, { width: 1100 });
        expect(gears.map((block) => block.gear)).toEqual([3, 2]);
        expect(gears[1]!.x - (gears[0]!.x + gears[0]!.width)).toBeCloseTo(2, 6);
        expect(gears[1]!.x + gears[1]!.width).toBeLessThanOrEqual(scale.x(0));
        expect(layOut(plans.automatic!, { width: 1100 }).gears).toEqual([]);
    });

    it('reads a column between its rows', () => {
        expect(readAt([30, 20, 10], [3, 2, 0], 15)).toBe(1);
        expect(readAt([30, 20, 10], [3, 2, 0], 99)).toBe(3);
        expect(readAt([30, 20, 10], [3, 2, 0], 1)).toBe(0);
    });

    it('picks the nearest answer of a sweep', () => {
        const answers = [10, 20, 30].map((at) => ({ at }));
        expect(nearest(answers, 24)?.at).toBe(20);
        expect(nearest([], 24)).toBeUndefined();
    });

    it('says places in the unit of the place, and moments where the car stands', () => {
        expect(spoken(30.48, plans.feet!.unit)).toBe('100 ft');
        expect(spoken(30.48, 'm')).toBe('30 m');
        expect(spoken(plans.standing!.steps[0]!.best, plans.standing!.unit)).toMatch(/^\d\.\d s$/);
        expect(plans.standing!.steps.map((step) => step.best)).toEqual([...plans.standing!.steps.map((step) => step.best)].sort((a, b) => b - a));
        expect(plans.six!.steps.map((step) => step.step)).toContain('gear');
    });
});

describe('a plan on its axis', () => {
    it('is metres along the road, as the core says them, where the car comes along', () => {
        const said = answered({});
        if (said.axis !== 'distance') throw new Error('a car that comes along has places');
        const shown = drawn(said);
        expect(shown.unit).toBe('m');
        expect(shown.steps.map((step) => [step.earliest, step.best, step.latest, step.end])).toEqual(
            said.steps.map((step) => [step.earliest_m, step.best_m, step.latest_m, step.end_m]),
        );
        expect(shown.profile.along).toEqual(said.profile.distance_m);
        expect([shown.saidBy, shown.ruleAt, shown.motion?.peak_decel_mps2]).toEqual([said.say_at_m, said.signal_rule_m, said.peak_decel_mps2]);
    });

    it('is seconds where it stands: no step of such an answer has a place', () => {
        const said = answered({ routine: 'move-off' });
        if (said.axis !== 'time') throw new Error('a car that stands has moments');
        const shown = drawn(said);
        for (const step of said.steps) expect(Object.keys(step).filter((name) => name.endsWith('_m'))).toEqual([]);
        expect(shown.unit).toBe('s');
        expect(shown.steps.map((step) => step.best)).toEqual(said.steps.map((step) => step.best_s));
        expect(shown.profile.along).toEqual(said.profile.time_s);
        expect([shown.motion, shown.ruleAt, shown.sign]).toEqual([null, null, null]);
    });
});

describe('the figure beside a pin', () => {
    it('goes where it hides no other pin, and never off the picture', () => {
        expect(freeSide(300, [100, 300, 500], 800)).toBe('right');
        expect(freeSide(300, [100, 300, 320], 800)).toBe('left');
        expect(freeSide(760, [100, 760], 800)).toBe('left');
        expect(freeSide(40, [40, 60, 700], 800)).toBe('right');
        // Between two others it lies over the nearer ones, on the picture all the same.
        expect(freeSide(300, [280, 300, 320], 800)).toBe('right');
        expect(freeSide(780, [760, 780], 800)).toBe('left');
    });
});
