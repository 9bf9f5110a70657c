import type { Effect, Fault, Lesson, LessonItem, Round, RoutineLine, Step } from '@/api/types';
import { uuid7 } from '@/queue/uuid';
import { drivenAt } from '@/rules/rules';

/** A fault as it was pressed while driving, and what was told of it at the kerb. */
export interface MockFault {
    id: string;
    step: Step;
    /** The way on which it was; null where it was on none of the plan. */
    way: string | null;
    at: string;
    fault: Fault | null;
    /** Null until it is told. */
    effect: Effect | null;
}

/** A way of the plan that was driven to. */
export interface MockWay {
    id: string;
    /** Of the plan. */
    item: string;
    at: string;
}

/** A mock test on its way: driving, told at the kerb, sent. On the device until the server has it. */
export interface MockTest {
    id: string;
    began_at: string;
    /** Null while it is driven. */
    parked_at: string | null;
    ways: MockWay[];
    faults: MockFault[];
    note: string;
}

const now = (at: Date): string => at.toISOString();

export function begun(lesson: Pick<Lesson, 'items'>, at = new Date()): MockTest {
    const test: MockTest = { id: uuid7(), began_at: now(at), parked_at: null, ways: [], faults: [], note: '' };
    const first = lesson.items[0];
    return first ? droveTo(test, first.id, at) : test;
}

export const droveTo = (test: MockTest, item: string, at = new Date()): MockTest => ({ ...test, ways: [...test.ways, { id: uuid7(), item, at: now(at) }] });

/** One press while driving: which step it was of, on the way that was driven to last. */
export const pressed = (test: MockTest, step: Step, at = new Date()): MockTest => ({
    ...test,
    faults: [...test.faults, { id: uuid7(), step, way: test.ways.at(-1)?.id ?? null, at: now(at), fault: null, effect: null }],
});

/** The last press taken back. */
export const takenBack = (test: MockTest): MockTest => ({ ...test, faults: test.faults.slice(0, -1) });

export const parked = (test: MockTest, at = new Date()): MockTest => ({ ...test, parked_at: now(at) });

/** Said anew of a fault; of another step another kind. */
export function told(test: MockTest, id: string, changes: Partial<Omit<MockFault, 'id' | 'at'>>): MockTest {
    const change = (one: MockFault): MockFault => ({ ...one, ...(changes.step && changes.step !== one.step ? { fault: null } : {}), ...changes });
    return { ...test, faults: test.faults.map((one) => (one.id === id ? change(one) : one)) };
}

export const without = (test: MockTest, id: string): MockTest => ({ ...test, faults: test.faults.filter((one) => one.id !== id) });

/** A way that was not driven after all; what was pressed on it was somewhere else. */
export const notDriven = (test: MockTest, way: string): MockTest => ({
    ...test,
    ways: test.ways.filter(({ id }) => id !== way),
    faults: test.faults.map((one) => (one.way === way ? { ...one, way: null } : one)),
});

/** Nobody can mark a fault of which is not said whom it troubled. */
export const untold = (test: MockTest): MockFault[] => test.faults.filter(({ effect }) => effect === null);

export const itemOf = (lesson: Pick<Lesson, 'items'>, way: MockWay | undefined): LessonItem | undefined => lesson.items.find(({ id }) => id === way?.item);

/** The way of the plan after the one that was driven to last; the first again after the last. */
export function nextOf(lesson: Pick<Lesson, 'items'>, test: MockTest): LessonItem | undefined {
    const at = lesson.items.findIndex(({ id }) => id === test.ways.at(-1)?.item);
    return lesson.items[(at + 1) % Math.max(1, lesson.items.length)];
}

/** What the server takes. */
export function sentOf(lesson: Pick<Lesson, 'items'>, test: MockTest, routines: RoutineLine[], conditions: Round['conditions']) {
    return {
        id: test.id,
        taken_at: test.began_at,
        note: test.note || null,
        conditions,
        ways: test.ways.flatMap((way) => {
            const item = itemOf(lesson, way);
            if (!item) return [];
            const { place_id, place, routine, side } = drivenAt(
                item,
                routines.find(({ code }) => code === item.routine),
            );
            return [{ id: way.id, at: way.at, place_id, where: place.slice(0, 120), routine, side }];
        }),
        faults: test.faults.flatMap(({ step, way, at, fault, effect }) => (effect === null ? [] : [{ step, way, at, fault, effect }])),
    };
}
