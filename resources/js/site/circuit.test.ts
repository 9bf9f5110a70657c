import { describe, expect, it } from 'vitest';
import { answer } from '@/testing/answers';
import {
    addressOf,
    askedOf,
    lasting,
    markWords,
    minutesOf,
    MOST_ROUNDS,
    partsOf,
    read,
    ROUNDS,
    wayName,
    written,
    type Mark,
    type Planned,
    type Taken,
} from './circuit';
import { lies } from './map';

const sites = answer('demo-sites');
const ropewalk = sites.find(({ name }) => name === 'Ropewalk at Mole Street')!;
const way = ropewalk.ways.find(({ from, to }) => from === 's' && to === 'e')!;
const taken: Taken = { site: ropewalk.id, from: way.from, to: way.to, routine: way.routine, rounds: 3 };
const here = { latitude_deg: 49.2, longitude_deg: -8.1 };
const start: Mark = { ...here, id: 'school', name: 'Harbour', kind: 'school' };
const planned: Planned = { start, end: null, minutes: 45, order: 'shortest', taken: [taken], sites, pack: 'gb' };

describe('a circuit before it is worked out', () => {
    it('is written into an address and read from it again, any way of any site that lies somewhere', () => {
        for (const site of sites.filter(lies)) {
            for (const { from, to, routine } of site.ways) {
                const one = { site: site.id, from, to, routine, rounds: 4 };
                expect(read(written(one), sites)).toEqual(one);
            }
        }
    });

    it('reads nothing that is no more, and takes the usual number of rounds for a strange one', () => {
        expect(read(written({ ...taken, site: 'gone' }), sites)).toBeNull();
        expect(read(written({ ...taken, to: 'x' }), sites)).toBeNull();
        expect(read('', sites)).toBeNull();
        const nowhere = sites.map((site) => ({ ...site, latitude_deg: null, longitude_deg: null }));
        expect(read(written(taken), nowhere)).toBeNull();
        for (const rounds of [0, -1, MOST_ROUNDS + 1, Number.NaN]) expect(read(written({ ...taken, rounds }), sites)?.rounds).toBe(ROUNDS);
    });

    it('asks with where the site lies, how often, and how hard it is', () => {
        const asked = (all: typeof sites) => askedOf({ ...planned, sites: all });
        const { latitude_deg, longitude_deg } = ropewalk;
        expect(asked(sites)).toEqual({
            pack: 'gb',
            minutes: 45,
            order: 'shortest',
            start: here,
            ways: [
                {
                    id: '0',
                    name: 'Ropewalk at Mole Street: Ropewalk to Mole Street (east)',
                    routine: way.routine,
                    rounds: 3,
                    difficulty: way.score,
                    in: { latitude_deg, longitude_deg },
                },
            ],
        });
        expect(askedOf({ ...planned, taken: [{ ...taken, site: 'gone' }] }).ways).toEqual([]);
    });

    it('asks with what was measured between its ways, and from or to the school where it starts or ends there', () => {
        const chapel = sites.find(({ name }) => name === 'The closed T by the chapel')!;
        const other: Taken = {
            site: chapel.id,
            from: 's',
            to: 'e',
            routine: chapel.ways.find(({ from, to }) => from === 's' && to === 'e')!.routine,
            rounds: 1,
        };
        const { measured } = answer('demo-legs');
        const legs = (more: Partial<Planned>) =>
            (askedOf({ ...planned, taken: [taken, other], measured, ...more }).legs ?? []).map(({ from, to }) => `${from}-${to}`);
        expect(legs({})).toEqual(expect.arrayContaining(['1-0', '0-end']));
        const pickUp: Mark = { ...start, id: 'x', kind: 'pick-up' };
        expect(legs({ start: pickUp })).toEqual(['1-0']);
        expect(legs({ start: pickUp, end: start })).toEqual(expect.arrayContaining(['1-0', '0-end']));
        expect(askedOf({ ...planned, measured: [] })).not.toHaveProperty('legs');
        expect(askedOf({ ...planned, end: pickUp, startsAt: '2026-05-20T09:00:00Z' })).toMatchObject({ end: here, starts_at: '2026-05-20T09:00:00Z' });
    });

    it('opens one that is kept with all that is kept of it', () => {
        const kept = answer('demo-circuits').find(({ centre_id }) => centre_id !== null)!;
        const search = new URLSearchParams(addressOf(kept).split('?')[1]);
        expect([search.get('kept'), search.get('from'), search.get('minutes'), search.get('order')]).toEqual([
            kept.id,
            kept.centre_id,
            String(kept.minutes),
            kept.order,
        ]);
        expect(search.getAll('way').map((said) => read(said, sites))).toEqual(kept.ways);
        expect(
            answer('demo-circuits')
                .flatMap(({ ways }) => ways.map((one) => read(written(one), sites)))
                .every(Boolean),
        ).toBe(true);
    });

    it('says where it starts as an instructor does', () => {
        expect(markWords(start)).toBe('the school');
        expect(markWords({ ...start, kind: 'pick-up', name: 'Orla' })).toBe('Orla’s pick-up');
        expect(markWords({ ...start, kind: 'centre', name: 'Lantern Hill' })).toBe('Lantern Hill');
    });

    it('calls a way by its roads where there are several, and by its place along one', () => {
        const stretch = sites.find(({ kind }) => kind === 'stretch')!;
        expect(wayName(stretch, stretch.ways[0]!)).toBe(stretch.name);
    });
});

describe('a circuit as it is answered', () => {
    const { parts, order } = answer('tool-circuit');

    it('gives each way the drive there and what is done there, in whole minutes that add up', () => {
        for (const one of order) {
            const own = partsOf(parts, one);
            expect(own[0]!.kind).toBe('drive');
            expect(own.at(-1)!.kind).toBe('round');
        }
        const minutes = minutesOf(parts, order);
        const last = partsOf(parts, order.at(-1)!).at(-1)!.until_s;
        expect(minutes.reduce((sum, one) => sum + one, 0)).toBe(Math.round(last / 60));
        expect(lasting(parts)).toBe(2400);
        expect(lasting([])).toBe(0);
    });
});
