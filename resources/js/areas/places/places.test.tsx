import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { PlaceWithDrawings, Road } from '@/api/types';
import { PlaceForm } from '@/places/PlaceForm';
import { answer, server, show, written } from '@/testing/answers';
import { PlacesPage } from './PlacesPage';

const places = answer('demo-places');
const of = (kind: Road['kind']): PlaceWithDrawings => places.find((place) => place.road.kind === kind)!;

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the places of a school', () => {
    it('are listed with what is measured of each, a slip road by its length', async () => {
        server({ 'GET places': places, 'GET sites': [] });
        show(<PlacesPage />);
        const row = async (name: string) => within((await screen.findByRole('heading', { name })).closest('li')!);
        const slip = of('slip');
        expect((await row(slip.name)).getByText(new RegExp(`slip road of ${slip.road.kind === 'slip' ? slip.road.slip_length_m : ''} m`))).toBeTruthy();
        const junction = of('junction');
        expect((await row(junction.name)).getByText(new RegExp(`${junction.road.kind === 'junction' ? junction.road.limit_mph : ''} mph`))).toBeTruthy();
    });

    it('lead to the page of the bench that plans them, without a word of how they are kept', async () => {
        server({ 'GET places': places, 'GET sites': [] });
        show(<PlacesPage />);
        await screen.findByRole('heading', { name: places[0]!.name });
        const links = screen.getAllByRole('link').map((link) => link.getAttribute('href')!);
        expect(links.filter((href) => href.startsWith('/bench/approach')).length).toBeGreaterThan(20);
        expect(links.some((href) => href.startsWith('/bench/join'))).toBe(true);
        expect(links.join()).not.toMatch(/kind|version/);
    });

    it('are changed where they are drawn, those that were described by themselves by their form', async () => {
        const [drawn, described] = [places[0]!, { ...places[1]!, site_id: null, from_arm: null, to_arm: null }];
        server({ 'GET places': [drawn, described], 'GET sites': [], 'GET archived': answer('archived') });
        show(<PlacesPage />);
        const row = async ({ name }: PlaceWithDrawings) => within((await screen.findByRole('heading', { name })).closest('li')!);
        const site = (await row(drawn)).getByRole('link', { name: 'Its site' }).getAttribute('href');
        expect(site).toBe(`/places/sites/${drawn.site_id}?from=${drawn.from_arm}&to=${drawn.to_arm}&routine=${drawn.routine}`);
        expect((await row(drawn)).queryByRole('button', { name: 'Change' })).toBeNull();
        fireEvent.click((await row(described)).getByRole('button', { name: 'Change' }));
        expect(await screen.findByRole('dialog', { name: 'Change the place' })).toBeTruthy();
    });

    it('show what was kept from the bench, and put it away on one press', async () => {
        const sent = server({ 'GET places': places, 'GET sites': [] });
        show(<PlacesPage />);
        const kept = places.flatMap((place) => place.drawings)[0]!;
        const link = await screen.findByRole('link', { name: kept.title });
        expect(link.getAttribute('href')).toBe(`/bench/${kept.page}?${kept.state}`);
        screen.getByRole('button', { name: `Archive ${kept.title}` }).click();
        await waitFor(() => expect(written(sent)).toEqual([{ method: 'DELETE', path: `drawings/${kept.id}`, body: undefined }]));
    });
});

describe('places among many', () => {
    const { rules } = answer('session');
    const shown = () => screen.queryAllByRole('heading', { level: 2 }).map((heading) => heading.textContent);

    it('are found by words in any order, by their routine, and by what goes wrong there', async () => {
        server({ 'GET places': places, 'GET sites': [] });
        show(<PlacesPage />, 'owner', '/places');
        const field = await screen.findByRole('searchbox', { name: 'Search places' });
        const find = (typed: string) => {
            fireEvent.change(field, { target: { value: typed } });
            return shown();
        };
        const place = places.find((one) => one.routine === 'turn-left')!;
        expect(find(place.name.split(' ').reverse().join(' '))).toContain(place.name);
        const wrong = rules.routines.find((one) => one.code === 'turn-left')!.faults.position![0]!;
        const found = find(rules.faults.position![wrong]!);
        expect(found).toContain(place.name);
        expect(found.length).toBeLessThan(places.length);
        find('nothing is called that');
        expect(screen.getByText('No place has all those words.')).toBeTruthy();
    });

    it('taught under other rules only stand by themselves, in the words of those rules, without a plan', async () => {
        const foreign = rules.elsewhere.find((one) => one.code === 'right-on-red')!;
        const place: PlaceWithDrawings = { ...of('junction'), id: 'x', name: 'Far away', routine: 'right-on-red', drawings: [] };
        server({ 'GET places': [...places, place], 'GET sites': [] });
        show(<PlacesPage />);
        const group = within(await screen.findByRole('region', { name: `Taught under ${foreign.pack_name} only` }));
        expect(group.getByRole('heading', { name: 'Far away' })).toBeTruthy();
        expect(group.getAllByText(new RegExp(`^${foreign.title} ·`)).length).toBeGreaterThan(0);
        expect(group.queryByRole('link', { name: 'Plan' })).toBeNull();
        expect(document.body.textContent).not.toContain('right-on-red');
    });
});

describe('describing a place', () => {
    const keep = async (place: PlaceWithDrawings) => {
        const sent = server({ [`PUT places/${place.id}`]: place });
        show(<PlaceForm place={place} onKept={vi.fn()} />);
        screen.getByRole('button', { name: 'Keep the place' }).click();
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        return written(sent)[0]!.body as { routine: string; road: Record<string, unknown> };
    };

    it.each(['junction', 'roundabout', 'slip', 'stretch', 'kerb'] as const)('keeps every fact of a %s as it was, where nothing is changed', async (kind) => {
        const place = of(kind);
        const { kind: _, version: __, ...facts } = place.road as Record<string, unknown>;
        const kept = await keep(place);
        expect(kept.routine).toBe(place.routine);
        expect(kept.road).toMatchObject(facts);
        expect(kept.road).not.toHaveProperty('kind');
    });

    it('keeps what was measured on the way and at the line, and says the view once', async () => {
        const junction = places.find((place) => place.routine === 'emerge-right')!;
        const sent = server({ [`PUT places/${junction.id}`]: junction });
        show(<PlaceForm place={junction} onKept={vi.fn()} />);
        const type = (label: RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
        type(/^A path across our way/, '12');
        type(/^View opens beyond/, '3');
        fireEvent.click(screen.getByRole('button', { name: 'A bend on the way' }));
        type(/^Radius, m/, '45');
        type(/^From us to a hedge/, '3');
        type(/^Cars parked along it/, 'near');
        screen.getByRole('button', { name: 'Keep the place' }).click();
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        const { road } = written(sent)[0]!.body as { road: Record<string, unknown> };
        expect(road).toMatchObject({
            path_before_m: 12,
            view_beyond_m: 3,
            bend: { radius_m: 45, from_m: 80, to_m: 50, offset_m: 3 },
            road_met: { parked: 'near' },
        });
        expect(road).not.toHaveProperty('view');
        expect(road).not.toHaveProperty('view_from_m');
        type(/^A path across our way/, '');
        screen.getByRole('button', { name: 'Keep the place' }).click();
        await waitFor(() => expect(written(sent)).toHaveLength(2));
        expect((written(sent)[1]!.body as { road: object }).road).not.toHaveProperty('path_before_m');
    });

    it('lets go of what only the routine before was asked', async () => {
        const turn = places.find((place) => place.road.kind === 'junction' && place.road.turn_radius_m !== undefined)!;
        const sent = server({ [`PUT places/${turn.id}`]: turn });
        show(<PlaceForm place={turn} onKept={vi.fn()} />);
        fireEvent.change(screen.getByLabelText(/^Routine/), { target: { value: 'hump' } });
        screen.getByRole('button', { name: 'Keep the place' }).click();
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        expect((written(sent)[0]!.body as { road: object }).road).not.toHaveProperty('turn_radius_m');
    });

    it('puts what the core said beside the field it is about, and loses nothing', async () => {
        const slip = of('slip');
        server({ [`PUT places/${slip.id}`]: { message: 'no', errors: { 'road.slip_length_m': ['must lie between 20 and 2000.'] } } });
        const kept = vi.fn();
        show(<PlaceForm place={slip} onKept={kept} />);
        const length = screen.getByLabelText<HTMLInputElement>(/^Slip road, m/);
        fireEvent.change(length, { target: { value: '3' } });
        screen.getByRole('button', { name: 'Keep the place' }).click();
        expect(await screen.findByText('must lie between 20 and 2000.', { exact: false })).toBeTruthy();
        expect(length.value).toBe('3');
        expect(kept).not.toHaveBeenCalled();
    });
});
