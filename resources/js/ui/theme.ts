export type Theme = 'system' | 'day' | 'night';

const KEY = 'noble-turn.theme';

export function theme(): Theme {
    const set = document.documentElement.dataset.theme;
    return set === 'day' || set === 'night' ? set : 'system';
}

export function setTheme(next: Theme): void {
    if (next === 'system') delete document.documentElement.dataset.theme;
    else document.documentElement.dataset.theme = next;
    try {
        if (next === 'system') localStorage.removeItem(KEY);
        else localStorage.setItem(KEY, next);
    } catch {
        // Without storage the choice lasts as long as the page.
    }
}
