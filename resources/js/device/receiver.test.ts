import { afterEach, describe, expect, it, vi } from 'vitest';
import { hasReceiver, NoFix, simulated, whereAmI } from './receiver';

const HARBOUR = { latitude_deg: 49.2, longitude_deg: -8.1, accuracy_m: 8 };

/** A browser's receiver that answers like this. */
function receiver(answer: (found: PositionCallback, failed: PositionErrorCallback) => void) {
    vi.stubGlobal('navigator', { geolocation: { getCurrentPosition: answer } });
}

afterEach(() => {
    simulated.set(null);
    vi.unstubAllGlobals();
});

describe('where this device is', () => {
    it('asks the receiver of the device, and keeps a tenth of a metre', async () => {
        receiver((found) => found({ coords: { latitude: 49.20314159, longitude: -8.10271828, accuracy: 4.2 } } as GeolocationPosition));
        expect(await whereAmI()).toEqual({ latitude_deg: 49.203142, longitude_deg: -8.102718, accuracy_m: 4.2 });
    });

    it.each([
        [1, 'allow it'],
        [2, 'open sky'],
        [3, 'too long'],
        [99, 'open sky'],
    ])('says in a sentence why it finds nothing: %s', async (code, words) => {
        receiver((_, failed) => failed({ code } as GeolocationPositionError));
        await expect(whereAmI()).rejects.toThrow(NoFix);
        await expect(whereAmI()).rejects.toThrow(words);
    });

    it('plays one where it is told to: around the place it is told, never farther off than it says', async () => {
        receiver(() => expect.unreachable('asked the device'));
        simulated.set(HARBOUR);
        const readings = await Promise.all(Array.from({ length: 30 }, whereAmI));
        expect(readings[0]).toEqual(HARBOUR);
        for (const { latitude_deg, longitude_deg } of readings) {
            const north = (latitude_deg - HARBOUR.latitude_deg) * 111_200;
            const east = (longitude_deg - HARBOUR.longitude_deg) * 111_200 * Math.cos((49.2 * Math.PI) / 180);
            expect(Math.hypot(north, east)).toBeLessThan(8.1);
        }
        expect(new Set(readings.map(({ latitude_deg }) => latitude_deg)).size).toBeGreaterThan(20);
    });

    it('is remembered on this device, and a spoilt memory is none', async () => {
        simulated.set(HARBOUR);
        expect(JSON.parse(localStorage.getItem('noble-turn.receiver')!)).toEqual(HARBOUR);
        for (const spoilt of ['{', '{"latitude_deg":"x"}', '[]']) {
            localStorage.setItem('noble-turn.receiver', spoilt);
            vi.resetModules();
            const again = await import('./receiver');
            expect(again.simulated.get(), spoilt).toBeNull();
        }
    });

    it('knows whether there is anything to ask', () => {
        vi.stubGlobal('navigator', {});
        expect(hasReceiver()).toBe(false);
        simulated.set(HARBOUR);
        expect(hasReceiver()).toBe(true);
    });
});
