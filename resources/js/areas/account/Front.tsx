import type { ReactNode } from 'react';

/** The page before anybody is signed in. */
export function Front({ title, children }: { title: string; children: ReactNode }) {
    return (
        <main className="mx-auto grid min-h-dvh max-w-5xl content-center gap-10 px-6 py-10 md:grid-cols-[1.1fr_1fr] md:items-center">
            <div className="grid gap-4">
                <svg viewBox="0 0 220 90" className="w-56" aria-hidden="true">
                    <path d="M10,80 H120 C160,80 170,60 170,20" fill="none" stroke="var(--ink)" strokeWidth="6" strokeLinecap="round" />
                    <path d="M155,32 L170,14 L185,32" fill="none" stroke="var(--now-fill)" strokeWidth="6" strokeLinecap="round" strokeLinejoin="round" />
                    <path d="M10,62 H100" stroke="var(--line)" strokeWidth="3" strokeDasharray="14 9" />
                </svg>
                <h1 className="text-5xl">Noble Turn</h1>
                <p className="text-quiet max-w-sm text-lg">Where and when each step belongs on a real approach, what happened there, and what to do next.</p>
            </div>
            <section className="bg-raised border-hair grid gap-5 rounded-2xl border-2 p-6 sm:p-8" aria-label={title}>
                <h2 className="text-2xl">{title}</h2>
                {children}
            </section>
        </main>
    );
}
