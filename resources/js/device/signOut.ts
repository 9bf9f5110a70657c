import { api, Problem } from '@/api/client';
import { lastAnswers } from '@/copies/here';
import { forgetSent } from '@/queue/marks';

/** Signed out here, and the server has not said that it knows: it is told as soon as it can be, before anything else is asked. */
const OWED = 'noble-turn.sign-out-owed';

const isOwed = (): boolean => {
    try {
        return localStorage.getItem(OWED) !== null;
    } catch {
        return false;
    }
};

function owe(): void {
    try {
        localStorage.setItem(OWED, '1');
    } catch {
        // A device that keeps nothing forgets this too: the server is told while the page is open, or not at all.
    }
}

const forget = () => Promise.all([lastAnswers.forget(), forgetSent()]);

/**
 * Nothing read by this person stays on the device. It counts from the press, even if the page is closed before the server has answered.
 * Everywhere asks for signal: other devices hear of it from the server alone.
 */
export async function signOut(everywhere: boolean): Promise<void> {
    if (everywhere) {
        await api.DELETE('/sessions');
        await forget();
        return;
    }
    owe();
    await forget();
    try {
        await tellServer();
    } catch (error) {
        if (error instanceof Problem && error.isOutOfReach) return;
        settled();
        throw error;
    }
}

/** A session that has ended by itself is one the less. */
async function tellServer(): Promise<void> {
    try {
        await api.DELETE('/session');
    } catch (error) {
        if (!(error instanceof Problem) || error.status !== 401) throw error;
    }
    settled();
}

/** The session that was to be ended is gone: the server has ended it, or somebody has signed in. */
export function settled(): void {
    try {
        localStorage.removeItem(OWED);
    } catch {
        // Nothing was kept here that could be owed.
    }
}

/** Who is signed in: nobody who has signed out here, whether the server knows it yet or not. */
export async function whoIsIn() {
    if (isOwed()) {
        await forget();
        try {
            await tellServer();
        } catch (error) {
            if (error instanceof Problem && error.isOutOfReach) return { user: null, first_run: false, packs: [] };
            throw error;
        }
    }
    return api.GET('/session');
}
