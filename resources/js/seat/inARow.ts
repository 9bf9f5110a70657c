import type { CircuitAnswer, Rules, SeriesAnswer, SeriesAsked } from '@/api/types';
import { signalFigure, stepFigures, type SeatStop, type Told } from './rows';

/**
 * What lies no farther from the one before is asked as a row with it (assumed). Farther off it changes nothing: by then the speed of any road is
 * gathered again, and the whole routine has its room.
 */
const NEAR_M = 800;

/** So many the tool takes. */
const MOST = 12;

/** Ways that follow each other closely, and what the core is asked of them. */
export interface Row {
    ids: string[];
    asked: SeriesAsked;
}

/** How a way follows the one before it. */
export interface Following {
    message: string;
    fits: boolean;
    /** Where each step belongs behind it: its plan alone may begin before the one before is over. Empty where its tool says none. */
    figures: string;
    metres: number;
    measured: boolean;
}

type Part = NonNullable<SeriesAsked['parts']>[number];
type Said = Record<string, unknown>;

/** Said once for the whole row. */
const OF_THE_DRIVE = ['pack', 'vehicle', 'practice'];

const TOOLS: readonly string[] = ['approach', 'join', 'leave'] satisfies Part['tool'][];

/** Ways that are driven one close behind the other, each with the facts of its own place; nothing that is done standing, and nothing that is a row itself. */
export function rowsAsked(stops: readonly SeatStop[], parts: CircuitAnswer['parts'], routines: Rules['routines']): Row[] {
    const canFollow = ({ plan, routine }: SeatStop) =>
        plan !== null && TOOLS.includes(plan.tool) && !('then' in plan.inputs) && !routines.some(({ code, stands }) => code === routine && stands);
    const rows: { stops: SeatStop[]; metres: number[] }[] = [];
    for (const stop of stops) {
        const last = rows.at(-1);
        const metres = driveTo(parts, stop.id)?.distance_m ?? Infinity;
        const joins = last && canFollow(stop) && canFollow(last.stops.at(-1)!) && drivenAs(stop) === drivenAs(last.stops[0]!);
        if (joins && metres > 0 && metres <= NEAR_M && last.stops.length < MOST) {
            last.stops.push(stop);
            last.metres.push(metres);
        } else {
            rows.push({ stops: [stop], metres: [0] });
        }
    }
    return rows
        .filter(({ stops }) => stops.length > 1)
        .map(({ stops, metres }) => {
            const drive = Object.entries(inputsOf(stops[0]!)).filter(([field]) => OF_THE_DRIVE.includes(field));
            return {
                ids: stops.map(({ id }) => id),
                asked: { ...Object.fromEntries(drive), parts: stops.map((stop, i) => partOf(stop, i === 0 ? null : metres[i]!, stops[i + 1])) },
            };
        });
}

/** How each of a row follows the one before, by its place in the circuit. */
export function followingOf({ ids }: Row, answer: SeriesAnswer, parts: CircuitAnswer['parts'], unit: Rules['length_unit']): [string, Following][] {
    return ids.flatMap((id, i): [string, Following][] => {
        const one = answer.plans[i]!;
        const { message, fits } = one;
        const signal = one.tool === 'leave' ? one.plan.events.find(({ kind }) => kind === 'signal')?.at_m : undefined;
        const figures =
            one.tool === 'approach'
                ? stepFigures(
                      one.plan.steps.map(({ step, best_m }) => ({ step, best: best_m })),
                      unit,
                  )
                : signal === undefined
                  ? ''
                  : signalFigure(signal, unit);
        const drive = driveTo(parts, id);
        return message === null || !drive ? [] : [[id, { message, fits, figures, metres: drive.distance_m, measured: drive.measured }]];
    });
}

/**
 * What is said on the way round a circuit, within each row as the row has it: there are told apart, by the room that really is between them, those that can
 * be said one after the other. Where one is said together with something outside the row, it stays as it is.
 */
export function toldInRows(told: CircuitAnswer['directions'], rows: readonly [Row, SeriesAnswer][], parts: CircuitAnswer['parts']): Told[] {
    return rows.reduce<Told[]>((all, [{ ids }, answer]) => {
        const isOfIt = ({ ways }: Told) => ways.some((way) => ids.includes(way));
        const first = all.findIndex(isOfIt);
        if (first === -1 || all.some((one) => isOfIt(one) && !one.ways.every((way) => ids.includes(way)))) return all;
        const said = answer.directions.map(({ parts: of, say, say_at_m, in_time, message }): Told => {
            const way = ids[of[0]!]!;
            const after = of[0]! === 0 ? all[first]!.after : ids[of[0]! - 1]!;
            const driven_m = driveTo(parts, way)?.distance_m ?? 0;
            return { ways: of.map((i) => ids[i]!), after, driven_m, say_at_m, say, message, meanwhile: !in_time && of[0]! > 0 };
        });
        return [...all.slice(0, first), ...said, ...all.slice(first).filter((one) => !isOfIt(one))];
    }, told);
}

/** What is said where the row could not be worked out: the places of a plan alone may lie before the one before is over. */
export const notWorkedOut = ({ ids }: Row): [string, null][] => ids.slice(1).map((id) => [id, null]);

const driveTo = (parts: CircuitAnswer['parts'], id: string) => parts.find(({ kind, way }) => kind === 'drive' && way === id);

const inputsOf = ({ plan }: SeatStop): Said => plan?.inputs ?? {};

/** Under which rules, as taught by whom, in which car: one row is one drive. */
const drivenAs = (stop: SeatStop): string => JSON.stringify(OF_THE_DRIVE.map((field) => inputsOf(stop)[field]));

function partOf(stop: SeatStop, metres: number | null, next: SeatStop | undefined): Part {
    const tool = stop.plan!.tool as Part['tool'];
    // What the one before leaves it, and what the line behind it asks for, comes of those.
    const comesOfOthers = (field: string) =>
        (metres !== null && (tool === 'approach' ? field === 'room_m' : tool === 'join' && field.startsWith('entry_speed_'))) ||
        (tool === 'leave' && next?.plan?.tool === 'approach' && (field === 'next_turn' || field.startsWith('end_speed_')));
    const said = Object.entries(inputsOf(stop)).filter(([field]) => !OF_THE_DRIVE.includes(field) && !comesOfOthers(field));
    return { tool, ...(metres === null ? {} : { distance_m: metres }), ...Object.fromEntries(said) };
}
