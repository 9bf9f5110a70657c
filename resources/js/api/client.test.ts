import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, at, belongTo, Problem, whenSomebodyElse } from './client';
import { compute, sweep } from './tools';

/** Answers given one after the other, and what was asked for them. */
function answering(...answers: (Response | Error)[]) {
    const asked: { method: string; url: string; headers: Headers; body: string }[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
        asked.push({
            method: request.method,
            url: new URL(request.url).pathname + new URL(request.url).search,
            headers: request.headers,
            body: await request.text(),
        });
        const next = answers.shift();
        if (next instanceof Error) throw next;
        return next ?? new Response(null, { status: 204 });
    });
    return asked;
}
const json = (body: object, status = 200) => new Response(JSON.stringify(body), { status });
const problem = async (asked: Promise<unknown>): Promise<Problem> => {
    try {
        await asked;
    } catch (error) {
        return error as Problem;
    }
    throw new Error('nothing was thrown');
};

afterEach(() => {
    vi.unstubAllGlobals();
    belongTo('');
    document.cookie = 'XSRF-TOKEN=; max-age=0';
});

describe('the door to the server', () => {
    it('puts ids into the address, questions behind it and what is said into the body', async () => {
        const asked = answering(json([]), json({ id: 'x' }, 201));
        await api.GET('/learners/{learner}/marks', { params: { path: { learner: 'l 1' }, query: { step: 'look', routine: undefined } } });
        await api.POST('/lessons/{lesson}/items', { ...at({ lesson: 'a' }), body: { place_id: 'p' } });
        expect(asked.map(({ method, url, body }) => [method, url, body])).toEqual([
            ['GET', '/api/learners/l%201/marks?step=look', ''],
            ['POST', '/api/lessons/a/items', '{"place_id":"p"}'],
        ]);
    });

    it('says with everything whose page it is, and sends the token of its cookie back', async () => {
        document.cookie = 'XSRF-TOKEN=a%3Db';
        belongTo('me');
        const asked = answering(json([]));
        await api.GET('/vehicles');
        expect([asked[0]!.headers.get('X-XSRF-TOKEN'), asked[0]!.headers.get('X-Signed-In-As'), asked[0]!.headers.get('Accept')]).toEqual([
            'a=b',
            'me',
            'application/json',
        ]);
    });

    it('answers with nothing where there is nothing', async () => {
        answering(new Response(null, { status: 204 }));
        expect(await api.DELETE('/items/{item}', at({ item: 'i' }))).toBeUndefined();
    });

    it('fetches a new token where the old one ran out, and says the same again, body and all', async () => {
        const asked = answering(json({}, 419), json({ user: null, first_run: false }), json({ id: 'p' }, 201));
        await api.POST('/lessons/{lesson}/promises', { ...at({ lesson: 'a' }), body: { kind: 'promise', text: 'mirrors' } });
        expect(asked.map(({ method, url, body }) => [method, url, body])).toEqual([
            ['POST', '/api/lessons/a/promises', '{"kind":"promise","text":"mirrors"}'],
            ['GET', '/api/session', ''],
            ['POST', '/api/lessons/a/promises', '{"kind":"promise","text":"mirrors"}'],
        ]);
    });

    it('throws what is wrong as one kind of error, with the fields', async () => {
        answering(json({ message: 'It is not so.', errors: { name: ['is missing.'] } }, 422));
        const wrong = await problem(api.POST('/places', { body: { name: '', routine: 'hump', road: {} } }));
        expect([wrong instanceof Problem, wrong.status, wrong.message, wrong.errors, wrong.isOutOfReach]).toEqual([
            true,
            422,
            'It is not so.',
            { name: ['is missing.'] },
            false,
        ]);
    });

    it.each([
        ['no signal', new Error('down'), 0],
        ['a gateway', new Response('<html>', { status: 502 }), 502],
    ])('knows %s from a refusal', async (_, answer, status) => {
        answering(answer);
        const wrong = await problem(api.GET('/today'));
        expect([wrong.status, wrong.isOutOfReach]).toEqual([status, true]);
    });

    it('tells the page where somebody else has signed in meanwhile', async () => {
        const told = vi.fn();
        whenSomebodyElse(told);
        answering(json({ message: 'Somebody else.' }, 409));
        expect((await problem(api.GET('/today'))).status).toBe(409);
        expect(told).toHaveBeenCalledOnce();
    });
});

describe('the tools', () => {
    it('are asked at their own address', async () => {
        const asked = answering(json({ tool: 'stopping', total_m: 23 }));
        expect(await compute('stopping', { speed_mph: 30 })).toEqual({ tool: 'stopping', total_m: 23 });
        expect([asked[0]!.url, asked[0]!.body]).toEqual(['/api/compute/stopping', '{"speed_mph":30}']);
    });

    it('are asked for a range once, folded, and answered whole', async () => {
        const asked = answering(
            json({
                common: { tool: 'stopping', pack: 'gb' },
                answers: [
                    { at: 20, total_m: 12 },
                    { at: 30, total_m: 23 },
                ],
            }),
        );
        expect(await sweep('stopping', { pack: 'gb' }, { field: 'speed_mph', from: 20, to: 30, step: 10 })).toEqual([
            { tool: 'stopping', pack: 'gb', at: 20, total_m: 12 },
            { tool: 'stopping', pack: 'gb', at: 30, total_m: 23 },
        ]);
        expect(JSON.parse(asked[0]!.body)).toEqual({ pack: 'gb', sweep: { field: 'speed_mph', from: 20, to: 30, step: 10, folded: true } });
    });
});
