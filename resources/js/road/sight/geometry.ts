import type { SightAnswer } from '@/api/types';

/** A bend of our path: it begins at 0, straight before it and after it; a point so far along it, and so far towards its inside. */
export interface BendShape {
    radius: number;
    angle: number;
}

export type Point = readonly [number, number];

/** Where somebody is so far along the path, metres past the beginning of the bend; y grows towards the inside. */
export function pointAt({ radius, angle }: BendShape, along: number, inside = 0): Point {
    const turned = Math.min(angle, Math.max(0, along / radius));
    const straight = along < 0 ? along : Math.max(0, along - radius * angle);
    const [x, y] = [radius * Math.sin(turned), radius * (1 - Math.cos(turned))];
    return [x + straight * Math.cos(turned) - inside * Math.sin(turned), y + straight * Math.sin(turned) + inside * Math.cos(turned)];
}

/** Points of a line beside the path, near enough for a smooth curve. */
export function lineAlong(bend: BendShape, from: number, to: number, inside = 0): Point[] {
    const steps = Math.max(2, Math.ceil((to - from) / 2));
    return Array.from({ length: steps + 1 }, (_, i) => pointAt(bend, from + ((to - from) * i) / steps, inside));
}

/** The height of the road over a crest, metres: level at its middle. */
export function crestHeight(length: number, change: number, along: number): number {
    const within = Math.max(0, Math.min(length, along));
    return (along * change) / 2 - (change * within ** 2) / (2 * length) - change * Math.max(0, along - length);
}

/** The height of the road at a dip, metres: 0 outside it. */
export const dipHeight = (length: number, depth: number, along: number): number =>
    along <= 0 || along >= length ? 0 : (-4 * depth * along * (length - along)) / length ** 2;

/** What is seen from a place, metres; null where nothing hides the road from there. */
export function seenAt({ distance_m: places, seen_m: column }: SightAnswer['profile'], toGo: number): number | null {
    const last = places.length - 1;
    if (toGo >= places[0]!) return column[0] ?? null;
    if (toGo <= places[last]!) return column[last] ?? null;
    const i = places.findIndex((one) => one <= toGo);
    const [from, to] = [places[i - 1]!, places[i]!];
    const [before, after] = [column[i - 1] ?? null, column[i] ?? null];
    if (before === null || after === null) return from - toGo < toGo - to ? before : after;
    return before + ((from - toGo) / (from - to)) * (after - before);
}
