import { IDBFactory } from 'fake-indexeddb';
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { BrowserCopies, type Copy } from './store';

const copy = (owner: string, question: string, at: number): Copy => ({ owner, question, form: 'one', at, data: { said: question } });

beforeEach(() => {
    globalThis.indexedDB = new IDBFactory();
});

describe('copies in the browser', () => {
    it('are found by whose they are and what was asked, the newest of each', async () => {
        const copies = new BrowserCopies();
        await copies.put(copy('ann', '["places"]', 1));
        await copies.put(copy('ann', '["places"]', 5));
        await copies.put(copy('ann', '["learners"]', 3));
        await copies.put(copy('ben', '["places"]', 4));
        expect((await copies.get('ann', '["places"]'))!.at).toBe(5);
        expect(await copies.get('ann', '["rules"]')).toBeUndefined();
        expect(await copies.times('ann')).toEqual(
            new Map([
                ['["learners"]', 3],
                ['["places"]', 5],
            ]),
        );
        expect(await copies.times('cat')).toEqual(new Map());
    });

    it('of one kind are kept no more than so many, the newest, and no others are touched', async () => {
        const copies = new BrowserCopies();
        for (const at of [3, 1, 5, 2, 4]) await copies.put(copy('ann', `["sweep",${at}]`, at));
        await copies.put(copy('ann', '["places"]', 0));
        await copies.put(copy('ben', '["sweep",1]', 0));
        await copies.keepNewest('ann', '["sweep"', 2);
        expect([...(await copies.times('ann')).keys()].sort()).toEqual(['["places"]', '["sweep",4]', '["sweep",5]']);
        expect((await copies.times('ben')).size).toBe(1);
    });

    it('of all others go, and what is too old of one’s own', async () => {
        const copies = new BrowserCopies();
        for (const owner of ['ann', 'annie', 'ben', 'device']) for (const at of [1, 2, 3]) await copies.put(copy(owner, `q${at}`, at));
        await copies.keepOnly('ann', 2);
        expect([...(await copies.times('ann')).keys()]).toEqual(['q2', 'q3']);
        for (const owner of ['annie', 'ben', 'device']) expect(await copies.times(owner)).toEqual(new Map());
        await copies.keepOnly(null, 0);
        expect(await copies.times('ann')).toEqual(new Map());
    });
});
