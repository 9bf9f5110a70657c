import type { SiteLine } from '@/api/types';

/** Somewhere, degrees north and east. */
export interface Lying {
    latitude_deg: number;
    longitude_deg: number;
}

/** A site that lies somewhere. */
export type Placed = SiteLine & Lying;
export const lies = <At extends Somewhere>(at: At): at is At & Lying => at.latitude_deg !== null && at.longitude_deg !== null;

/** How a site is called that something else knows by its id; while the sites are on their way it has no name yet. */
export const siteName = (sites: readonly SiteLine[] | undefined, site: string): string =>
    sites === undefined ? '…' : (sites.find(({ id }) => id === site)?.name ?? 'a site that is archived');

/** One degree of latitude, m: for a picture only; distances are the core's. */
const DEGREE_M = 111_200;

/** Places nearer the edge of the map than this share of it are not cut off. */
const MARGIN = 0.08;

/** The least a map shows from side to side, m: one site alone is not a street corner. */
const LEAST_M = 600;

/** What a map shows: its middle, and how many metres it is from side to side. */
export interface Shown {
    latitude: number;
    longitude: number;
    wide_m: number;
}

const middle = (values: number[]): number => (Math.min(...values) + Math.max(...values)) / 2;
const halfWay = (values: number[]): number => [...values].sort((one, other) => one - other)[Math.floor(values.length / 2)]!;

type Somewhere = Pick<SiteLine, 'latitude_deg' | 'longitude_deg'>;

/** Between two of them on the flat picture, m; null where one lies nowhere. */
export function metresApart(one: Somewhere, other: Somewhere): number | null {
    if (one.latitude_deg === null || one.longitude_deg === null || other.latitude_deg === null || other.longitude_deg === null) return null;
    const east = (one.longitude_deg - other.longitude_deg) * Math.cos((one.latitude_deg * Math.PI) / 180);
    return Math.hypot(one.latitude_deg - other.latitude_deg, east) * DEGREE_M;
}

/** All of them, with a little room around; `tall` is the map's height as a share of its width. */
export function showing(sites: readonly Lying[], tall: number): Shown {
    const [latitudes, longitudes] = [sites.map((site) => site.latitude_deg), sites.map((site) => site.longitude_deg)];
    const latitude = middle(latitudes);
    const longitude = middle(longitudes);
    const high = (Math.max(...latitudes) - Math.min(...latitudes)) * DEGREE_M;
    const wide = (Math.max(...longitudes) - Math.min(...longitudes)) * DEGREE_M * Math.cos((latitude * Math.PI) / 180);
    return { latitude, longitude, wide_m: Math.max(LEAST_M, wide / (1 - 2 * MARGIN), high / tall / (1 - 2 * MARGIN)) };
}

/** The town: what lies together, without what lies far away. Half of them are always in it. */
export function town<One extends Lying>(sites: readonly One[]): One[] {
    const centre = { latitude: halfWay(sites.map((site) => site.latitude_deg)), longitude: halfWay(sites.map((site) => site.longitude_deg)) };
    const off = (site: Lying) =>
        Math.hypot(site.latitude_deg - centre.latitude, (site.longitude_deg - centre.longitude) * Math.cos((centre.latitude * Math.PI) / 180));
    const far = sites.map(off).sort((one, other) => one - other);
    const usual = far[Math.ceil(far.length * 0.5) - 1]!;
    return sites.filter((site) => off(site) <= Math.max(usual * 4, LEAST_M / DEGREE_M));
}

/** Where a site is on a map of this width and height. */
export function spot(site: Lying, { latitude, longitude, wide_m }: Shown, width: number, height: number): [number, number] {
    const perMetre = width / wide_m;
    const east = (site.longitude_deg - longitude) * DEGREE_M * Math.cos((latitude * Math.PI) / 180);
    return [width / 2 + east * perMetre, height / 2 - (site.latitude_deg - latitude) * DEGREE_M * perMetre];
}

/** Further along by shares of what is shown: to the east, to the north. */
export const moved = (shown: Shown, east: number, north: number): Shown => ({
    ...shown,
    latitude: shown.latitude + (north * shown.wide_m) / DEGREE_M,
    longitude: shown.longitude + (east * shown.wide_m) / DEGREE_M / Math.cos((shown.latitude * Math.PI) / 180),
});

/** A length for the scale, round and about a quarter of the map: 1, 2 or 5 and noughts, m. */
export function scaleLength(wide_m: number): number {
    const power = 10 ** Math.floor(Math.log10(wide_m / 4));
    return [5, 2, 1].map((step) => step * power).find((length) => length <= wide_m / 4) ?? power;
}

export interface Spot {
    id: string;
    x: number;
    y: number;
    name: string;
    used: number;
}

/** On which side of its dot a name fits without covering another or a dot, or leaving the map; the more used come first. */
export function labelled(spots: readonly Spot[], width: number, letter: number, high: number): Map<string, 'right' | 'left'> {
    const taken = spots.map(({ x, y }) => ({ left: x - 6, right: x + 6, top: y - 6, bottom: y + 6 }));
    const fits = new Map<string, 'right' | 'left'>();
    for (const { id, x, y, name } of [...spots].sort((one, other) => other.used - one.used)) {
        const long = name.length * letter;
        const lines = { top: y - high / 2, bottom: y + high / 2 };
        const boxes = { right: { left: x + 7, right: x + 11 + long, ...lines }, left: { left: x - 11 - long, right: x - 7, ...lines } } as const;
        const side = (['right', 'left'] as const).find((wanted) => {
            const box = boxes[wanted];
            const inside = box.left >= 0 && box.right <= width;
            return inside && !taken.some((other) => other.left < box.right && other.right > box.left && other.top < box.bottom && other.bottom > box.top);
        });
        if (!side) continue;
        taken.push(boxes[side]);
        fits.set(id, side);
    }
    return fits;
}
