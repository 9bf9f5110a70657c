import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, written } from '@/testing/answers';
import { CentrePage } from './CentrePage';

const centres = answer('demo-centres');
const centre = centres[0]!;
const sites = answer('demo-sites');
const replies = { 'GET centres': centres, 'GET circuits': answer('demo-circuits'), 'GET sites': sites };
const open = (id: string) =>
    show(
        <Routes>
            <Route path="/places/centres/:id" element={<CentrePage />} />
            <Route path="*" element={<p>gone</p>} />
        </Routes>,
        'instructor',
        `/places/centres/${id}`,
    );
const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the file of a test centre', () => {
    it('has all that is written of it: arrival, bays, checks, traps as sites, routes as circuits', async () => {
        server(replies);
        open(centre.id);
        expect(await screen.findByRole('heading', { level: 1, name: centre.name })).toBeTruthy();
        for (const words of [centre.arrival, centre.bays, centre.ways_in_and_out]) expect(screen.getByText(words!)).toBeTruthy();
        expect(
            within(screen.getByRole('region', { name: 'Asked at the car' }))
                .getAllByRole('listitem')
                .map(({ textContent }) => textContent),
        ).toEqual(centre.checks);
        const traps = within(screen.getByRole('region', { name: 'Traps' }));
        await traps.findByText(sites.find(({ id }) => id === centre.traps[0]!.site)!.name);
        centre.traps.forEach(({ site, note }) => {
            const link = traps.getByRole('link', { name: sites.find(({ id }) => id === site)!.name });
            expect(link.getAttribute('href')).toBe(`/places/sites/${site}`);
            expect(link.closest('li')!.textContent).toContain(note);
        });
        const routes = within(screen.getByRole('region', { name: 'Usual routes' }));
        expect(routes.getAllByRole('listitem')).toHaveLength(1);
        expect(routes.getByRole('link', { name: 'Plan a route' }).getAttribute('href')).toContain(`from=${centre.id}`);
    });

    it('has what our learners failed by there, of all the tests of the school', async () => {
        const tests = answer('demo-school-tests');
        server({ ...replies, 'GET school/tests': tests });
        open(centre.id);
        const there = within(await screen.findByRole('region', { name: 'What our learners failed by' }));
        const here = tests.centres.find(({ id }) => id === centre.id)!;
        expect(there.getByText(`${here.tests} tests written down`)).toBeTruthy();
        expect(there.getAllByRole('listitem')).toHaveLength(here.steps.length);
    });

    it('says what is not there: nothing written, nowhere on the map, no such centre', async () => {
        const bare = {
            ...centre,
            arrival: null,
            bays: null,
            ways_in_and_out: null,
            note: null,
            checks: [],
            traps: [],
            latitude_deg: null,
            longitude_deg: null,
        };
        server({ ...replies, 'GET centres': [bare], 'GET circuits': [] });
        open(centre.id);
        expect(await screen.findByText('Nothing is written of it yet.')).toBeTruthy();
        expect(screen.getByText(/Where it lies is not known/)).toBeTruthy();
        expect(screen.queryByRole('link', { name: 'Plan a route' })).toBeNull();
        cleanup();
        server(replies);
        open('01a224cf-0000-7000-8000-000000000000');
        expect(await screen.findByText('There is no such centre')).toBeTruthy();
    });

    it('is written and changed: checks one on a line, traps from the sites; nothing typed is lost by a refusal', async () => {
        const sent = server({ ...replies, [`PUT centres/${centre.id}`]: { message: 'no', errors: { name: ['is too long.'] } } });
        open(centre.id);
        fireEvent.click(await screen.findByRole('button', { name: 'Change' }));
        await screen.findByRole('option', { name: sites[0]!.name });
        fill('Asked at the car', 'The tyres\n\n The oil ');
        fill('Bays', '');
        const added = sites.find(({ id }) => !centre.traps.some(({ site }) => site === id))!;
        fireEvent.change(screen.getByLabelText('Add a trap'), { target: { value: added.id } });
        fill(added.name, 'The lane ends');
        fireEvent.click(screen.getByRole('button', { name: `No trap: ${sites.find(({ id }) => id === centre.traps[0]!.site)!.name}` }));
        fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
        expect((await screen.findByRole('alert')).textContent).toBe('▸ is too long.');
        expect(written(sent)[0]!.body).toMatchObject({
            checks: ['The tyres', 'The oil'],
            bays: null,
            arrival: centre.arrival,
            traps: [centre.traps[1], { site: added.id, note: 'The lane ends' }],
        });
        expect(screen.getByLabelText<HTMLInputElement>(added.name).value).toBe('The lane ends');
    });

    it('is opened anew, and archived with a way back', async () => {
        const sent = server({ ...replies, 'POST centres': centre, [`DELETE centres/${centre.id}`]: 204, [`POST centres/${centre.id}/restore`]: centre });
        open('new');
        await screen.findByRole('heading', { name: 'New test centre' });
        fill('Name', 'Lantern Hill');
        fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
        fireEvent.click(await screen.findByRole('button', { name: 'Archive' }));
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await waitFor(() =>
            expect(written(sent).map(({ method, path }) => `${method} ${path}`)).toEqual([
                'POST centres',
                `DELETE centres/${centre.id}`,
                `POST centres/${centre.id}/restore`,
            ]),
        );
        expect(written(sent)[0]!.body).toMatchObject({ name: 'Lantern Hill', traps: [], checks: [] });
    });
});
