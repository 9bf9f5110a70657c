import { afterEach, describe, expect, it } from 'vitest';
import type { Rules } from '@/api/types';
import { answer } from '@/testing/answers';
import { chooseCar, USUAL_CAR } from './car';
import { addressOf, CALLED_BEFORE, PAGES, type BenchTool } from './pages';
import { placeAddress } from './places';

const britain: Rules = answer('session').rules;
const inKilometres: Rules = { ...britain, speed_unit: 'kmh', town_limit: 50 };
const tools = Object.keys(PAGES) as BenchTool[];

describe.each(tools)('the page %s', (tool) => {
    it.each([
        ['mph', britain],
        ['km/h', inKilometres],
    ])('comes back from its address as it was written, in %s', (_, rules) => {
        const { read, write } = PAGES[tool].address(rules) as { read: (params: URLSearchParams) => unknown; write: (state: unknown) => URLSearchParams };
        const begins = read(new URLSearchParams());
        expect(read(new URLSearchParams(write(begins).toString()))).toEqual(begins);
        expect(read(new URLSearchParams('speed=fast&ring={oops&road=[]&slope=&vehicle=x'))).toBeTypeOf('object');
    });

    it('begins with what its sliders offer, and says what it is', () => {
        expect(PAGES[tool].title).toMatch(/^\{?[A-Z]/);
        expect(PAGES[tool].about).toMatch(/^\{?[A-Z].{10,}[^.]$/);
        expect(addressOf(tool, {}, britain)).toMatch(new RegExp(`^/bench/${tool}\\?`));
    });
});

describe('the vehicle chosen on one page', () => {
    afterEach(() => localStorage.clear());

    it('is what every page about driving one begins with, and no page that has its own', () => {
        const vehicles = () =>
            Object.fromEntries(tools.map((tool) => [tool, PAGES[tool].address(britain).read(new URLSearchParams()) as { vehicle?: string; car?: string }]));
        const before = vehicles();
        chooseCar('small-electric');
        const after = vehicles();
        for (const tool of tools) {
            const begins = before[tool]!.vehicle ?? before[tool]!.car;
            expect(after[tool]!.vehicle ?? after[tool]!.car, tool).toBe(begins === USUAL_CAR ? 'small-electric' : begins);
        }
        expect(Object.values(after).filter((state) => (state.vehicle ?? state.car) === 'small-electric').length).toBeGreaterThan(7);
        expect(after.clearance!.vehicle).toBe(before.clearance!.vehicle);
    });

    it('never changes what an address says', () => {
        chooseCar('small-electric');
        expect(PAGES.gap.address(britain).read(new URLSearchParams('vehicle=loaded-van')).vehicle).toBe('loaded-van');
        expect(addressOf('gap', {}, britain)).toContain('vehicle=small-electric');
    });
});

describe('addresses of the bench', () => {
    it('begin with speeds as they are signed in the unit of the rules', () => {
        expect(PAGES.leave.address(britain).read(new URLSearchParams())).toMatchObject({ main: 70, end: 15 });
        expect(PAGES.leave.address(inKilometres).read(new URLSearchParams())).toMatchObject({ main: 110, end: 20 });
        expect(JSON.parse(PAGES.join.address(inKilometres).read(new URLSearchParams()).others)).toMatchObject([{ speed: 87 }, { speed: 93 }, { speed: 97 }]);
    });

    it('carry only what differs over what a page begins with', () => {
        const address = new URL(addressOf('gap', { distance: 110, manoeuvre: 'cross' }, britain), 'http://x');
        expect(PAGES.gap.address(britain).read(address.searchParams)).toEqual({
            ...PAGES.gap.address(britain).read(new URLSearchParams()),
            distance: 110,
            manoeuvre: 'cross',
        });
    });

    it('lead on from the names that pages had before', () => {
        expect(Object.values(CALLED_BEFORE).every((tool) => tools.includes(tool))).toBe(true);
        expect(Object.keys(CALLED_BEFORE).some((before) => (tools as string[]).includes(before))).toBe(false);
    });

    it('show a place as it was measured, and what was not measured as the page begins', () => {
        const read = <Tool extends BenchTool>(tool: Tool, address: string) =>
            (PAGES[tool].address(britain) as { read: (params: URLSearchParams) => Record<string, unknown> }).read(new URL(address, 'http://x').searchParams);
        const slip = { slip_length_m: 180, main_speed_mph: 50, entry_speed_mph: 25, gradient: 0.031 };
        expect(read('join', placeAddress('join', slip, 'join', britain))).toMatchObject({
            slip: 180,
            main: 50,
            entry: 25,
            slope: 3,
            sign: 0,
            solid: 180,
            angle: 5,
            others: '[]',
        });
        expect(read('leave', placeAddress('leave', { slip_length_m: 200 }, 'leave', britain))).toMatchObject({ slip: 200, main: 70, lanes: 1, turn: 'none' });
        expect(read('overtake', placeAddress('overtake', { limit_mph: 50 }, 'overtake', britain))).toMatchObject({ limit: 50, oncoming: 50, other: 0 });
        expect(read('approach', placeAddress('approach', { limit_mph: 20, view: 'closed' }, 'emerge-left', britain))).toMatchObject({
            road: { routine: 'emerge-left', view: 'closed', limit_mph: 20 },
            conditions: { speed: 20 },
        });
    });
});
