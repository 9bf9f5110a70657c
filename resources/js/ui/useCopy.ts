import { useNotice } from './Notice';

/** Copies a text and says so; where the browser does not let us, it says that. */
export function useCopy(): (text: string, said: string) => void {
    const notice = useNotice();
    return (text, said) => {
        // Without HTTPS there is nothing to copy with.
        const clipboard = navigator.clipboard as Clipboard | undefined;
        (clipboard?.writeText(text) ?? Promise.reject(new Error('no clipboard'))).then(
            () => notice({ text: said }),
            () => notice({ text: 'This browser does not let us copy: mark the text and copy it.' }),
        );
    };
}
