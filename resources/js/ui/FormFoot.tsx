import type { ReactNode } from 'react';

/** The end of a form: what was refused as a whole, the key that sends it, and what may stand beside it. */
export function FormFoot({ message, busy, children, beside }: { message: string | null; busy: boolean; children: ReactNode; beside?: ReactNode }) {
    return (
        <>
            {message && (
                <p role="alert" className="font-semibold">
                    ▸ {message}
                </p>
            )}
            <div className="flex flex-wrap gap-3">
                <button type="submit" className="key" data-tone="main" disabled={busy}>
                    {children}
                </button>
                {beside}
            </div>
        </>
    );
}
