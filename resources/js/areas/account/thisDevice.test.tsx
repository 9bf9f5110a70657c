import { cleanup, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { hear } from '@/api/heard';
import { questions } from '@/api/questions';
import { lastAnswers } from '@/copies/here';
import { room } from '@/copies/room';
import { pageKeeper } from '@/copies/worker';
import { answer, server, show } from '@/testing/answers';
import { isoDay } from '@/session/session';
import { ThisDevice } from './ThisDevice';

const { school } = answer('session');
const said = async () => within(await screen.findByRole('region', { name: 'This device' }));
const kept = (times: [string, number][]) => vi.spyOn(lastAnswers, 'times').mockResolvedValue(new Map(times));

beforeEach(() => {
    server({});
    kept([]);
});
afterEach(() => {
    cleanup();
    pageKeeper.ready.set(false);
    room.set(null);
    hear({ status: 200, headers: new Headers({ Date: new Date().toUTCString() }) });
    vi.restoreAllMocks();
    vi.unstubAllGlobals();
});

describe('this device', () => {
    it('says that it is not ready yet, and where it never will be', async () => {
        vi.stubGlobal('isSecureContext', true);
        show(<ThisDevice />);
        expect((await said()).getByText(/^Not yet/)).toBeTruthy();
        cleanup();
        vi.stubGlobal('isSecureContext', false);
        show(<ThisDevice />);
        expect((await said()).getByText(/only at an address that begins with https/)).toBeTruthy();
    });

    it('says what opens without signal, how much is kept and as of when', async () => {
        pageKeeper.ready.set(true);
        const day = isoDay(new Date(), school.time_zone);
        kept([
            [JSON.stringify(questions.today(day).queryKey), Date.now()],
            ['["lesson","a"]', 1],
            ['["lesson","a","changed"]', 1],
            ['["lesson","b"]', 1],
        ]);
        show(<ThisDevice />);
        expect((await said()).getByText(/^The pages open/)).toBeTruthy();
        expect(await (await said()).findByText(/^2 lessons and what belongs to them, as of \d\d:\d\d\. Goes when you sign out/)).toBeTruthy();
    });

    it('says how much room is left and whether it may be cleared', async () => {
        room.set({ left: 3.2e9, promised: true });
        show(<ThisDevice />);
        expect((await said()).getByText('About 3 GB left. The browser keeps it until you sign out.')).toBeTruthy();
        cleanup();
        room.set({ left: 41e6, promised: false });
        show(<ThisDevice />);
        expect((await said()).getByText(/^About 41 MB left\. The browser may clear it/)).toBeTruthy();
    });

    it('says how far its clock is off', async () => {
        hear({ status: 200, headers: new Headers({ Date: new Date(Date.now() - 180 * 60_000).toUTCString() }) });
        show(<ThisDevice />);
        expect((await said()).getByText('3 hours fast: set it right.')).toBeTruthy();
    });
});
