import { api, at, Problem } from '@/api/client';
import type { Lesson, LessonItem, Promised, RoutineCode, Step } from '@/api/types';

/** What is written on a lesson beside the marks, in a form that can wait for signal: how it changes what is shown, and how it is sent. */
export type Written =
    | { kind: 'facts'; facts: Facts }
    | { kind: 'promise' | 'promise-off' | 'promise-back' | 'promise-kept'; promise: Promised }
    | { kind: 'remedy' | 'remedy-off'; remedy: Remedy }
    | { kind: 'order'; items: string[] }
    | { kind: 'minutes'; item: string; minutes: number }
    | { kind: 'item-off' | 'item-back'; item: LessonItem };

export type Facts = Partial<
    Pick<Lesson, 'aim' | 'state' | 'went_well' | 'worked_on' | 'self_rating' | 'brief_minutes' | 'debrief_minutes'> & {
        aim_routine: RoutineCode | null;
        aim_step: Step | null;
    }
>;
type Remedy = Lesson['remedies'][number];

const isOf = (one: Remedy, other: Remedy): boolean => one.what === other.what && one.step === other.step && one.fault === other.fault;

/** The lesson as it will be when that has arrived. Doing it twice changes nothing more. */
export function withWritten(lesson: Lesson, written: Written): Lesson {
    switch (written.kind) {
        case 'facts': {
            const { aim_routine, aim_step, ...facts } = written.facts;
            const works = { routine: lesson.works_on?.routine ?? null, step: lesson.works_on?.step ?? null };
            const said = { ...works, ...(aim_routine === undefined ? {} : { routine: aim_routine }), ...(aim_step === undefined ? {} : { step: aim_step }) };
            return { ...lesson, ...facts, works_on: said.routine || said.step ? said : null };
        }
        case 'promise':
        case 'promise-back':
            return { ...lesson, promises: [...lesson.promises.filter(({ id }) => id !== written.promise.id), written.promise] };
        case 'promise-off':
            return { ...lesson, promises: lesson.promises.filter(({ id }) => id !== written.promise.id) };
        case 'promise-kept':
            return { ...lesson, promised_before: lesson.promised_before.filter(({ id }) => id !== written.promise.id) };
        case 'remedy':
            return { ...lesson, remedies: [...lesson.remedies.filter((one) => !isOf(one, written.remedy)), written.remedy] };
        case 'remedy-off':
            return { ...lesson, remedies: lesson.remedies.filter((one) => !isOf(one, written.remedy)) };
        case 'order': {
            const place = (item: LessonItem) => {
                const at = written.items.indexOf(item.id);
                return at < 0 ? written.items.length : at;
            };
            return { ...lesson, items: [...lesson.items].sort((a, b) => place(a) - place(b)) };
        }
        case 'minutes':
            return { ...lesson, items: lesson.items.map((item) => (item.id === written.item ? { ...item, minutes: written.minutes } : item)) };
        case 'item-off':
            return { ...lesson, items: lesson.items.filter(({ id }) => id !== written.item.id) };
        case 'item-back':
            return { ...lesson, items: lesson.items.some(({ id }) => id === written.item.id) ? lesson.items : [...lesson.items, written.item] };
    }
}

/** What is taken off twice is off. */
const off = (asked: Promise<unknown>): Promise<unknown> =>
    asked.catch((error: unknown) => (error instanceof Problem && error.status === 404 ? undefined : Promise.reject(error as Error)));

/** Tells the server. Sent once more it changes nothing more. */
export async function sendWritten(lesson: string, written: Written): Promise<unknown> {
    switch (written.kind) {
        case 'facts':
            return api.PATCH('/lessons/{lesson}', { ...at({ lesson }), body: written.facts });
        case 'promise': {
            const { id, kind, text, routine, step } = written.promise;
            return api.POST('/lessons/{lesson}/promises', { ...at({ lesson }), body: { id, kind, text, routine, step } });
        }
        case 'promise-off':
            return off(api.DELETE('/promises/{promise}', at({ promise: written.promise.id })));
        case 'promise-back':
            return api.POST('/promises/{promise}/restore', at({ promise: written.promise.id }));
        case 'promise-kept':
            return api.PATCH('/promises/{promise}', { ...at({ promise: written.promise.id }), body: { kept: true } });
        case 'remedy': {
            const { routine, step, fault, what } = written.remedy;
            return api.POST('/lessons/{lesson}/remedies', { ...at({ lesson }), body: { routine, step, fault, what } });
        }
        case 'remedy-off': {
            // Given without signal, it had no number yet when it was taken off.
            const { remedies } = await api.GET('/lessons/{lesson}', at({ lesson }));
            const given = remedies.find((one) => isOf(one, written.remedy));
            return given && off(api.DELETE('/remedies/{remedy}', at({ remedy: given.id })));
        }
        case 'order':
            return api.PUT('/lessons/{lesson}/order', { ...at({ lesson }), body: { items: written.items } });
        case 'minutes':
            return api.PATCH('/items/{item}', { ...at({ item: written.item }), body: { minutes: written.minutes } });
        case 'item-off':
            return off(api.DELETE('/items/{item}', at({ item: written.item.id })));
        case 'item-back':
            return api.POST('/items/{item}/restore', at({ item: written.item.id }));
    }
}

/** What it is, for a list of what waits. */
export function wordsOf(written: Written): string {
    switch (written.kind) {
        case 'facts':
            return factWords(written.facts);
        case 'promise':
            return `Agreed: ${written.promise.text}`;
        case 'promise-off':
            return `Taken off: ${written.promise.text}`;
        case 'promise-back':
            return `Put back: ${written.promise.text}`;
        case 'promise-kept':
            return `Done: ${written.promise.text}`;
        case 'remedy':
            return `A ${written.remedy.what} given`;
        case 'remedy-off':
            return `A ${written.remedy.what} not given after all`;
        case 'order':
            return 'The order of the places';
        case 'minutes':
            return `${written.minutes} minutes for a place`;
        case 'item-off':
            return `Off the plan: ${written.item.place.name}`;
        case 'item-back':
            return `Back on the plan: ${written.item.place.name}`;
    }
}

function factWords({ aim, state, went_well, worked_on, self_rating, brief_minutes, debrief_minutes }: Facts): string {
    if (aim !== undefined) return `The aim: ${aim ?? 'none'}`;
    if (state !== undefined) return state === 'done' ? 'The lesson closed' : 'The lesson opened again';
    if (went_well !== undefined) return `Went well: ${went_well ?? 'nothing said'}`;
    if (worked_on !== undefined) return `To improve: ${worked_on ?? 'nothing said'}`;
    if (self_rating !== undefined) return 'How the learner rates it';
    if (brief_minutes !== undefined || debrief_minutes !== undefined) return 'Minutes for talking';
    return 'What the aim works on';
}
