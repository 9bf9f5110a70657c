/** People, letters, changes and privacy of a school, as the server answers. */

export interface Person {
    id: string;
    name: string;
    email: string;
    role: 'owner' | 'instructor';
    state: 'invited' | 'joined' | 'suspended';
    lessons_ahead: number;
    last_seen_at: string | null;
}

export interface People {
    people: Person[];
    /** Whether letters go by mail; otherwise they wait in the outbox. */
    mail: boolean;
}

export interface Letter {
    id: string;
    kind: 'invitation' | 'password';
    subject: string;
    to: { id: string; name: string; email: string };
    created_at: string;
    ends_at: string;
    /** Its link still lets somebody in. */
    opens: boolean;
    by_mail: boolean;
    body: string | null;
}

export interface LessonsAhead {
    learners: { id: string; name: string; lessons: number; next_at: string }[];
    clashes: { starts_at: string; learner: string; with: string }[];
}

export interface Change {
    id: string;
    at: string;
    by: string;
    what: 'added' | 'changed' | 'archived' | 'restored' | 'suspended' | 'let-in' | 'letter' | 'handed-over' | 'handed-out' | 'erased';
    kind: 'learner' | 'place' | 'car' | 'person' | 'school';
    subject_id: string;
    name: string;
    details: { fields?: string[]; lessons?: number; to?: string };
}

export interface Archived {
    id: string;
    name: string;
    at: string;
    by: string | null;
}
export type Archive = Record<'learners' | 'places' | 'vehicles', Archived[]>;

export interface Keeping {
    keep_months: number | null;
    keep_minors_months: number | null;
    coming: { id: string; name: string; is_minor: boolean; last_at: string; erased_on: string; keep_until: string | null }[];
}

export interface Device {
    id: string;
    /** The one this page is open on. */
    here: boolean;
    device: string;
    address: string | null;
    last_at: string;
}
