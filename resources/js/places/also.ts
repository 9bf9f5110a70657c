import type { RoadFacts } from '@/api/types';

/** What ends the view on the way. */
const HIDES = ['bend', 'crest', 'dip'] as const;

type Hides = (typeof HIDES)[number];

/** What only some roads have on the way to the line, at it or just beyond it; metres. */
export type Also = Pick<RoadFacts, 'path_before_m' | 'view_beyond_m' | 'sight_left_m' | 'sight_right_m' | 'cycle_box_m' | 'sight_ahead_m' | Hides>;

type Measured = Exclude<keyof Also, Hides>;

interface Asked {
    name: Measured;
    label: string;
    hint?: string;
    most: number;
}

/** In the order of the drive. */
const ALL: Asked[] = [
    { name: 'sight_ahead_m', label: 'Least that is seen ahead, m', hint: 'A bend, a crest, a dip, a hedge', most: 1000 },
    { name: 'path_before_m', label: 'A path across our way, m before the line', hint: 'For people or cycles', most: 40 },
    { name: 'view_beyond_m', label: 'View opens beyond the line, m', hint: 'Instead of the view above', most: 15 },
    { name: 'sight_left_m', label: 'Seen to the left from the line, m', most: 1000 },
    { name: 'sight_right_m', label: 'Seen to the right from the line, m', most: 1000 },
    { name: 'cycle_box_m', label: 'Box for cycles beyond our line, m', most: 10 },
];

/** Of every road; the others only where the routine asks for them. */
const ANYWHERE = new Set<Measured>(['sight_ahead_m', 'path_before_m']);

export const askedAlso = (asks: string[]) => ALL.filter(({ name }) => ANYWHERE.has(name) || asks.includes(name));

/** Those of a road that its routine asks for. */
export function alsoOf(road: RoadFacts, asks: string[]): Also {
    const measured = askedAlso(asks).flatMap(({ name }) => (road[name] === undefined ? [] : [[name, road[name]] as const]));
    const hides = HIDES.flatMap((name) => (road[name] ? [[name, road[name]] as const] : []));
    return { ...Object.fromEntries(measured), ...Object.fromEntries(hides) };
}

/** With the view said once: one that opens beyond the line stands instead of any other. */
export function withView<Road extends RoadFacts>(road: Road): Road {
    if (road.view_beyond_m === undefined) return road;
    const { view: _, view_from_m: __, ...rest } = road;
    return rest as Road;
}
