import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '@/api/client';
import { lastAnswers } from '@/copies/here';
import { settled, signOut, whoIsIn } from './signOut';

const answering = (...answers: (Response | Error)[]) => {
    const asked: string[] = [];
    vi.stubGlobal('fetch', (request: Request) => {
        asked.push(`${request.method} ${new URL(request.url).pathname}`);
        const next = answers.shift();
        return next instanceof Error || !next ? Promise.reject(new TypeError('no signal')) : Promise.resolve(next);
    });
    return asked;
};
const gone = () => new Response(null, { status: 204 });
const json = (body: object, status = 200) => new Response(JSON.stringify(body), { status });

let forgotten = 0;
beforeEach(() => {
    forgotten = 0;
    vi.spyOn(lastAnswers, 'forget').mockImplementation(() => {
        forgotten++;
        return Promise.resolve();
    });
});
afterEach(() => {
    vi.restoreAllMocks();
    vi.unstubAllGlobals();
    settled();
});

describe('signing out', () => {
    it('with signal tells the server, and leaves nothing here', async () => {
        const asked = answering(gone(), json({ user: { id: 'ann' } }));
        await signOut(false);
        expect([asked, forgotten]).toEqual([['DELETE /api/session'], 1]);
        // Nothing is owed: who is signed in is the server's to say.
        expect(await whoIsIn()).toEqual({ user: { id: 'ann' } });
        expect(asked[1]).toBe('GET /api/session');
    });

    it('without signal counts at once, and the server hears of it before it is asked anything', async () => {
        answering(new Error());
        await signOut(false);
        expect(forgotten).toBe(1);
        answering(new Error());
        expect(await whoIsIn()).toMatchObject({ user: null });
        const asked = answering(gone(), json({ user: null, first_run: false, packs: [] }));
        expect(await whoIsIn()).toMatchObject({ user: null });
        expect(asked).toEqual(['DELETE /api/session', 'GET /api/session']);
        expect(answering(json({ user: null }))).toEqual([]);
        await whoIsIn();
    });

    it('counts from the press, though the page is closed before the server has answered', async () => {
        const unanswered = vi.fn(() => new Promise(() => undefined));
        vi.stubGlobal('fetch', unanswered);
        void signOut(false);
        await vi.waitFor(() => expect(unanswered).toHaveBeenCalledOnce());
        // The page that opens next, whether the first word arrived or not.
        const asked = answering(json({ message: 'Unauthenticated.' }, 401), json({ user: null, first_run: false, packs: [] }));
        expect(await whoIsIn()).toMatchObject({ user: null });
        expect([asked, forgotten]).toEqual([['DELETE /api/session', 'GET /api/session'], 2]);
    });

    it('leaves the person signed in, and says so, where the server can do nothing', async () => {
        answering(json({ message: 'Broken.' }, 500));
        await expect(signOut(false)).rejects.toBeInstanceOf(Problem);
        const asked = answering(json({ user: { id: 'ann' } }));
        expect(await whoIsIn()).toEqual({ user: { id: 'ann' } });
        expect(asked).toEqual(['GET /api/session']);
    });

    it('is settled where the session had ended by itself, or somebody has signed in since', async () => {
        answering(new Error());
        await signOut(false);
        const ended = answering(json({ message: 'Unauthenticated.' }, 401), json({ user: null }), json({ user: null }));
        await whoIsIn();
        await whoIsIn();
        expect(ended).toEqual(['DELETE /api/session', 'GET /api/session', 'GET /api/session']);
        answering(new Error());
        await signOut(false);
        settled();
        const asked = answering(json({ user: { id: 'ben' } }));
        expect(await whoIsIn()).toEqual({ user: { id: 'ben' } });
        expect(asked).toEqual(['GET /api/session']);
    });

    it('everywhere asks for signal, and leaves everything as it was where there is none', async () => {
        answering(new Error());
        await expect(signOut(true)).rejects.toBeInstanceOf(Problem);
        expect(forgotten).toBe(0);
        const asked = answering(gone());
        await signOut(true);
        expect([asked, forgotten]).toEqual([['DELETE /api/sessions'], 1]);
    });
});
