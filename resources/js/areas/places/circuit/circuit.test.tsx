import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { useLocation } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { written as asAddress } from '@/site/circuit';
import { answer, server, show, tool, written, type Sent } from '@/testing/answers';
import { CircuitPage } from './CircuitPage';
import { CircuitSheetPage } from './CircuitSheetPage';

const sites = answer('demo-sites');
const learners = answer('demo-learners');
const picked = learners.find(({ pick_up_latitude_deg }) => pick_up_latitude_deg !== null)!;
const placed = sites.filter(({ latitude_deg, kind }) => latitude_deg !== null && kind === 'junction');
// Three ways, told to the page as the recorded answer knows them: 0, 1 and 2.
const ways = placed.slice(0, 3).map((site) => ({ site: site.id, ...pick(site.ways[0]!), rounds: 2 }));
const address = `/places/circuit?from=${picked.id}&${ways.map((way) => `way=${encodeURIComponent(asAddress(way))}`).join('&')}`;
const near = `sites/near?latitude_deg=${picked.pick_up_latitude_deg}&longitude_deg=${picked.pick_up_longitude_deg}`;
const today = answer('demo-today');
const lesson = { ...today.lessons[0]!, state: 'booked' as const };
const place = answer('demo-places')[0]!;
const replies = {
    'GET sites': sites,
    'GET learners': learners,
    [`GET ${near}`]: answer('demo-sites-near'),
    'POST compute/circuit': answer('tool-circuit'),
};

function pick({ from, to, routine }: { from: string; to: string; routine: (typeof sites)[number]['ways'][number]['routine'] }) {
    return { from, to, routine };
}

const Address = () => <output data-testid="address">{useLocation().search}</output>;
const open = (at = address) =>
    show(
        <>
            <CircuitPage />
            <Address />
        </>,
        'instructor',
        at,
    );
const asked = (sent: Sent[]) =>
    sent.filter(({ path }) => path === 'compute/circuit').map(({ body }) => body as { minutes: number; order: string; ways: { id: string; rounds: number }[] });
const name = (i: number) => placed[i]!.name;

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('a circuit', () => {
    it('stands in the order driven with its minutes, and says what does not fit and by how much', async () => {
        server(replies);
        open();
        expect(await screen.findByText('2 of 3 fit.')).toBeTruthy();
        const driven = within(screen.getByRole('list', { name: 'In the order driven' })).getAllByRole('heading');
        expect(driven.map(({ textContent }) => textContent)).toEqual([expect.stringContaining(`1. ${name(1)}`), expect.stringContaining(`2. ${name(0)}`)]);
        const out = screen.getByRole('list', { name: 'Left out' });
        expect(within(out).getByText(/58 min more than there is/)).toBeTruthy();
        expect(screen.getByText(/10 min driving between, 9 min at the ways, 5 min debrief/)).toBeTruthy();
        // The hour as a line: every part of it, one after the other.
        expect([...document.querySelectorAll('[data-part]')].map((part) => part.getAttribute('data-part'))).toEqual(
            answer('tool-circuit').parts.map(({ kind }) => kind),
        );
        expect(screen.getByRole('img', { name: `1: ${name(1)}` })).toBeTruthy();
    });

    it('asks again for another order, other minutes, other rounds, and without a way', async () => {
        const sent = server(replies);
        open();
        await screen.findByText('2 of 3 fit.');
        fireEvent.click(screen.getByRole('button', { name: 'Shortest' }));
        await waitFor(() => expect(asked(sent).at(-1)!.order).toBe('shortest'));
        fireEvent.click(screen.getByRole('button', { name: /Lesson.*more|more/i }));
        await waitFor(() => expect(asked(sent).at(-1)!.minutes).toBe(65));
        fireEvent.change(screen.getByLabelText(new RegExp(`^Rounds of ${name(1)}`)), { target: { value: '4' } });
        await waitFor(() =>
            expect(
                asked(sent)
                    .at(-1)!
                    .ways.map(({ rounds }) => rounds),
            ).toEqual([2, 4, 2]),
        );
        fireEvent.click(screen.getByRole('button', { name: new RegExp(`^Leave out ${name(2)}`) }));
        await waitFor(() => expect(asked(sent).at(-1)!.ways).toHaveLength(2));
        // It is all in the address: it can be kept, sent and opened again.
        await waitFor(() => expect(screen.getByTestId('address').textContent).toMatch(/order=shortest/));
    });

    it('shows no answer that speaks of other ways, and takes none while another is on its way', async () => {
        server(replies);
        open();
        await screen.findByText('2 of 3 fit.');
        vi.stubGlobal('fetch', () => new Promise(() => undefined));
        fireEvent.click(screen.getByRole('button', { name: 'Shortest' }));
        // The same ways: their minutes stay in sight, but are not taken.
        expect(screen.getByRole('list', { name: 'In the order driven' })).toBeTruthy();
        expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take it' }).disabled).toBe(true);
        fireEvent.click(screen.getByRole('button', { name: new RegExp(`^Leave out ${name(0)}`) }));
        await waitFor(() => expect(screen.queryByRole('list', { name: 'In the order driven' })).toBeNull());
        expect(screen.queryByRole('button', { name: 'Take it' })).toBeNull();
    });

    it('takes in a way that is looked for by its routine, the nearest first', async () => {
        const sent = server(replies);
        open(`/places/circuit?from=${picked.id}`);
        expect(await screen.findByText(/Add the ways you mean to drive/)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Add a way' }));
        const sheet = await screen.findByRole('dialog', { name: 'Add a way' });
        fireEvent.change(within(sheet).getByLabelText('Search ways'), { target: { value: 'mini-roundabout' } });
        const offered = within(sheet).getAllByRole('button', { name: /mini-roundabout/i });
        fireEvent.click(offered[0]!);
        await waitFor(() => expect(asked(sent).at(-1)!.ways).toHaveLength(1));
        // What is taken is not offered again.
        expect(within(sheet).getAllByRole('button', { name: /mini-roundabout/i })).toHaveLength(offered.length - 1);
    });

    it('goes on the plan of a lesson in its order, with its minutes; half of it is none', async () => {
        const at = (i: number) => `POST sites/${ways[i]!.site}/ways`;
        const all = {
            ...replies,
            [at(0)]: place,
            [at(1)]: place,
            [`POST lessons/${lesson.id}/items`]: { id: 'item', ordinal: 1, minutes: 10, place, routine: place.routine },
            'PATCH items/item': { id: 'item' },
        };
        const days = (sent: Sent) => (sent.path.startsWith('today') ? { ...today, lessons: sent.path.includes('x') ? [] : [lesson] } : 204);
        const withDays = (more: object) =>
            new Proxy(more as Record<string, object>, { get: (of, key: string) => (key.startsWith('GET today') ? days : of[key]) });
        const sent = server(withDays(all));
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'Take it' }));
        fireEvent.click((await screen.findAllByRole('button', { name: new RegExp(lesson.learner.name) }))[0]!);
        expect(await screen.findByText(/2 ways are on the plan of/)).toBeTruthy();
        expect(written(sent).map(({ path }) => path)).toEqual([
            `sites/${ways[1]!.site}/ways`,
            `lessons/${lesson.id}/items`,
            'items/item',
            `sites/${ways[0]!.site}/ways`,
            `lessons/${lesson.id}/items`,
            'items/item',
        ]);
        expect(written(sent).flatMap(({ path, body }) => (path === 'items/item' ? [(body as { minutes: number }).minutes] : []))).toEqual([5, 9]);
        cleanup();
        const refused = server(withDays({ ...all, [at(0)]: 500 }));
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'Take it' }));
        fireEvent.click((await screen.findAllByRole('button', { name: new RegExp(lesson.learner.name) }))[0]!);
        expect(await screen.findByText(/Nothing was taken/)).toBeTruthy();
        expect(written(refused).at(-1)).toMatchObject({ method: 'DELETE', path: 'items/item' });
    });

    it('has nowhere to start from where nothing of the school lies anywhere', async () => {
        server({ ...replies, 'GET learners': learners.map((learner) => ({ ...learner, pick_up_latitude_deg: null, pick_up_longitude_deg: null })) });
        open('/places/circuit');
        expect(await screen.findByText('Nowhere to start from yet')).toBeTruthy();
    });

    it('starts and ends where that is said, at a test centre too', async () => {
        const [centre] = answer('demo-centres');
        const sent = server({ ...replies, 'GET centres': [centre!] });
        open();
        await screen.findByText('2 of 3 fit.');
        fireEvent.change(screen.getByLabelText('To'), { target: { value: centre!.id } });
        await waitFor(() => expect(asked(sent).at(-1)).toHaveProperty('end', { latitude_deg: centre!.latitude_deg, longitude_deg: centre!.longitude_deg }));
        expect(screen.getByText(/minutes from .*’s pick-up to Lantern Hill test centre/)).toBeTruthy();
        fireEvent.change(screen.getByLabelText('From'), { target: { value: centre!.id } });
        // Where it starts it ends as well: that is no end of its own.
        await waitFor(() => expect(asked(sent).at(-1)).not.toHaveProperty('end'));
        expect(screen.getByText(/minutes from Lantern Hill test centre and back/)).toBeTruthy();
    });

    it('is counted by the hour it begins at, and says what its minutes rest on', async () => {
        const sent = server(replies);
        open();
        await screen.findByText('2 of 3 fit.');
        expect(asked(sent).at(-1)).not.toHaveProperty('starts_at');
        fireEvent.change(screen.getByLabelText(/^Begins at/), { target: { value: '16:30' } });
        // A working day, by the clock on the wall.
        await waitFor(() => expect(asked(sent).at(-1)).toHaveProperty('starts_at', '2026-01-07T16:30:00+00:00'));
        expect(new Date('2026-01-07').getDay()).toBe(3);
        fireEvent.change(screen.getByLabelText(/^Begins at/), { target: { value: '' } });
        await waitFor(() => expect(screen.getByTestId('address').textContent).not.toContain('at='));
        expect(screen.getByText('How the minutes were worked out')).toBeTruthy();
        expect(screen.getByText(/detour factor/i)).toBeTruthy();
    });

    it('goes out as a file in the order driven', async () => {
        const sent = server({ ...replies, 'POST circuits/gpx': { gpx: '<gpx/>' } });
        vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: vi.fn(() => 'blob:x'), revokeObjectURL: vi.fn() }));
        open();
        fireEvent.click(await screen.findByRole('button', { name: 'As a file (GPX)' }));
        await waitFor(() => expect(written(sent)).toHaveLength(1));
        const body = written(sent)[0]!.body as { ways: { site: string }[]; start: object; end: object };
        expect(body.ways.map(({ site }) => site)).toEqual([ways[1]!.site, ways[0]!.site]);
        expect(body.start).toEqual(body.end);
    });
});

describe('a circuit that is kept', () => {
    const kept = answer('demo-circuits').find(({ mine }) => mine)!;
    const theirs = answer('demo-circuits').find(({ mine, rehearsal }) => !mine && rehearsal)!;
    const all = { ...replies, 'GET circuits': answer('demo-circuits'), 'GET centres': answer('demo-centres') };
    // Told of two of its ways the recorded answer would speak of three.
    const at = (id: string) => `${address}&kept=${id}`;
    const keep = async () => {
        fireEvent.click(await screen.findByRole('button', { name: 'Keep' }));
        return within(await screen.findByRole('dialog'));
    };

    it('is kept under a name, for oneself or for everybody, with what stands on the page', async () => {
        const sent = server({ ...all, 'POST circuits': { ...kept, id: 'new', name: 'Mine', shared: true } });
        open();
        const sheet = await keep();
        fireEvent.change(sheet.getByLabelText('Name'), { target: { value: 'Mine' } });
        fireEvent.click(sheet.getByLabelText('Share it with everybody in the school'));
        fireEvent.click(sheet.getByRole('button', { name: 'Keep' }));
        expect(await screen.findByText('Mine is kept, for everybody in the school.')).toBeTruthy();
        expect(written(sent)[0]!.body).toEqual({
            name: 'Mine',
            note: null,
            shared: true,
            rehearsal: false,
            centre_id: null,
            minutes: 60,
            order: 'easy-to-hard',
            ways,
        });
        // From now on it is that one.
        await waitFor(() => expect(screen.getByTestId('address').textContent).toContain('kept=new'));
    });

    it('is changed, copied or archived by who keeps it', async () => {
        const sent = server({
            ...all,
            [`PUT circuits/${kept.id}`]: kept,
            'POST circuits': { ...kept, id: 'copy' },
            [`DELETE circuits/${kept.id}`]: 204,
            [`POST circuits/${kept.id}/restore`]: kept,
        });
        open(at(kept.id));
        expect(await screen.findByRole('heading', { level: 1, name: kept.name })).toBeTruthy();
        fireEvent.click((await keep()).getByRole('button', { name: 'Keep' }));
        await waitFor(() => expect(written(sent).at(-1)).toMatchObject({ method: 'PUT', path: `circuits/${kept.id}`, body: { name: kept.name, ways } }));
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        fireEvent.click((await keep()).getByRole('button', { name: 'Keep as another' }));
        await waitFor(() => expect(written(sent).at(-1)).toMatchObject({ method: 'POST', path: 'circuits' }));
        cleanup();
        open(at(kept.id));
        fireEvent.click((await keep()).getByRole('button', { name: 'Archive' }));
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await waitFor(() => expect(written(sent).at(-1)).toMatchObject({ path: `circuits/${kept.id}/restore` }));
    });

    it('of a colleague is only kept as one’s own; it says whose it is, and that it is a rehearsal', async () => {
        const sent = server({ ...all, 'POST circuits': { ...theirs, id: 'copy', mine: true } });
        open(at(theirs.id));
        expect(await screen.findByText(new RegExp(`kept by ${theirs.by}`))).toBeTruthy();
        expect(screen.getByText(/rehearsal of an assessment: directions only/)).toBeTruthy();
        const sheet = await keep();
        expect(sheet.getByRole('heading', { name: 'Keep it as your own' })).toBeTruthy();
        expect(sheet.queryByRole('button', { name: 'Archive' })).toBeNull();
        fireEvent.click(sheet.getByRole('button', { name: 'Keep' }));
        await waitFor(() => expect(written(sent)[0]).toMatchObject({ method: 'POST', path: 'circuits', body: { centre_id: theirs.centre_id } }));
    });

    it('says that a way of it is no longer drawn', async () => {
        server(all);
        open(`${at(kept.id)}&way=${encodeURIComponent(`${ways[0]!.site}~x~y~cross~2`)}`);
        expect(await screen.findByText('▸ One way of it is no longer drawn on a site: left out.')).toBeTruthy();
    });
});

describe('the sheet of a circuit', () => {
    it('has the ways in the order driven, with their rounds, and leads back to the circuit', async () => {
        const plans = answer('demo-circuit-plans');
        const sent = server({
            ...replies,
            'POST circuits/plans': plans.slice(0, 2),
            'POST compute/approach': tool('tool-approach'),
            'GET routines?pack=gb': answer('demo-routines'),
        });
        show(<CircuitSheetPage />, 'instructor', address.replace('/circuit?', '/circuit/sheet?'));
        const list = within(await screen.findByRole('list', { name: 'On the way' }));
        expect(list.getAllByRole('heading').map(({ textContent }) => textContent)).toEqual([
            expect.stringContaining(`1. ${name(1)}`),
            expect.stringContaining(`2. ${name(0)}`),
        ]);
        expect(list.getAllByText(/· 2 rounds|· once/)).toHaveLength(2);
        expect(written(sent)[0]).toMatchObject({ path: 'circuits/plans', body: { ways: [{ site: ways[1]!.site }, { site: ways[0]!.site }] } });
        // Said in the words of the recorded answer, each before its own line.
        expect(await screen.findByText(/by 90 m before the line/)).toBeTruthy();
        expect(screen.getByRole('link', { name: 'Back to the circuit' }).getAttribute('href')).toContain('/places/circuit?from=');
    });

    it('says where nothing fits, and what cannot be had', async () => {
        const none = { ...answer('tool-circuit'), order: [], message: 'None of it fits.' };
        server({ ...replies, 'POST compute/circuit': none });
        show(<CircuitSheetPage />, 'instructor', address);
        expect(await screen.findByText(/No way of it fits/)).toBeTruthy();
        cleanup();
        server({ ...replies, 'POST circuits/plans': 500 });
        show(<CircuitSheetPage />, 'instructor', address);
        expect(await screen.findByText(/The sheet is not shown/)).toBeTruthy();
    });
});
