import type { MockTest } from './mockTest';

const nameOf = (user: string, lesson: string) => `noble-turn.mock-test.${user}.${lesson}`;

/** A mock test that waits on this device to be driven on, told or sent; null where there is none. It outlives the page: nothing of it is elsewhere. */
export function keptMock(user: string, lesson: string): MockTest | null {
    try {
        return JSON.parse(localStorage.getItem(nameOf(user, lesson)) ?? 'null') as MockTest | null;
    } catch {
        return null;
    }
}

export function keepMock(user: string, lesson: string, test: MockTest | null): void {
    try {
        if (test) localStorage.setItem(nameOf(user, lesson), JSON.stringify(test));
        else localStorage.removeItem(nameOf(user, lesson));
    } catch {
        // A browser that keeps nothing: it lasts as long as the page.
    }
}
