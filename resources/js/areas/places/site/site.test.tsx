import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, tool, written } from '@/testing/answers';
import { SitePage } from '../SitePage';
import { Sites } from './Sites';

const site = answer('demo-site');
const sites = answer('demo-sites');
const replies = {
    [`GET sites/${site.id}`]: site,
    'GET sites': sites,
    'GET archived': answer('archived'),
    'POST compute/site': answer('tool-site'),
    'POST compute/approach': tool('tool-approach'),
};
const page = (
    <Routes>
        <Route path="/places/sites/:id" element={<SitePage />} />
    </Routes>
);

afterEach(() => {
    cleanup();
    sessionStorage.clear();
    vi.unstubAllGlobals();
});

describe('a site', () => {
    it('says in the first view which routine the way is, why, how hard, and what to measure first', async () => {
        server(replies);
        show(page, 'instructor', '/places/sites/new?start=t');
        const [first] = answer('tool-site').measure_first;
        await screen.findByRole('heading', { name: /Side road → Main road/ });
        expect(await screen.findByText(first!.message, { exact: false })).toBeTruthy();
        const way = answer('tool-site').ways.find(({ from, to }) => from === 's' && to === 'e')!;
        expect(screen.getByText(way.title.toLowerCase())).toBeTruthy();
        expect(screen.getByText(way.because, { exact: false })).toBeTruthy();
    });

    it('is asked about with the law of its own place, not that of who looks at it', async () => {
        const sent = server({ ...replies, [`GET sites/${site.id}`]: { ...site, pack: 'ie' } });
        show(page, 'instructor', `/places/sites/${site.id}`);
        await screen.findByRole('heading', { level: 1, name: site.name });
        await waitFor(() => expect(sent.some(({ path, body }) => path === 'compute/site' && (body as { pack: string }).pack === 'ie')).toBe(true));
    });

    it('sends what was drawn, whole: name, kind, roads, and where it lies', async () => {
        const sent = server({ ...replies, 'POST sites': site });
        show(page, 'instructor', '/places/sites/new?start=t');
        fireEvent.change(await screen.findByLabelText('Name of the site'), { target: { value: 'The closed T' } });
        fireEvent.click(screen.getByText(/^Where it lies/));
        fireEvent.change(screen.getByLabelText('Latitude, degrees north'), { target: { value: '49.2' } });
        fireEvent.change(screen.getByLabelText('Longitude, degrees east'), { target: { value: '-8.1' } });
        fireEvent.click(screen.getByRole('button', { name: 'Keep the site' }));
        const kept = () => written(sent).find(({ path }) => path === 'sites');
        await waitFor(() => expect(kept()).toBeTruthy());
        expect(kept()!.body).toMatchObject({ name: 'The closed T', kind: 'junction', latitude_deg: 49.2, longitude_deg: -8.1, pack: 'gb' });
        expect((kept()!.body as { arms: unknown[] }).arms).toHaveLength(3);
    });

    it('takes a measure, shows it with its doubt as the core says it, and takes the figure out that was written before', async () => {
        const measured = answer('tool-site');
        measured.measured = [{ arm: 's', of: 'sight_left', value_m: 21, error_m: 1.3, agrees: true, words: '21 m ± 1.3 m, paced once', message: null }];
        const sent = server({ ...replies, 'POST compute/site': measured });
        show(page, 'instructor', '/places/sites/new?start=t');
        fireEvent.click(await screen.findByRole('button', { name: 'Side road' }));
        const sheet = within(await screen.findByRole('dialog'));
        fireEvent.change(sheet.getByLabelText('Paces'), { target: { value: '28' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Add this measure' }));
        expect(await sheet.findByText('21 m ± 1.3 m, paced once', { exact: false })).toBeTruthy();
        await waitFor(() => {
            const arm = (sent.filter(({ path }) => path === 'compute/site').at(-1)!.body as { arms: { id: string }[] }).arms.find(({ id }) => id === 's');
            expect(arm).toMatchObject({ measures: [{ of: 'sight_left', by: 'paces', number: 28 }] });
            expect(arm).not.toHaveProperty('sight_left_m');
        });
        expect(sheet.getByRole('button', { name: /^Take out: Seen to the left from the line, 28 paces/ })).toBeTruthy();
    });

    it('takes a change back, a run of the same at once', async () => {
        server(replies);
        show(page, 'instructor', '/places/sites/new?start=t');
        const undo = await screen.findByRole('button', { name: 'Undo' });
        expect(undo).toHaveProperty('disabled', true);
        const stem = await screen.findByRole('button', { name: /^Side road, south/ });
        for (let i = 0; i < 9; i++) fireEvent.keyDown(stem, { key: 'ArrowRight' });
        expect(screen.getByRole('button', { name: /^Side road, south-west/ })).toBeTruthy();
        fireEvent.click(undo);
        expect(screen.getByRole('button', { name: /^Side road, south$|^Side road, south:/ })).toBeTruthy();
        expect(undo).toHaveProperty('disabled', true);
    });

    it('says what cannot be where it was typed, and leaves the ways in sight until it can be', async () => {
        const refused = { message: 'refused', errors: { 'arms.2.limit_mph': ['must lie between 4.474 and 100.662.'] } };
        const isTooFast = (body: unknown) => (body as { arms: { limit_mph?: number }[] }).arms.some(({ limit_mph: limit }) => (limit ?? 0) > 100);
        server({ ...replies, 'POST compute/site': ({ body }: { body: unknown }) => (isTooFast(body) ? refused : answer('tool-site')) });
        show(page, 'instructor', '/places/sites/new?start=t');
        const ways = await screen.findByText('All 6 ways');
        fireEvent.click(screen.getByRole('button', { name: 'Side road' }));
        const sheet = within(await screen.findByRole('dialog'));
        fireEvent.change(sheet.getByLabelText('Limit, mph'), { target: { value: '500' } });
        expect(await sheet.findByText(/must lie between/)).toBeTruthy();
        expect(ways.isConnected).toBe(true);
        expect(sheet.getByLabelText('At its mouth')).toHaveProperty('value', 'give-way');
        fireEvent.change(sheet.getByLabelText('Limit, mph'), { target: { value: '30' } });
        await waitFor(() => expect(sheet.queryByText(/must lie between/)).toBeNull());
    });

    it('has what was drawn and not kept when it is come back to, until it is thrown away', async () => {
        server(replies);
        const { unmount } = show(page, 'instructor', '/places/sites/new?start=t');
        fireEvent.change(await screen.findByLabelText('Name of the site'), { target: { value: 'Half drawn' } });
        unmount();
        const again = show(page, 'instructor', '/places/sites/new?start=t');
        expect(await screen.findByRole('heading', { level: 1, name: 'Half drawn' })).toBeTruthy();
        again.unmount();
        // Another site is another drawing.
        const other = show(page, 'instructor', '/places/sites/new?start=lights');
        expect(await screen.findByRole('heading', { level: 1, name: 'New site' })).toBeTruthy();
        other.unmount();
        show(page, 'instructor', '/places/sites/new?start=t');
        fireEvent.click(await screen.findByRole('button', { name: 'Throw the changes away' }));
        expect(screen.getByRole('heading', { level: 1, name: 'New site' })).toBeTruthy();
        expect(sessionStorage.length).toBe(0);
    });

    it('says why a picture has no ways, and keeps what was drawn', async () => {
        server({ ...replies, 'POST compute/site': 422 });
        show(page, 'instructor', '/places/sites/new?start=t');
        expect(await screen.findByText(/As it is drawn now there are no ways/)).toBeTruthy();
        expect(screen.getByRole('button', { name: /^Side road, south/ })).toBeTruthy();
    });
});

describe('the sites of a school', () => {
    it('are listed and lie on the map, those that are used before the others', async () => {
        server(replies);
        show(<Sites find="" />);
        expect(await screen.findByRole('heading', { name: sites[0]!.name })).toBeTruthy();
        expect(screen.getAllByRole('listitem')).toHaveLength(sites.length);
        expect(screen.getByRole('link', { name: 'A T' }).getAttribute('href')).toBe('/places/sites/new?start=t');
    });

    it('are found by the name of a road, by a routine, and by what was never used', async () => {
        server(replies);
        const { unmount } = show(<Sites find="ropewalk emerge right" />);
        await screen.findByRole('heading', { name: 'Ropewalk at Mole Street' });
        expect(screen.queryByRole('heading', { name: 'Harbour lights' })).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Never used' }));
        expect(screen.queryByRole('heading', { name: 'Ropewalk at Mole Street' })).toBeNull();
        expect(screen.getByText('No site is like that.')).toBeTruthy();
        unmount();
    });

    it('come in from a file once it was said what each would do; where one is refused nothing can be kept', async () => {
        const row = (line: number, name: string, what: string, message: string | null = null) => ({ line, name, what, message });
        const collection = { type: 'FeatureCollection', features: [{ type: 'Feature', geometry: null, properties: {} }] };
        const file = (text: string) => new File([text], 'town.geojson', { type: 'application/geo+json' });
        const bring = (text: string) => fireEvent.change(screen.getByLabelText('Bring sites in'), { target: { files: [file(text)] } });
        let whole = false;
        const sent = server({
            ...replies,
            'POST sites/import': () => ({
                rows: [row(1, 'Chapel T', 'new'), row(2, '', whole ? 'same' : 'refused', 'name must be 1 to 160 letters.')],
                whole,
                kept: 1,
            }),
        });
        show(<Sites find="" />);
        await screen.findByRole('heading', { name: sites[0]!.name });
        bring('no JSON');
        expect(await screen.findByText(/town.geojson is no GeoJSON/)).toBeTruthy();
        bring(JSON.stringify(collection));
        const key = () => screen.getByRole('button', { name: 'Bring 1 in' });
        expect(await screen.findByText(/name must be 1 to 160 letters/)).toBeTruthy();
        expect(key()).toHaveProperty('disabled', true);
        fireEvent.click(screen.getByRole('button', { name: 'Close' }));
        whole = true;
        bring(JSON.stringify(collection));
        await waitFor(() => expect(key()).toHaveProperty('disabled', false));
        fireEvent.click(key());
        expect(await screen.findByText('1 site is brought in.')).toBeTruthy();
        expect(sent.filter(({ path }) => path === 'sites/import').map(({ body }) => (body as { keep: boolean }).keep)).toEqual([false, false, true]);
    });

    it('say what a site is for where there is none yet', async () => {
        server({ ...replies, 'GET sites': [] });
        show(<Sites find="" />);
        expect(await screen.findByText(/a T gives six, a crossroads twelve/)).toBeTruthy();
    });
});
