import { useEffect, useState, useSyncExternalStore } from 'react';

/** Single keys: one opens the signpost, and a page's own keys act only while nobody types and nobody is leaving. */

/** The key that opens the signpost. */
export const SIGNPOST_KEY = '.';

const MODIFIERS = ['Shift', 'Control', 'Alt', 'Meta', 'AltGraph', 'CapsLock'];

const isTyping = (event: KeyboardEvent): boolean =>
    event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [contenteditable], [role=dialog]') !== null;

/** Whether one thing on the screen has every key for itself, such as the one key of a moving car: then none leads anywhere else. */
export const keysAreTaken = (): boolean => document.querySelector('[data-takes-keys]') !== null;

const isPlain = (event: KeyboardEvent): boolean => !event.ctrlKey && !event.metaKey && !event.altKey && !MODIFIERS.includes(event.key);

const STORED = 'noble-turn.single-keys';
const heard = new Set<() => void>();

/** Single keys can be switched off on a device: for who dictates, or leans on the keyboard. */
export const singleKeys = {
    areOn: (): boolean => {
        try {
            return localStorage.getItem(STORED) !== 'off';
        } catch {
            return true;
        }
    },
    set: (on: boolean): void => {
        try {
            localStorage.setItem(STORED, on ? 'on' : 'off');
        } catch {
            // A browser that keeps nothing: they stay on.
        }
        heard.forEach((hear) => hear());
    },
};

export const useSingleKeysOn = (): boolean =>
    useSyncExternalStore((hear) => {
        heard.add(hear);
        return () => heard.delete(hear);
    }, singleKeys.areOn);

/** Somebody chose where to go: until the new page stands, no single key reaches the page that is being left. */
let leaving = false;
export const leave = (): void => {
    leaving = true;
};
export const arrive = (): void => {
    leaving = false;
};

/** Opens the signpost by its key, unless somebody types or something has every key for itself. */
export function useSignpostKey(onOpen: () => void): void {
    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            if (event.key !== SIGNPOST_KEY || event.repeat || !isPlain(event) || isTyping(event) || keysAreTaken() || !singleKeys.areOn()) return;
            event.preventDefault();
            onOpen();
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    });
}

/**
 * A page's own single keys. They act while the page is the one that is open, nobody types or has a dialog open, and once a press:
 * a key held down does not go on.
 */
export function useSingleKeys(keys: Record<string, () => void>): void {
    const [home] = useState(() => window.location.pathname);
    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            const act = keys[event.key];
            const elsewhere = leaving || window.location.pathname !== home;
            if (!act || elsewhere || event.repeat || event.defaultPrevented || !isPlain(event) || isTyping(event) || !singleKeys.areOn()) return;
            event.preventDefault();
            act();
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    });
}
