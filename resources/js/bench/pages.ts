import type { Rules } from '@/api/types';
import { usual } from '@/rules/speed';
import { approach } from './approach';
import { carChosen } from './car';
import type { Codec } from '@/ui/useAddress';
import { flat } from './flat';
import { beginningWith } from './others';
import type { AtLine } from './lines';
import { lanes } from './ring';
import { rowBeginning } from './row';

/** A page of the bench: its words, as `useSay` says them, and how its state stands in its address. */
interface Page<State> {
    title: string;
    about: string;
    address: (rules: Rules) => Codec<State>;
}

const page = <State>(title: string, about: string, address: (rules: Rules) => Codec<State>): Page<State> => ({ title, about, address });

/** Two who came with us: one to wait for, and one who waits. */
const OTHERS_THERE: AtLine[] = [
    { line: 'right', goes: 'ahead', came: 'together' },
    { line: 'opposite', goes: 'ahead', came: 'together' },
];

/** Every page of the bench, by the tool it asks, in the order of their tabs. Speeds are written in mph and begin as they would be signed elsewhere. */
export const PAGES = {
    approach: page('Approach', 'Where and when each step belongs', approach),
    gap: page('Gap', 'Is the gap big enough?', ({ speed_unit: unit }) =>
        flat({
            ...{ manoeuvre: 'emerge-right', vehicle: carChosen(), speed: usual(30, unit), distance: 90, rolling: false },
            ...{ lanes: 1, slope: 0, people: 0, long: false, turner: false, sight: 0 },
            ...{ surface: 'dry', runs: '', entry: 1, asks: '', waited: 0 },
        }),
    ),
    lanes: page('Lanes', 'Which lane, why, and what the others would cost', lanes),
    join: page('Join', 'Whether the {slip road} is long enough, ahead of or behind whom, and by where it is decided', (rules) =>
        flat({
            ...{
                vehicle: carChosen(),
                slip: 250,
                entry: usual(30, rules.speed_unit),
                main: usual(56, rules.speed_unit),
                slope: 0,
                sign: 40,
                angle: 5,
                solid: 110,
            },
            ...{ surface: 'dry', gear: 0, leader: 0, leads: usual(30, rules.speed_unit) },
            others: beginningWith(
                [
                    { at: 45, speed: 54, long: true },
                    { at: -95, speed: 58, long: false },
                    { at: -190, speed: 60, long: false },
                ],
                rules,
            ),
        }),
    ),
    leave: page('Leave', 'Signs, signal, brake, lane and gear in their places', ({ speed_unit: unit }) =>
        flat({
            ...{ vehicle: carChosen(), main: usual(70, unit), slip: 250, end: usual(15, unit), turn: 'right' },
            ...{ slope: 0, lanes: 2, radius: 0, bend: 120, lower: 0, surface: 'dry' },
        }),
    ),
    'lane-change': page('Lane change', 'Faster into the gap ahead, easier into the one behind, or wait', (rules) =>
        flat({
            ...{
                vehicle: carChosen(),
                speed: usual(35, rules.speed_unit),
                limit: usual(40, rules.speed_unit),
                to: 'right',
                room: 0,
                junction: 0,
                second: 0,
                slope: 0,
            },
            surface: 'dry',
            others: beginningWith(
                [
                    { at: 25, speed: 39, long: false },
                    { at: -12, speed: 38, long: false },
                    { at: -70, speed: 36, long: true },
                ],
                rules,
            ),
        }),
    ),
    overtake: page('{Overtake}', 'Whether the view is long enough, and from when on there is no going back', ({ speed_unit: unit }) =>
        flat({
            ...{ vehicle: carChosen(), limit: usual(60, unit), other: usual(40, unit), long: false, oncoming: usual(60, unit), sight: 400 },
            ...{ slope: 0, gear: 0, hold: false, alone: false, rehearsal: false, surface: 'dry' },
        }),
    ),
    series: page('In a row', 'What one leaves the next, what is said together, and who waits for whom', (rules) =>
        flat({
            vehicle: carChosen(),
            row: rowBeginning(
                [
                    { what: 'roundabout', exit: 'left', at: 0, speed: 40 },
                    { what: 'join', at: 60, speed: 60, slip: 320 },
                    { what: 'leave', at: 1400, speed: 60, slip: 300 },
                    { what: 'roundabout', exit: 'right', at: 0, speed: 40 },
                    { what: 'turn-left', at: 90, speed: 30 },
                ],
                rules,
            ),
        }),
    ),
    stopping: page('Stopping', 'Thinking and braking, and what surface and hill make of it', ({ speed_unit: unit }) =>
        flat({ vehicle: carChosen(), speed: usual(30, unit), surface: 'dry', slope: 0, seen: 20, model: '', reaction: 1, brake: 6.5 }),
    ),
    following: page('Following', 'The gap counted against the gap wanted', ({ speed_unit: unit }) =>
        flat({ vehicle: carChosen(), speed: usual(50, unit), gap: 1.4, surface: 'dry', theirs: 0 }),
    ),
    amber: page('{Amber}', 'Stop or go on, and the stretch where neither fits', ({ speed_unit: unit }) =>
        flat({ vehicle: carChosen(), speed: usual(30, unit), distance: 35, surface: 'dry', slope: 0, close: false, amber: 0 }),
    ),
    crossing: page('Crossing', 'Somebody on foot in the road we turn into: wait or go, and for how long', () =>
        flat({ width: 7, island: 0, at: 2, towards: true, waiting: false, walking: 0 }),
    ),
    priority: page('Whose turn', 'Who goes first where no sign, line or light says it', () =>
        flat({ place: '', goes: 'ahead', people: false, others: JSON.stringify(OTHERS_THERE) }),
    ),
    lights: page('Lights', 'Which light is ours, and the time there is for who waits inside', ({ speed_unit: unit }) =>
        flat({
            ...{ goes: '', stands: 'line', heads: '[]', seen: false, people: false, vehicle: carChosen(), inside: 0, other: usual(30, unit) },
            ...{ amber: 0, red: 2, room: 7, across: 14, side: 8 },
        }),
    ),
    sight: page('Sight', 'How much of the road is seen, and how fast one may come for it', ({ speed_unit: unit }) =>
        flat({
            ...{ hides: 'bend', vehicle: carChosen(), limit: usual(50, unit), surface: 'dry', narrow: false, from: 30, slope: 0 },
            ...{ radius: 100, offset: 3, angle: 70, rounded: 100, change: 8, length: 120, depth: 3, gap: 20, wide: 2.5, aside: 0, eye: 0, target: 0.6 },
        }),
    ),
    engine: page('Gears', 'What the revs do, and what each gear can still pull', ({ speed_unit: unit }) =>
        flat({
            vehicle: carChosen(),
            speed: usual(30, unit),
            slope: 0,
            from: 3,
            to: 2,
            upTo: usual(50, unit),
            falls: 1.2,
            watchFrom: 3000,
            watchTo: 1500,
            watch: 0,
        }),
    ),
    steering: page('Steering', 'A right-angle corner along the {kerb}', () => flat({ vehicle: carChosen(), corner: 'near', kerb: 8, gap: 0.5, lane: 3.65 })),
    reverse: page('{Kerb} and bays', 'Backwards, nose first and out again, at a slow walking pace', () =>
        flat({ exercise: 'pull-up-right-reverse', vehicle: carChosen(), angle: 2, gap: 0.3, slope: 0, bay: 2.4, aisle: 7, space: 10 }),
    ),
    'swept-path': page('Long vehicle', 'Where every wheel goes, and what is left at the {kerb}s', () =>
        flat({
            ...{ way: 'bend', vehicle: 'articulated-lorry', units: '', kerb: 9, entry: 4, exit: 7.3, angle: 90 },
            ...{ radius: 14, between: 4, out: 'ahead', left: 3.5, right: 3.5, best: false, lane: 6 },
        }),
    ),
    clearance: page('Clearance', 'Height against the sign', ({ speed_unit: unit }) =>
        flat({ vehicle: '4.0', sign: unit === 'mph' ? '13\'9"' : '4.2', load: '', margin: '0.075' }),
    ),
} as const;

export type BenchTool = keyof typeof PAGES;
export type StateOf<Tool extends BenchTool> = ReturnType<ReturnType<(typeof PAGES)[Tool]['address']>['read']>;

/** What pages were called before they were called after their tools: kept links lead on. */
export const CALLED_BEFORE: Record<string, BenchTool> = { roundabout: 'lanes', gears: 'engine', reversing: 'reverse', 'long-vehicle': 'swept-path' };

/** The address of a page that differs from how it begins by so much. */
export function addressOf<Tool extends BenchTool>(tool: Tool, state: Partial<StateOf<Tool>>, rules: Rules): string {
    const codec = PAGES[tool].address(rules) as unknown as Codec<StateOf<Tool>>;
    return `/bench/${tool}?${codec.write({ ...codec.read(new URLSearchParams()), ...state }).toString()}`;
}
