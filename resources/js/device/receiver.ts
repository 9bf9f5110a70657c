import { Noticed } from '@/api/noticed';

/** Where the receiver finds itself: degrees, and within how many metres it is sure of it. */
export interface Fix {
    latitude_deg: number;
    longitude_deg: number;
    accuracy_m: number;
}

/** A sentence for whoever asked. */
export class NoFix extends Error {}

/** How finely a position is kept: a tenth of a metre, degrees. */
const FINE = 6;

/** Longer than this nobody waits at a line for a receiver, ms (assumed). */
const PATIENCE = 15_000;

/** One degree of latitude, m. */
const DEGREE_M = 111_200;

const STORED = 'noble-turn.receiver';

const REFUSED: Record<number, string> = {
    1: 'This device may not tell where it is: allow it, or type the position.',
    2: 'The receiver finds no position here: try again under the open sky, or type it.',
    3: 'The receiver took too long: try again, or type the position.',
};

const fine = (degrees: number): number => Number(degrees.toFixed(FINE));

const isFix = (said: unknown): said is Fix =>
    typeof said === 'object' && said !== null && ['latitude_deg', 'longitude_deg', 'accuracy_m'].every((name) => Number.isFinite((said as never)[name]));

function stored(): Fix | null {
    try {
        const said: unknown = JSON.parse(localStorage.getItem(STORED) ?? 'null');
        return isFix(said) ? said : null;
    } catch {
        return null;
    }
}

let readings = 0;

/** A receiver that only plays one: it finds itself where it is told, as unsurely as it is told. Null where the device has its own. */
class Simulated extends Noticed<Fix | null> {
    override set(fix: Fix | null): void {
        if (fix) localStorage.setItem(STORED, JSON.stringify(fix));
        else localStorage.removeItem(STORED);
        readings = 0;
        super.set(fix);
    }
}

export const simulated = new Simulated(stored());

/** Readings lie around the true place, each somewhere else: round by the golden angle, always within what it is sure of. */
function reading({ latitude_deg, longitude_deg, accuracy_m }: Fix): Fix {
    const turn = readings * Math.PI * (3 - Math.sqrt(5));
    const off = (accuracy_m / DEGREE_M) * ((readings % 7) / 7);
    readings += 1;
    return {
        latitude_deg: fine(latitude_deg + off * Math.cos(turn)),
        longitude_deg: fine(longitude_deg + (off * Math.sin(turn)) / Math.cos((latitude_deg * Math.PI) / 180)),
        accuracy_m,
    };
}

export const hasReceiver = (): boolean => simulated.get() !== null || 'geolocation' in navigator;

/** Where this device is now; nothing of it leaves the installation. */
export function whereAmI(): Promise<Fix> {
    const played = simulated.get();
    if (played) return Promise.resolve(reading(played));
    return new Promise((found, failed) =>
        navigator.geolocation.getCurrentPosition(
            ({ coords }) => found({ latitude_deg: fine(coords.latitude), longitude_deg: fine(coords.longitude), accuracy_m: coords.accuracy }),
            ({ code }) => failed(new NoFix(REFUSED[code] ?? REFUSED[2]!)),
            { enableHighAccuracy: true, timeout: PATIENCE, maximumAge: 0 },
        ),
    );
}
