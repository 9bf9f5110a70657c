import type { Level, Outcome, Taught } from './types';
import type { RoutineCode, Step } from './rules';

/** Everything kept of one learner: docs/schemas/learner-data.json. */
export interface LearnerData {
    format: 'noble-turn-learner-data/1';
    made_at: string;
    school: string;
    learner: {
        id: string;
        name: string;
        phone: string | null;
        email: string | null;
        pick_up: string | null;
        transmission: 'manual' | 'automatic';
        level: Level;
        is_minor: boolean;
        guardian_name: string | null;
        guardian_contact: string | null;
        guardian_consent_on: string | null;
        licence_seen_on: string | null;
        eyesight_checked_on: string | null;
        reference_points: { what: string; where: string }[];
        kept_since: string | null;
        keep_until: string | null;
    };
    lessons: {
        id: string;
        starts_at: string;
        minutes: number;
        state: 'planned' | 'done' | 'cancelled';
        aim: string | null;
        went_well: string | null;
        worked_on: string | null;
        instructor: string;
        car: string;
        own_ratings: Partial<Record<Step, Outcome>>;
        planned: { place: string; routine: RoutineCode; minutes: number }[];
        rounds: {
            id: string;
            place: string;
            routine: RoutineCode;
            conditions: Record<string, string>;
            began_at: string;
            marks: {
                id: string;
                kind: 'step' | 'held-back-rightly' | 'taught' | 'moment' | 'conditions';
                step: Step | null;
                outcome: Outcome | null;
                taught: Taught | null;
                out_of_order: boolean;
                note: string | null;
                corrects_id: string | null;
                withdrawn: boolean;
                pressed_at: string;
            }[];
        }[];
    }[];
    promises: { id: string; lesson_id: string; kind: 'promise' | 'homework'; text: string; kept_at: string | null }[];
    overrulings: { routine: RoutineCode; step: Step; level: string; reason: string; by: string; at: string; withdrawn_at: string | null }[];
    drawings: { lesson_id: string; title: string }[];
    changes: { at: string; by: string; what: string; fields: string[] }[];
}
