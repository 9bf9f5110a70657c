import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Mark } from '@/api/types';
import { marksQueue } from '@/queue/marks';
import { answer, server, show, type Sent } from '@/testing/answers';
import { UnsentPage } from './UnsentPage';

const places = answer('demo-places');
const session = answer('session');
const ROUND = '01a22249-0000-7000-8000-000000000001';
const LESSON = '01a22249-0000-7000-8000-0000000000aa';
const round = {
    id: ROUND,
    lesson_id: LESSON,
    place_id: places[0]!.id,
    place: places[0]!.name,
    routine: 'emerge-left' as const,
    conditions: {},
    device_at: '2026-05-20T09:00:00Z',
};
const mark = (id: string, more: Partial<Mark> = {}): Mark =>
    ({
        id,
        round_id: ROUND,
        kind: 'step',
        step: 'look',
        outcome: 'missed',
        note: 'by the van',
        withdrawn: false,
        device_at: '2026-05-20T09:01:00Z',
        ...more,
    }) as Mark;

let sent: Sent[];
let refuses: (sent: { rounds: { place_id: string | null }[]; marks: { outcome: string; note: string | null }[] }) => string | null;
beforeEach(async () => {
    refuses = () => null;
    sent = server({
        'GET places': places,
        'POST sync': ({ body }) => {
            const reason = refuses(body as never);
            return reason ? { message: reason, errors: { rounds: [reason] } } : { rounds: [], marks: [], stands: [] };
        },
    });
    await marksQueue.load(session.user.id, () => Promise.resolve());
});
afterEach(async () => {
    for (const one of marksQueue.state().waiting) await marksQueue.discard(one.seq);
    cleanup();
    vi.unstubAllGlobals();
});

const synced = () =>
    sent.filter((one) => one.path === 'sync').map((one) => one.body as { rounds: Record<string, unknown>[]; marks: Record<string, unknown>[] });
const refused = async (text: RegExp) => within((await screen.findByText(text)).closest('li')!);

describe('what the server did not accept', () => {
    it('of a round is put right with another place, and its marks go with it', async () => {
        refuses = ({ rounds }) => (rounds.some((one) => one.place_id === places[0]!.id) ? 'The place was archived.' : null);
        marksQueue.add({ kind: 'round', round }, { kind: 'mark', mark: mark('a') });
        show(<UnsentPage />);
        const line = await refused(/The place was archived/);
        fireEvent.click(line.getByRole('button', { name: 'Put it right' }));
        const sheet = within(await screen.findByRole('dialog', { name: 'Put it right' }));
        await sheet.findByRole('option', { name: places[1]!.name });
        fireEvent.change(sheet.getByLabelText('Place'), { target: { value: places[1]!.id } });
        fireEvent.click(sheet.getByRole('button', { name: 'Send it like this' }));
        await screen.findByText('Everything is sent');
        const last = synced().at(-1)!;
        expect(last.rounds[0]).toMatchObject({ place_id: places[1]!.id, lesson_id: LESSON, elsewhere: null });
        expect(last.rounds[0]!.id).not.toBe(ROUND);
        expect(last.marks[0]).toMatchObject({ step: 'look', outcome: 'missed', round_id: last.rounds[0]!.id });
    });

    it('of a round at none of our places keeps its name in words', async () => {
        refuses = ({ rounds }) => (rounds.some((one) => one.place_id !== null) ? 'The place was archived.' : null);
        marksQueue.add({ kind: 'round', round });
        show(<UnsentPage />);
        fireEvent.click((await refused(/archived/)).getByRole('button', { name: 'Put it right' }));
        const sheet = within(await screen.findByRole('dialog'));
        fireEvent.change(sheet.getByLabelText('Place'), { target: { value: '' } });
        fireEvent.click(sheet.getByRole('button', { name: 'Send it like this' }));
        await screen.findByText('Everything is sent');
        expect(synced().at(-1)!.rounds[0]).toMatchObject({ place_id: null, elsewhere: places[0]!.name });
    });

    it('of a mark is put right with another outcome, or without its note', async () => {
        refuses = ({ marks }) => (marks.some((one) => one.note !== null) ? 'The note is not to be kept.' : null);
        marksQueue.add({ kind: 'mark', mark: mark('a') });
        show(<UnsentPage />);
        fireEvent.click((await refused(/not to be kept/)).getByRole('button', { name: 'Put it right' }));
        const sheet = within(await screen.findByRole('dialog'));
        fireEvent.change(sheet.getByLabelText('What was seen'), { target: { value: 'prompted' } });
        fireEvent.click(sheet.getByLabelText(/Without what was wrong/));
        fireEvent.click(sheet.getByRole('button', { name: 'Send it like this' }));
        await screen.findByText('Everything is sent');
        expect(synced().at(-1)!.marks[0]).toMatchObject({ outcome: 'prompted', note: null, step: 'look' });
    });

    it('is kept as a file with its reason and its maker, and stays', async () => {
        refuses = () => 'No.';
        marksQueue.add({ kind: 'round', round }, { kind: 'mark', mark: mark('a') });
        const files: Blob[] = [];
        vi.stubGlobal('URL', Object.assign(URL, { createObjectURL: (file: Blob) => `blob:${files.push(file)}`, revokeObjectURL: () => undefined }));
        show(<UnsentPage />);
        fireEvent.click((await refused(/No\./)).getByRole('button', { name: 'Keep as a file' }));
        expect(JSON.parse(await files[0]!.text())).toMatchObject({
            not_accepted: 'No.',
            made_by: session.user.name,
            rounds: [{ id: ROUND, place_id: places[0]!.id }],
            marks: [{ id: 'a', round_id: ROUND, note: 'by the van' }],
        });
        expect(marksQueue.state().refused).toHaveLength(1);
    });

    it('of a withdrawal is sent as new or discarded: there is nothing to say otherwise', async () => {
        refuses = () => 'No.';
        marksQueue.add({ kind: 'mark', mark: mark('a', { withdrawn: true }) });
        show(<UnsentPage />);
        const line = await refused(/No\./);
        expect(line.queryByRole('button', { name: 'Put it right' })).toBeNull();
        fireEvent.click(line.getByRole('button', { name: 'Discard' }));
        await waitFor(() => expect(marksQueue.state().waiting).toEqual([]));
        expect(await screen.findByText('Everything is sent')).toBeTruthy();
    });
});
