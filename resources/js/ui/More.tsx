import type { ReactNode } from 'react';

/** What is rarely needed, opened on demand; open from the start where something of it is said already. */
export function More({ label, said = false, children }: { label: string; said?: boolean; children: ReactNode }) {
    return (
        <details open={said || undefined}>
            <summary className="link min-h-12 cursor-pointer content-center font-semibold">{label}</summary>
            <div className="grid gap-4 py-2 sm:grid-cols-2">{children}</div>
        </details>
    );
}
