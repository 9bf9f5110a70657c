import type { Conditions, HeldBackBy, SkillLevel } from '@/api/types';

export const LEVEL_WORDS: Record<SkillLevel, string> = {
    'not-yet': 'not yet',
    seldom: 'now and then',
    'half-the-time': 'about half the time',
    mostly: 'mostly',
    'nearly-always': 'nearly always',
};

/** What may be noted of a round, kind by kind. */
export const CONDITIONS: Record<keyof Conditions, { title: string; names: Record<string, string> }> = {
    traffic: { title: 'Traffic', names: { quiet: 'quiet', moderate: 'some', busy: 'busy' } },
    light: { title: 'Light', names: { day: 'day', dusk: 'dusk', night: 'night' } },
    surface: { title: 'Road surface', names: { dry: 'dry', wet: 'wet', ice: 'ice' } },
    road: { title: 'Kind of road', names: { residential: 'residential', town: 'town', rural: 'country', dual: 'dual carriageway', motorway: 'motorway' } },
};

export const KINDS = Object.keys(CONDITIONS) as (keyof Conditions)[];

const inWord = (kind: keyof Conditions, said: string): string =>
    kind === 'traffic' && said === 'moderate' ? 'some traffic' : (CONDITIONS[kind].names[said] ?? said);

/** Conditions in a few words; empty where nothing was noted. */
export const noted = (conditions: Conditions): string =>
    KINDS.flatMap((kind) => {
        const said = conditions[kind];
        return said ? [inWord(kind, said)] : [];
    }).join(' · ');

export const percent = (chance: number): number => Math.round(chance * 100);

/** What is believed of something done alone: how often, and from where to where it may be. */
interface Believed {
    estimate: number;
    low: number;
    high: number;
}

/** A range as wide as this says little yet. */
const WIDE = 0.35;

/** A chance as somebody says it. */
export function times(chance: number): string {
    const tenths = Math.round(chance * 10);
    if (tenths === 0) return 'hardly ever';
    if (tenths === 10) return 'nearly every time';
    if (tenths === 5) return 'about half the time';
    return tenths === 1 ? 'about once in 10' : `about ${tenths} times in 10`;
}

/** The same in the room of a square. */
export const inTen = (chance: number): string => `${Math.round(chance * 10)} in 10`;

export const isUncertain = ({ low, high }: Pick<Believed, 'low' | 'high'>): boolean => high - low > WIDE;

/** "about 4 times in 10, not certain yet". */
export const timesSurely = (believed: Believed): string => `${times(believed.estimate)}${isUncertain(believed) ? ', not certain yet' : ''}`;

/** The exact figures, one press further in. */
export const exactly = ({ estimate, low, high }: Believed): string => `${percent(estimate)} %, between ${percent(low)} % and ${percent(high)} %`;

/** The first few to name: what holds back the same step in a narrower or wider place says nothing new. */
export function mostOf(found: readonly HeldBackBy[], many: number): HeldBackBy[] {
    return found.filter((one, i) => one.step === null || found.findIndex((other) => other.step === one.step) === i).slice(0, many);
}

/** Days as somebody says them. */
export function ago(days: number): string {
    if (days < 14) return `${days} days`;
    return days < 70 ? `${Math.round(days / 7)} weeks` : `${Math.round(days / 30)} months`;
}
