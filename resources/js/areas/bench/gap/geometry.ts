import type { GapAnswer } from '@/api/types';
import { readAt } from '@/ui/columns';

export type GapSide = GapAnswer['sides'][number];

export interface Pose {
    x: number;
    y: number;
    /** Degrees on the screen: 0 to the right, -90 up. */
    heading: number;
}

/**
 * Where our front is after so many metres of path, metres on the screen for traffic that keeps left: the road we meet
 * runs across through the origin, we come from below; turning off, we come from below along the road itself.
 */
export function oursAt(metres: number, path: GapAnswer['path'], manoeuvre: string, across: boolean | null): Pose {
    const { straight_m: straight, radius_m: radius, turned_deg: turned, turn_m: turn, lane_width_m: lane, lanes } = path;
    if (manoeuvre === 'move-off') return fromTheKerb(metres, path);
    const off = manoeuvre === 'turn-across';
    const start = off ? { x: -0.4, y: 0 } : { x: -lane / 2, y: lanes * lane };
    if (across === null || metres <= straight) return { x: start.x, y: start.y - metres, heading: -90 };
    const first = (turned * Math.PI) / 180;
    const share = Math.min(1, (metres - straight) / turn);
    const angle = first + share * (Math.PI / 2 - first);
    const beyond = Math.max(0, metres - straight - turn);
    const side = across ? 1 : -1;
    return {
        x: start.x + side * (radius * (Math.cos(first) - Math.cos(angle)) + beyond),
        y: start.y - straight - radius * (Math.sin(angle) - Math.sin(first)),
        heading: -90 + (side * angle * 180) / Math.PI,
    };
}

/** Out of the kerb with an S into the middle of our lane, to the left on the screen. */
function fromTheKerb(metres: number, { radius_m: radius, turn_m: turn, lane_width_m: lane, lanes }: GapAnswer['path']): Pose {
    const most = turn / (2 * radius);
    const done = Math.min(turn, Math.max(0, metres));
    const angle = Math.min(done, turn - done) / radius;
    const [along, aside] = [radius * Math.sin(angle), radius * (1 - Math.cos(angle))];
    const [whole, sideways] = [2 * radius * Math.sin(most), 2 * radius * (1 - Math.cos(most))];
    const isOut = done > turn / 2;
    return {
        x: -(isOut ? whole - along : along) - (metres - done),
        y: lanes * lane - lane / 2 + (isOut ? aside : sideways - aside),
        heading: 180 + (angle * 180) / Math.PI,
    };
}

/** How far our front has come at a moment; beyond the reckoned time at the last speed. */
export function metresAt(motion: GapAnswer['motion'], seconds: number): number {
    const last = motion.time_s.length - 1;
    if (seconds >= motion.time_s[last]!) return motion.ours_m[last]! + (seconds - motion.time_s[last]!) * motion.speed_mps[last]!;
    return readAt(motion.time_s, motion.ours_m, seconds);
}
