import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { TrackRead } from '@/api/types';
import { addressOf } from '@/site/circuit';
import { answer, server, show, written } from '@/testing/answers';
import { CircuitsPage } from './CircuitsPage';

const circuits = answer('demo-circuits');
const centres = answer('demo-centres');
const legs = answer('demo-legs');
const sites = answer('demo-sites');
const replies = { 'GET circuits': circuits, 'GET centres': centres, 'GET legs': legs, 'GET sites': sites };
const name = (id: string | null) => (id === null ? 'the school' : sites.find((site) => site.id === id)!.name);
const read: TrackRead = {
    drives: [
        { from: null, to: sites[0]!.id, time_s: 141, distance_m: 1130, driven_at: '2026-05-20T09:00:11Z', stood_s: 190, known: false },
        { from: sites[0]!.id, to: sites[1]!.id, time_s: 60, distance_m: 600, driven_at: '2026-05-20T09:04:11Z', stood_s: 0, known: true },
    ],
    points: 3600,
    time_s: 3599,
    left_out: ['Only the first 4 hours are read.'],
    kept: 0,
};
const bring = (text = '<gpx/>') => fireEvent.change(screen.getByLabelText(/Bring a recorded drive in/), { target: { files: [new File([text], 'drive.gpx')] } });

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the circuits that are kept', () => {
    it('stand each with its minutes, ways and keeper, and open as they are kept', async () => {
        server(replies);
        show(<CircuitsPage />, 'instructor');
        const list = within(await screen.findByRole('list', { name: 'Kept' }));
        const lines = list.getAllByRole('listitem');
        circuits.forEach((circuit, i) => {
            expect(within(lines[i]!).getByRole('link', { name: circuit.name }).getAttribute('href')).toBe(addressOf(circuit));
            expect(lines[i]!.textContent).toContain(`${circuit.minutes} min · ${circuit.ways.length} ways`);
            expect(lines[i]!.textContent).toContain(circuit.mine ? 'yours' : `shared by ${circuit.by}`);
            expect(lines[i]!.textContent.includes('rehearsal')).toBe(circuit.rehearsal);
        });
    });

    it('are none at first, and say how to come by one; what cannot be read says so', async () => {
        server({ ...replies, 'GET circuits': [], 'GET centres': [], 'GET legs': { measured: [], drives: [] } });
        show(<CircuitsPage />, 'instructor');
        expect(await screen.findByText(/None is kept yet/)).toBeTruthy();
        expect(await screen.findByText(/Open a file for the centre you go to/)).toBeTruthy();
        cleanup();
        server({ ...replies, 'GET circuits': 500 });
        show(<CircuitsPage />, 'instructor');
        expect(await screen.findByRole('button', { name: 'Try again' })).toBeTruthy();
    });

    it('have the test centres beside them, each with what is in its file', async () => {
        server(replies);
        show(<CircuitsPage />, 'instructor');
        const of = (await screen.findByRole('link', { name: centres[0]!.name })).closest('li')!;
        expect(of.textContent).toContain('1 route · 2 traps · 3 checks at the car');
    });
});

describe('drives that were measured', () => {
    it('stand the last first, and one that was wrong is thrown out and taken back', async () => {
        const drive = legs.drives[0]!;
        const sent = server({ ...replies, [`DELETE legs/${drive.id}`]: 204, [`POST legs/${drive.id}/restore`]: drive });
        show(<CircuitsPage />, 'instructor');
        const section = within(await screen.findByRole('region', { name: 'Measured drives' }));
        await section.findAllByText(new RegExp(`^${name(legs.drives[0]!.from)} to ${name(legs.drives[0]!.to)}`));
        expect(section.getAllByRole('listitem')).toHaveLength(8);
        fireEvent.click(section.getByRole('button', { name: `All ${legs.drives.length}` }));
        expect(section.getAllByRole('listitem')).toHaveLength(legs.drives.length);
        expect(section.getAllByRole('listitem')[0]!.textContent).toContain(`${name(drive.from)} to ${name(drive.to)}`);
        fireEvent.click(section.getAllByRole('button', { name: /^Throw out/ })[0]!);
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await waitFor(() =>
            expect(written(sent).map(({ method, path }) => `${method} ${path}`)).toEqual([`DELETE legs/${drive.id}`, `POST legs/${drive.id}/restore`]),
        );
    });

    it('come in from a file: what it measures is said first, then kept', async () => {
        const sent = server({ ...replies, 'POST legs/track': ({ body }) => ({ ...read, kept: (body as { keep: boolean }).keep ? 1 : 0 }) });
        show(<CircuitsPage />, 'instructor');
        await screen.findByRole('region', { name: 'Measured drives' });
        bring('<gpx>x</gpx>');
        const sheet = within(await screen.findByRole('dialog', { name: 'A recorded drive' }));
        expect(sheet.getByText('3600 points over 60 min.')).toBeTruthy();
        expect(sheet.getByText(/Only the first 4 hours/)).toBeTruthy();
        const rows = sheet.getAllByRole('listitem').map(({ textContent }) => textContent);
        expect(rows[0]).toBe(`the school to ${sites[0]!.name}: 2:21 min, 1.1 km · 3 min at the kerb left out`);
        expect(rows[1]).toContain('came before');
        fireEvent.click(sheet.getByRole('button', { name: 'Keep the drive' }));
        expect(await screen.findByText('1 drive is kept.')).toBeTruthy();
        expect(written(sent).map(({ body }) => body)).toEqual([
            { gpx: '<gpx>x</gpx>', keep: false },
            { gpx: '<gpx>x</gpx>', keep: true },
        ]);
    });

    it('say why a file cannot be read, and that one measures nothing', async () => {
        server({
            ...replies,
            'POST legs/track': { message: 'no', errors: { gpx: ['must be in the order of time: point 22 is earlier than the one before it.'] } },
        });
        show(<CircuitsPage />, 'instructor');
        await screen.findByRole('region', { name: 'Measured drives' });
        bring();
        expect((await screen.findByRole('alert')).textContent).toBe('▸ The file must be in the order of time: point 22 is earlier than the one before it.');
        expect(screen.queryByRole('dialog')).toBeNull();
        cleanup();
        server({ ...replies, 'POST legs/track': { ...read, drives: [] } });
        show(<CircuitsPage />, 'instructor');
        await screen.findByRole('region', { name: 'Measured drives' });
        bring();
        expect(await screen.findByText(/It passes no two sites/)).toBeTruthy();
        expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Nothing new in it' }).disabled).toBe(true);
    });
});
