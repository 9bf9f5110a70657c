import { api, Problem } from '@/api/client';
import { lastAnswers } from '@/copies/here';
import { forgetSent } from '@/queue/marks';

/** Signed out without signal: the server is told as soon as it can be, before anything else is asked. */
const OWED = 'noble-turn.sign-out-owed';

const isOwed = (): boolean => {
    try {
        return localStorage.getItem(OWED) !== null;
    } catch {
        return false;
    }
};

/** Nothing read by this person stays on the device. Everywhere asks for signal: other devices hear of it from the server alone. */
export async function signOut(everywhere: boolean): Promise<void> {
    if (everywhere) await api.DELETE('/sessions');
    await Promise.all([lastAnswers.forget(), forgetSent()]);
    if (everywhere) return;
    try {
        await api.DELETE('/session');
    } catch (error) {
        if (!(error instanceof Problem) || !error.isOutOfReach) throw error;
        localStorage.setItem(OWED, '1');
    }
}

/** Somebody has signed in: the session that was to be ended is gone. */
export function signedIn(): void {
    try {
        localStorage.removeItem(OWED);
    } catch {
        // Nothing was kept here that could be owed.
    }
}

/** Who is signed in: nobody who has signed out here, whether the server knows it yet or not. */
export async function whoIsIn() {
    if (isOwed()) {
        try {
            await api.DELETE('/session');
            signedIn();
        } catch (error) {
            if (error instanceof Problem && error.isOutOfReach) return { user: null, first_run: false, packs: [] };
            if (error instanceof Problem && error.status === 401) signedIn();
            else throw error;
        }
    }
    return api.GET('/session');
}
