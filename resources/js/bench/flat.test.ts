import { describe, expect, it } from 'vitest';
import { flat } from './flat';

describe('plain state in an address', () => {
    const { read: from, write } = flat<{ speed: number; car: string; wet: boolean }>({ speed: 30, car: 'hatch', wet: false });

    it('comes back as it was written', () => {
        for (const state of [
            { speed: 12.5, car: 'a b&c=d', wet: true },
            { speed: -3, car: '', wet: false },
        ])
            expect(from(new URLSearchParams(write(state).toString()))).toEqual(state);
    });

    it('keeps the default for what cannot be read', () => {
        expect(from(new URLSearchParams('speed=fast&wet=maybe&other=1'))).toEqual({ speed: 30, car: 'hatch', wet: false });
        expect(from(new URLSearchParams('speed='))).toEqual({ speed: 30, car: 'hatch', wet: false });
        expect(from(new URLSearchParams('speed=Infinity'))).toEqual({ speed: 30, car: 'hatch', wet: false });
    });
});
