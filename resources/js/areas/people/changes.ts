import type { Archive, Change } from '@/api/types';

const KINDS: Record<Change['kind'], string> = {
    learner: 'the learner',
    place: 'the place',
    site: 'the site',
    car: 'the car',
    person: '',
    school: 'the school',
    circuit: 'the circuit',
    centre: 'the test centre',
};

/** What the server puts in the place of a name. */
const ERASED = 'Erased learner';

const FIELDS: Record<string, string> = {
    name: 'name',
    email: 'email',
    password: 'password',
    role: 'role',
    phone: 'telephone',
    pick_up: 'pick-up',
    pick_up_latitude_deg: 'where the pick-up lies',
    pick_up_longitude_deg: 'where the pick-up lies',
    latitude_deg: 'where it lies',
    centre_id: 'the centre it is a route of',
    shared: 'whether it is shared',
    rehearsal: 'whether it is a rehearsal',
    checks: 'what is asked at the car',
    ways_in_and_out: 'ways in and out',
    longitude_deg: 'where it lies',
    licence_seen_on: 'licence',
    eyesight_checked_on: 'eyesight',
    transmission: 'transmission',
    level: 'level',
    is_minor: 'whether a minor',
    guardian_name: 'guardian',
    guardian_contact: 'guardian’s contact',
    guardian_consent_on: 'guardian’s consent',
    reference_points: 'reference points',
    pack: 'rules',
    practice: 'teaching choices',
    keep_until: 'how long they are kept',
    keep_months: 'how long learners are kept',
    keep_minors_months: 'how long minors are kept',
    routine: 'routine',
    road: 'measurements',
    // As it was called before.
    approach: 'measurements',
    note: 'note',
    controls: 'controls',
    length_m: 'length',
    width_m: 'width',
    figures: 'figures',
};

/** What somebody did, in a sentence that begins with their name. */
export function said({ by, what, kind, name, details }: Change): string {
    // Whoever was erased is not named by what was done before either.
    const whom = name === ERASED ? 'a learner who is erased' : [KINDS[kind], name].filter(Boolean).join(' ');
    switch (what) {
        case 'added':
            return kind === 'person' ? `${by} invited ${name}.` : `${by} added ${whom}.`;
        case 'changed':
            return `${by} changed ${whom}: ${[...new Set((details.fields ?? []).map((field) => FIELDS[field] ?? field.replaceAll('_', ' ')))].join(', ')}.`;
        case 'archived':
            return `${by} archived ${whom}.`;
        case 'restored':
            return `${by} brought ${whom} back.`;
        case 'suspended':
            return `${by} suspended ${name}.`;
        case 'let-in':
            return `${by} let ${name} in again.`;
        case 'letter':
            return `${by} had a letter written to ${name}.`;
        case 'handed-over':
            return `${by} handed ${details.lessons} of ${name}’s lessons over to ${details.to}.`;
        case 'handed-out':
            return `${by} took out everything kept of ${whom}.`;
        case 'erased':
            return `${by} erased a learner.`;
    }
}

/** Changes, latest first, by the day they were made on. */
export function byDay(changes: Change[], day: (moment: string) => string): { day: string; changes: Change[] }[] {
    const days: { day: string; changes: Change[] }[] = [];
    for (const change of changes) {
        const name = day(change.at);
        const last = days[days.length - 1];
        if (last?.day === name) last.changes.push(change);
        else days.push({ day: name, changes: [change] });
    }
    return days;
}

/** Where what was archived is listed, by kind; a person or a school is never archived. */
export const LISTS: Partial<Record<Change['kind'], keyof Archive>> = {
    learner: 'learners',
    place: 'places',
    site: 'sites',
    car: 'vehicles',
    circuit: 'circuits',
    centre: 'centres',
};

/** Ids of the changes that can be taken back: a thing was archived, and nothing has happened to it since. Latest first. */
export function takenBack(changes: Change[]): Set<string> {
    const seen = new Set<string>();
    const open = new Set<string>();
    for (const change of changes) {
        if (!['archived', 'restored', 'erased'].includes(change.what) || seen.has(change.subject_id)) continue;
        seen.add(change.subject_id);
        if (change.what === 'archived' && LISTS[change.kind]) open.add(change.id);
    }
    return open;
}
