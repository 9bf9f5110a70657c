import { useEffect } from 'react';

const NAME = 'Noble Turn';

/** The window is called as its page: what its first heading says, also where that comes or changes later. */
export function useTitle(): void {
    useEffect(() => {
        const page = document.getElementById('page');
        if (!page) return;
        const call = () => {
            const heading = page.querySelector('h1')?.textContent.trim();
            document.title = heading ? `${heading} · ${NAME}` : NAME;
        };
        call();
        const watch = new MutationObserver(call);
        watch.observe(page, { childList: true, subtree: true, characterData: true });
        return () => watch.disconnect();
    }, []);
}
