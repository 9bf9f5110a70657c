/** The vehicle chosen on one page of the bench is the one the others begin with, on this device, until another is chosen. */

/** What a page begins with where nobody chose: a kind the core knows. */
export const USUAL_CAR = 'small-petrol-hatch';

const STORED = 'noble-turn.vehicle';

export function carChosen(): string {
    try {
        return localStorage.getItem(STORED) ?? USUAL_CAR;
    } catch {
        return USUAL_CAR;
    }
}

export function chooseCar(id: string): void {
    try {
        localStorage.setItem(STORED, id);
    } catch {
        // A browser that keeps nothing: each page begins with the usual one.
    }
}
