import { useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { AREAS } from './areas';

/** Single keys: g and a letter lead to an area, and a page's own keys act only while nobody types and nobody is leaving. */

const MODIFIERS = ['Shift', 'Control', 'Alt', 'Meta', 'AltGraph', 'CapsLock'];

const isTyping = (event: KeyboardEvent): boolean =>
    event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [contenteditable], [role=dialog]') !== null;

const isPlain = (event: KeyboardEvent): boolean => !event.ctrlKey && !event.metaKey && !event.altKey;

/**
 * Leads to an area by g and its letter. From g on until the new page stands, every single key belongs to the way there: none reaches
 * the page that is being left. Answers whether g was pressed and a letter is awaited.
 */
export function useAreaKeys(): boolean {
    const navigate = useNavigate();
    const { key: page } = useLocation();
    const [asked, setAsked] = useState(false);
    const state = useRef<'here' | 'asked' | 'leaving'>('here');
    useEffect(() => {
        // The page that was gone to stands. One that came by itself takes no g away that was pressed as it came.
        if (state.current === 'leaving') state.current = 'here';
    }, [page]);
    useEffect(() => {
        const be = (next: typeof state.current) => {
            state.current = next;
            setAsked(next === 'asked');
        };
        const press = (event: KeyboardEvent) => {
            if (!isPlain(event) || isTyping(event) || MODIFIERS.includes(event.key)) return;
            if (state.current === 'here' && event.key !== 'g') return;
            event.stopPropagation();
            if (event.repeat || state.current === 'leaving') return;
            if (state.current === 'here') return be('asked');
            event.preventDefault();
            const area = AREAS.find((candidate) => candidate.key === event.key);
            be(area ? 'leaving' : 'here');
            if (area) void navigate(area.to);
        };
        const stop = () => state.current === 'asked' && be('here');
        // Before any page hears of it.
        window.addEventListener('keydown', press, true);
        window.addEventListener('pointerdown', stop, true);
        return () => {
            window.removeEventListener('keydown', press, true);
            window.removeEventListener('pointerdown', stop, true);
        };
    }, [navigate]);
    return asked;
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
            if (!act || event.repeat || event.defaultPrevented || !isPlain(event) || isTyping(event) || window.location.pathname !== home) return;
            event.preventDefault();
            act();
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    });
}
