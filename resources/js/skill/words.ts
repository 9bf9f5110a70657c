import type { HeldBackBy, SkillLevel } from '@/api/types';
import type { Conditions, RoutineCode, Rules } from '@/api/types';
import { STEP_WORDS } from '@/strip/words';

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

const IN_CONDITIONS: Record<string, string> = {
    moderate: 'with some traffic about',
    busy: 'in busy traffic',
    dusk: 'at dusk',
    night: 'at night',
    wet: 'in the wet',
    ice: 'on ice',
    rural: 'on country roads',
    dual: 'on dual carriageways',
    motorway: 'on motorways',
};

const inWord = (kind: keyof Conditions, said: string): string =>
    kind === 'traffic' && said === 'moderate' ? 'some traffic' : (CONDITIONS[kind].names[said] ?? said);

/** Conditions in a few words; empty where nothing was noted. */
export const noted = (conditions: Conditions): string =>
    KINDS.flatMap((kind) => {
        const said = conditions[kind];
        return said ? [inWord(kind, said)] : [];
    }).join(' · ');

export const percent = (chance: number): number => Math.round(chance * 100);

/** What holds back, as a heading. */
export function heldBackBy(one: HeldBackBy, name: (code: RoutineCode) => string, { routines }: Pick<Rules, 'routines'>): string {
    if (one.condition) return `Driving ${IN_CONDITIONS[one.condition] ?? one.condition}`;
    if (!one.step) return `${name(one.routine!)}, all steps`;
    const section = routines.find((routine) => routine.section === one.section)?.section_title ?? one.section;
    return `${STEP_WORDS[one.step]}${section ? `, ${section.toLowerCase()}` : ', everywhere'}`;
}

/** The first few to name: what holds back the same step in a narrower or wider place says nothing new. */
export function mostOf(found: readonly HeldBackBy[], many: number): HeldBackBy[] {
    return found.filter((one, i) => one.step === null || found.findIndex((other) => other.step === one.step) === i).slice(0, many);
}

/** Days as somebody says them. */
export function ago(days: number): string {
    if (days < 14) return `${days} days`;
    return days < 70 ? `${Math.round(days / 7)} weeks` : `${Math.round(days / 30)} months`;
}
