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
            <div aria-live="polite" className="screen-only pointer-events-none fixed inset-x-0 bottom-20 z-50 flex justify-center px-4 lg:bottom-6">
                {said && (
                    <div className="bg-ink text-paper pointer-events-auto flex min-h-14 items-center gap-4 rounded-xl px-5 py-2 shadow-xl">
                        <span>{said.text}</span>
                        {said.undo && (
                            <button
                                type="button"
                                className="min-h-12 px-2 font-bold underline underline-offset-4"
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
