import { describe, expect, it } from 'vitest';
import { answer } from '@/testing/answers';
import { labelled, lies, metresApart, moved, scaleLength, showing, spot, town, type Placed } from './map';

const sites = answer('demo-sites').filter(lies);
const lighthouse: Placed = { ...sites[0]!, id: 'far', name: 'The lighthouse', latitude_deg: 51, longitude_deg: -3 };
const WIDTH = 1000;
const HEIGHT = 320;

describe('our own map', () => {
    it('shows all of them inside its edge', () => {
        const shown = showing(sites, HEIGHT / WIDTH);
        for (const site of sites) {
            const [x, y] = spot(site, shown, WIDTH, HEIGHT);
            expect(x).toBeGreaterThan(WIDTH * 0.05);
            expect(x).toBeLessThan(WIDTH * 0.95);
            expect(y).toBeGreaterThan(HEIGHT * 0.05);
            expect(y).toBeLessThan(HEIGHT * 0.95);
        }
    });

    it('keeps to scale: a kilometre is as long to the east as to the north', () => {
        const here = { ...sites[0]!, latitude_deg: 49.2, longitude_deg: -8.1 };
        const shown = { latitude: 49.2, longitude: -8.1, wide_m: 5_000 };
        const north = spot({ ...here, latitude_deg: 49.2 + 1 / 111.2 }, shown, WIDTH, HEIGHT);
        const east = spot({ ...here, longitude_deg: -8.1 + 1 / 111.2 / Math.cos((49.2 * Math.PI) / 180) }, shown, WIDTH, HEIGHT);
        expect(HEIGHT / 2 - north[1]).toBeCloseTo(200, 6);
        expect(east[0] - WIDTH / 2).toBeCloseTo(200, 6);
    });

    it('knows how far two lie apart, and nothing of one that lies nowhere', () => {
        const here = { latitude_deg: 49.2, longitude_deg: -8.1 };
        expect(metresApart(here, { ...here, latitude_deg: 49.2 + 1 / 1112 })).toBeCloseTo(100, 6);
        expect(metresApart(here, { ...here, longitude_deg: -8.1 + 1 / 1112 })).toBeCloseTo(100 * Math.cos((49.2 * Math.PI) / 180), 6);
        expect(metresApart(here, { latitude_deg: null, longitude_deg: null })).toBeNull();
    });

    it('opens on the town, and leaves out the one that lies far away', () => {
        const many = Array.from({ length: 100 }, (_, i) => ({
            ...sites[i % sites.length]!,
            id: `${i}`,
            latitude_deg: 49.2 + (i % 10) * 0.002,
            longitude_deg: -8.1 + i * 0.0003,
        }));
        expect(town([...many, lighthouse]).map(({ id }) => id)).not.toContain('far');
        expect(town([...many, lighthouse])).toHaveLength(100);
        expect(town([lighthouse])).toEqual([lighthouse]);
        expect(showing([lighthouse], 0.3).wide_m).toBe(600);
    });

    it('opens on the town beside a branch with a good many of its own', () => {
        const places = (count: number, latitude: number, longitude: number) =>
            Array.from({ length: count }, (_, i) => ({
                ...sites[0]!,
                id: `${latitude} ${i}`,
                latitude_deg: latitude + (i % 7) * 0.002,
                longitude_deg: longitude + ((i * 3) % 11) * 0.002,
            }));
        for (const branch of [1, 10, 20]) expect(town([...places(60, 49.2, -8.1), ...places(branch, 49.5, -7.5)])).toHaveLength(60);
        // The demo's own: what keeps right lies 45 km off.
        expect(town(sites).every(({ pack }) => pack === 'gb')).toBe(true);
        expect(town(sites)).toHaveLength(sites.filter(({ pack }) => pack === 'gb').length);
    });

    it('moves by shares of what is shown, east to the east', () => {
        const shown = showing(sites, 0.32);
        const there = moved(shown, 0.2, 0);
        expect(there.longitude).toBeGreaterThan(shown.longitude);
        expect(spot(sites[0]!, there, WIDTH, HEIGHT)[0]).toBeCloseTo(spot(sites[0]!, shown, WIDTH, HEIGHT)[0] - 200, 3);
    });

    it('gives its scale a round length', () => {
        for (const wide of [600, 1_234, 9_999, 45_000, 2_000_000]) {
            const length = scaleLength(wide);
            expect(length).toBeLessThanOrEqual(wide / 4);
            expect(length).toBeGreaterThan(wide / 10.1);
            expect([1, 2, 5]).toContain(Number(String(length)[0]));
        }
    });

    it('writes no name over another or beyond its edge, and the used ones first, however many there are', () => {
        const spots = Array.from({ length: 45 }, (_, i) => ({
            id: `${i}`,
            x: (i * 37) % WIDTH,
            y: (i * 53) % HEIGHT,
            name: 'Ropewalk at Mole Street',
            used: i % 7,
        }));
        const names = labelled(spots, WIDTH, 7.5, 16);
        expect(names.size).toBeGreaterThan(5);
        const boxes = spots.flatMap(({ id, x, y, name }) => {
            const side = names.get(id);
            const long = name.length * 7.5;
            return side ? [{ left: side === 'right' ? x + 7 : x - 11 - long, right: side === 'right' ? x + 11 + long : x - 7, y }] : [];
        });
        for (const [i, one] of boxes.entries()) {
            expect(one.left).toBeGreaterThanOrEqual(0);
            expect(one.right).toBeLessThanOrEqual(WIDTH);
            for (const other of boxes.slice(i + 1)) expect(Math.abs(one.y - other.y) < 16 && one.left < other.right && other.left < one.right).toBe(false);
        }
        const alone = labelled(
            [
                { ...spots[0]!, x: 100, y: 100, used: 0, id: 'a' },
                { ...spots[0]!, x: 130, y: 104, used: 3, id: 'b' },
            ],
            WIDTH,
            7.5,
            16,
        );
        expect([...alone.keys()]).toEqual(['b']);
    });
});
