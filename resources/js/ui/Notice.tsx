import { createContext, useCallback, useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import { Problem } from '@/api/client';

interface Said {
    text: string;
    undo?: () => void;
}

const NoticeContext = createContext<((said: Said) => void) | null>(null);

/** Long enough to read and reach; a notice with an undo stays longer. */
const SHOWN_MS = 6000;
const UNDO_MS = 15000;

/** One line at the foot of the screen that says what happened, with an undo where there is one. */
export function NoticeProvider({ children }: { children: ReactNode }) {
    const [said, setSaid] = useState<Said | null>(null);
    const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
    const say = useCallback((next: Said) => {
        clearTimeout(timer.current);
        setSaid(next);
        timer.current = setTimeout(() => setSaid(null), next.undo ? UNDO_MS : SHOWN_MS);
    }, []);
    useEffect(() => () => clearTimeout(timer.current), []);
    // Something was to be kept and was refused or did not arrive: said wherever it happened, never swallowed.
    useEffect(() => {
        const failed = (event: PromiseRejectionEvent) => {
            if (!(event.reason instanceof Problem)) return;
            event.preventDefault();
            say({ text: `Not kept: ${event.reason.message}` });
        };
        window.addEventListener('unhandledrejection', failed);
        return () => window.removeEventListener('unhandledrejection', failed);
    }, [say]);
    return (
        <NoticeContext value={say}>
            {children}
            {/* As high as the line itself: what stands at the foot of the page can be scrolled clear of it. */}
            {said && <div className="screen-only h-20" aria-hidden="true" />}
            <div aria-live="polite" className="screen-only fixed inset-x-0 bottom-14 z-50 lg:bottom-0 lg:left-[7.5rem]">
                {said && (
                    <div className="bg-paper border-ink flex min-h-16 items-center justify-between gap-4 border-t-4 px-4 sm:px-6">
                        <span>{said.text}</span>
                        {said.undo && (
                            <button
                                type="button"
                                className="key my-1 shrink-0"
                                onClick={() => {
                                    said.undo?.();
                                    setSaid(null);
                                }}
                            >
                                Undo
                            </button>
                        )}
                    </div>
                )}
            </div>
        </NoticeContext>
    );
}

export function useNotice() {
    const say = useContext(NoticeContext);
    if (!say) throw new Error('useNotice must be used inside <NoticeProvider>.');
    return say;
}
