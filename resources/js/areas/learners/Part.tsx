import type { ReactNode } from 'react';

/** A part of the sheet of all that is kept. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
    return (
        <section className="grid gap-2">
            <h2 className="border-hair border-b-2 pb-1 text-xl">{title}</h2>
            {children}
        </section>
    );
}
