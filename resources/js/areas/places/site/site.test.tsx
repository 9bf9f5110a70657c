import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, tool, written } from '@/testing/answers';
import { armWords, type Arm } from '@/site/draft';
import { SitePage } from '../SitePage';
import { Addressed } from '@/testing/Addressed';
import { Sites } from './Sites';

const sitesHere = <Addressed>{(said, onSaid) => <Sites said={said} onSaid={onSaid} />}</Addressed>;

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

    it('asks before a way goes out of lessons to come, in the server’s words, and then keeps it so', async () => {
        const said = 'As it is drawn now The T: from the south, right is no more, and that is planned in 2 lessons to come.';
        let asked = 0;
        const sent = server({
            ...replies,
            [`PUT sites/${site.id}`]: () => (asked++ === 0 ? { message: said, errors: { archive: [said] } } : site),
        });
        show(page, 'instructor', `/places/sites/${site.id}`);
        fireEvent.click(await screen.findByRole('button', { name: 'Keep the site' }));
        expect(await screen.findByText(said, { exact: false })).toBeTruthy();
        const kept = () => written(sent).filter(({ path }) => path === `sites/${site.id}`);
        expect(kept().map(({ body }) => (body as { archive: boolean }).archive)).toEqual([false]);
        fireEvent.click(screen.getByRole('button', { name: 'Keep it all the same' }));
        await waitFor(() => expect(kept().map(({ body }) => (body as { archive: boolean }).archive)).toEqual([false, true]));
        await waitFor(() => expect(screen.queryByText(said, { exact: false })).toBeNull());
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

    it('says which lane to approach in where there is a choice, by the paint the core was told of', async () => {
        const wide = answer('tool-site');
        const lanes = answer('tool-lanes');
        const asked = { pack: 'gb', layout: 'junction', from: 'Side road', to: 'Main road (east)', arms: [] };
        wide.ways = wide.ways.map((way) => (way.from === 's' && way.to === 'e' ? { ...way, lanes: asked } : way));
        const sent = server({ ...replies, 'POST compute/site': wide, 'POST compute/lanes': lanes });
        show(page, 'instructor', '/places/sites/new?start=t&from=s&to=e');
        expect(await screen.findByText(`Approach in lane ${lanes.approach_lane}`)).toBeTruthy();
        expect(screen.getByText(lanes.reasons[0]!, { exact: false })).toBeTruthy();
        expect(sent.find(({ path }) => path === 'compute/lanes')!.body).toEqual(asked);
    });

    it('offers as a measure what the one key timed on a drive in by that road, and takes each once', async () => {
        const here = answer('demo-site-driven');
        const [way] = answer('demo-past');
        const elsewhere = here.arms.find(({ id }) => id !== way!.from)!.id!;
        const timed = (from: string, seconds: number, metres: number) => ({ ...way!, from, lengths: [{ on: '2026-05-19', length_m: metres, seconds }] });
        const sent = server({
            ...replies,
            [`GET sites/${here.id}`]: here,
            [`GET sites/${here.id}/past`]: [timed(way!.from, 4.2, 56), timed(elsewhere, 3, 20)],
        });
        show(page, 'instructor', `/places/sites/${here.id}`);
        const road = armWords(here.arms.find(({ id }) => id === way!.from) as Arm, here.arms as Arm[]);
        fireEvent.click(await screen.findByRole('button', { name: road }));
        const sheet = within(await screen.findByRole('dialog'));
        fireEvent.change(sheet.getByLabelText('What'), { target: { value: 'room' } });
        fireEvent.change(sheet.getByLabelText('How'), { target: { value: 'driven' } });
        const offered = within(await sheet.findByRole('group', { name: 'Timed on the drive' }));
        expect(offered.getAllByRole('button')).toHaveLength(1);
        fireEvent.click(offered.getByRole('button', { name: /4\.2 s, about 56 m$/ }));
        // 56 m in 4.2 s are 13.33 m/s.
        const measured = () =>
            (sent.filter(({ path }) => path === 'compute/site').at(-1)!.body as { arms: Arm[] }).arms.find(({ id }) => id === way!.from)!.measures!.at(-1)!;
        await waitFor(() => expect(measured()).toEqual({ of: 'room', by: 'driven', time_s: 4.2, speed_mph: 29.8 }));
        expect(sheet.queryByRole('group', { name: 'Timed on the drive' })).toBeNull();
    });

    it('takes two presses in one breath: where one comes from, and where one goes', async () => {
        server(replies);
        show(page, 'instructor', '/places/sites/new?start=t');
        const press = (road: Element) => road.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
        const road = (said: RegExp) => screen.getAllByRole('button', { name: said })[0]!;
        const stem = await screen.findByRole('button', { name: /^Side road, south: where we come from/ });
        act(() => {
            press(stem);
            press(road(/^Main road \(west\)/));
        });
        expect(screen.getByRole('heading', { name: 'Side road → Main road (west), left' })).toBeTruthy();
        act(() => {
            press(road(/^Main road \(east\)/));
            press(stem);
        });
        expect(screen.getByRole('heading', { name: 'Main road (east) → Side road, left' })).toBeTruthy();
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

describe('what lies along one road', () => {
    it('teaches several routines on one way: each is chosen by a press, and asked about by its name', async () => {
        const sent = server({ ...replies, 'POST compute/site': answer('tool-site-stretch') });
        show(page, 'instructor', '/places/sites/new?start=stretch&from=w&to=e');
        const taught = within(await screen.findByRole('group', { name: 'Taught on this way' }));
        const [first, second] = answer('tool-site-stretch').ways.filter(({ from }) => from === 'w');
        expect(taught.getByRole('button', { name: first!.title }).getAttribute('aria-pressed')).toBe('true');
        fireEvent.click(taught.getByRole('button', { name: second!.title }));
        expect(await screen.findByText(second!.because, { exact: false })).toBeTruthy();
        await waitFor(() => expect(sent.some(({ body }) => (body as { routine?: string } | undefined)?.routine === second!.routine)).toBe(true));
        expect(screen.getByRole('heading', { name: 'This road (west) → This road (east)' })).toBeTruthy();
    });

    it('is said by ticking it, and no line, view or crossing road is asked for', async () => {
        const sent = server({ ...replies, 'POST compute/site': answer('tool-site-stretch') });
        show(page, 'instructor', '/places/sites/new?start=stretch');
        fireEvent.click(await screen.findByRole('button', { name: 'This road (west)' }));
        const sheet = within(await screen.findByRole('dialog'));
        for (const other of ['At its mouth', 'View', 'Seen to the left from the line, m']) expect(sheet.queryByLabelText(other)).toBeNull();
        fireEvent.click(await sheet.findByLabelText('Humps'));
        const west = () => (sent.filter(({ path }) => path === 'compute/site').at(-1)!.body as { arms: { id: string; holds?: string[] }[] }).arms[0]!;
        await waitFor(() => expect(west()).toMatchObject({ id: 'w', holds: ['parked', 'humps'] }));
        fireEvent.click(sheet.getByLabelText('Parked cars to pass'));
        await waitFor(() => expect(west().holds).toEqual(['humps']));
        // Kerbs have features of their own.
        expect(sheet.queryByLabelText('Bays')).toBeNull();
    });

    it('is a slip road with its own figures, and its plan is reckoned on the bench', async () => {
        server({ ...replies, 'POST compute/site': answer('tool-site-slip') });
        show(page, 'instructor', '/places/sites/new?start=slip-on&from=s&to=e');
        const bench = await screen.findByRole('link', { name: 'Plan it on the bench' });
        const address = new URL(bench.getAttribute('href')!, 'http://x');
        expect(address.pathname).toBe('/bench/join');
        expect(address.searchParams.get('slip')).toBe(String(answer('tool-site-slip').ways.find(({ tool }) => tool === 'join')!.inputs!.slip_length_m));
        fireEvent.click(screen.getByRole('button', { name: 'Slip road' }));
        const sheet = within(await screen.findByRole('dialog'));
        expect(sheet.getByLabelText('Length of the slip road, m')).toBeTruthy();
        expect(sheet.getByLabelText('Speed at its beginning, mph')).toBeTruthy();
        expect(within(sheet.getByRole('region', { name: 'Measured' })).getByLabelText('What').textContent).toBe('Length of the slip road');
    });

    it('says of a bay that nothing is planned, and where it is marked all the same', async () => {
        server({ ...replies, 'POST compute/site': answer('tool-site-car-park') });
        show(page, 'instructor', '/places/sites/new?start=car-park');
        expect(await screen.findByText(/in a lesson it is marked under Somewhere else/)).toBeTruthy();
        expect(screen.getByRole('heading', { level: 2, name: 'Car park' })).toBeTruthy();
        expect(screen.queryByRole('link', { name: 'Plan it on the bench' })).toBeNull();
    });
});

describe('what stands and opens beside a road', () => {
    it('is added and moved in numbers, and by key on the picture', async () => {
        const sent = server(replies);
        show(page, 'instructor', '/places/sites/new?start=t');
        fireEvent.click(await screen.findByRole('button', { name: 'Side road' }));
        const sheet = within(await screen.findByRole('dialog'));
        fireEvent.click(sheet.getByText('More that can matter'));
        fireEvent.click(sheet.getByRole('button', { name: 'An opening' }));
        const openings = within(sheet.getByRole('region', { name: 'Openings before the line' }));
        fireEvent.change(openings.getByLabelText('Side'), { target: { value: 'right' } });
        fireEvent.change(openings.getByLabelText('From, m'), { target: { value: '30' } });
        fireEvent.change(openings.getByLabelText('To, m'), { target: { value: '24' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Close' }));
        const opening = await screen.findByRole('slider', { name: 'An opening on the right of Side road' });
        fireEvent.keyDown(opening, { key: 'ArrowUp' });
        fireEvent.keyDown(opening, { key: 'ArrowDown', shiftKey: true });
        const said = () =>
            (sent.filter(({ path }) => path === 'compute/site').at(-1)!.body as { arms: { id: string; openings?: unknown[] }[] }).arms.find(
                ({ id }) => id === 's',
            )!;
        await waitFor(() => expect(said().openings).toEqual([{ side: 'right', from_m: 34, to_m: 28 }]));
        fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
        await waitFor(() =>
            expect(screen.getByRole('slider', { name: 'An opening on the right of Side road' }).getAttribute('aria-valuetext')).toBe('30 to 24 m before'),
        );
    });
});

describe('what is said of a way', () => {
    const driven = answer('demo-site-driven');
    const [worst] = answer('demo-past');
    const there = { ...replies, [`GET sites/${driven.id}`]: driven, [`GET sites/${driven.id}/past`]: answer('demo-past') };
    const address = `/places/sites/${driven.id}?from=${worst!.from}&to=${worst!.to}`;

    it('is what went wrong there, beside how many drove it and how far they had come', async () => {
        server(there);
        show(page, 'instructor', address);
        const past = await screen.findByRole('region', { name: 'What went wrong here' });
        expect(past.textContent).toContain(`${worst!.rounds} rounds by ${worst!.learners} learners`);
        const [first] = worst!.wrong;
        expect(within(past).getAllByRole('listitem')[0]!.textContent).toContain(`${first!.rounds} rounds, ${first!.learners} learner`);
        expect(within(past).getAllByRole('listitem').length).toBeLessThanOrEqual(5);
    });

    it('says that nobody has driven it where nobody has', async () => {
        server({ ...there, [`GET sites/${driven.id}/past`]: [] });
        show(page, 'instructor', address);
        expect(await screen.findByText('Nobody has driven it yet.')).toBeTruthy();
    });

    it('is the instructor’s own word: it stands beside what was computed, and is kept with the site', async () => {
        const sent = server({ ...there, [`PUT sites/${driven.id}`]: driven });
        show(page, 'instructor', address);
        const computed = answer('tool-site').ways.find(({ from, to }) => from === worst!.from && to === worst!.to)!.difficulty.words;
        const hard = await screen.findByLabelText('How hard, in your word');
        expect(within(hard).getByText(`As computed: ${computed}`)).toBeTruthy();
        fireEvent.change(hard, { target: { value: 'easy' } });
        fireEvent.change(screen.getByLabelText('Note on this way'), { target: { value: 'buses at ten past' } });
        expect(await screen.findByText('in your word; computed:', { exact: false })).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Keep the site' }));
        const body = () => written(sent).find(({ method }) => method === 'PUT')?.body as { remarks: unknown[] } | undefined;
        await waitFor(() =>
            expect(body()?.remarks).toEqual([{ from: worst!.from, to: worst!.to, routine: worst!.routine, difficulty: 'easy', note: 'buses at ten past' }]),
        );
    });
});

describe('a site that was drawn twice', () => {
    const driven = answer('demo-site-driven');
    const there = { ...replies, [`GET sites/${driven.id}`]: driven, [`GET sites/${site.id}/past`]: [] };
    const line = sites.find(({ id }) => id === driven.id)!;

    it('offers those that look like it, and asks which of its ways each used one is', async () => {
        const sent = server({ ...there, [`POST sites/${site.id}/merge`]: site });
        show(page, 'instructor', `/places/sites/${site.id}`);
        fireEvent.click(await screen.findByRole('button', { name: 'Drawn twice?' }));
        const sheet = within(await screen.findByRole('dialog'));
        expect(sheet.queryByRole('button', { name: new RegExp(`^${site.name}`) })).toBeNull();
        fireEvent.change(await sheet.findByLabelText('Which one is put in here?'), { target: { value: 'chandlers row into' } });
        fireEvent.click(await sheet.findByRole('button', { name: new RegExp(line.name) }));
        const routine = await sheet.findByLabelText(/is here$/);
        const [used] = driven.used;
        const like = answer('tool-site').ways.filter(({ routine: code }) => code === used!.routine);
        expect(within(routine).getAllByRole('option')).toHaveLength(like.length);
        fireEvent.click(sheet.getByRole('button', { name: 'Make them one' }));
        await waitFor(() =>
            expect(written(sent)).toContainEqual({
                method: 'POST',
                path: `sites/${site.id}/merge`,
                body: { other: driven.id, ways: [{ place_id: used!.place_id, from: like[0]!.from, to: like[0]!.to }] },
            }),
        );
        expect(await screen.findByText(`${line.name} is one with ${site.name} now.`)).toBeTruthy();
    });

    it('says which way has no like here, and lets nothing go then', async () => {
        server({ ...there, 'POST compute/site': answer('tool-site-car-park') });
        show(page, 'instructor', `/places/sites/${site.id}`);
        fireEvent.click(await screen.findByRole('button', { name: 'Drawn twice?' }));
        const sheet = within(await screen.findByRole('dialog'));
        fireEvent.change(await sheet.findByLabelText('Which one is put in here?'), { target: { value: 'chandlers row into' } });
        fireEvent.click(await sheet.findByRole('button', { name: new RegExp(line.name) }));
        expect(await sheet.findByText(/^▸ Nothing here is .*: draw its road first/)).toBeTruthy();
        expect(sheet.getByRole('button', { name: 'Make them one' })).toHaveProperty('disabled', true);
    });
});

describe('the sites of a school', () => {
    it('are listed and lie on the map, those that are used before the others', async () => {
        server(replies);
        show(sitesHere);
        expect(await screen.findByRole('heading', { name: sites[0]!.name })).toBeTruthy();
        expect(screen.getAllByRole('listitem')).toHaveLength(sites.length);
        expect(screen.getByRole('link', { name: 'A T' }).getAttribute('href')).toBe('/places/sites/new?start=t');
        // What is drawn less often comes on a press.
        expect(screen.queryByRole('link', { name: 'A car park' })).toBeNull();
        fireEvent.click(screen.getByRole('button', { name: 'Something else' }));
        expect(screen.getByRole('link', { name: 'A car park' }).getAttribute('href')).toBe('/places/sites/new?start=car-park');
    });

    it('are found by the name of a road, by a routine, and by what was never used', async () => {
        server(replies);
        const { unmount } = show(sitesHere, 'owner', '/places?find=ropewalk+emerge+right');
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
        show(sitesHere);
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
        show(sitesHere);
        expect(await screen.findByText(/a T gives six, a crossroads twelve/)).toBeTruthy();
    });
});
