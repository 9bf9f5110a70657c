import type { ReactNode } from 'react';
import { Problem } from '@/api/client';

const SENTENCES: Record<number, [string, string]> = {
    0: [
        'No signal',
        'This page was not opened while there was signal, and nothing of it is on this device. It comes by itself when the server can be reached.',
    ],
    403: ['Not yours to open', 'This belongs to a colleague. Ask whoever gives the lesson, or the owner of the school.'],
    404: ['Nothing here', 'The address may be old, or something was archived.'],
    419: ['This page has been open too long', 'For safety it has run out. Load it again; marks that were made are kept.'],
    422: ['This cannot be worked out', 'Something given is outside what is possible:'],
    429: ['Too many tries', 'Wait a minute, then try again.'],
    500: ['Something broke on our side', 'Nothing you entered is lost. Try again; the server’s log says more.'],
    507: ['The server’s disk is full', 'Nothing can be kept there until somebody makes room. Marks stay on this device until then.'],
    503: ['Out of reach for a moment', 'The server or its database is starting or busy. Marks stay on this device until it is back.'],
};

/** What stands in for a page that cannot be shown. */
export function Failed({ error, retry }: { error: unknown; retry?: () => void }) {
    const status = error instanceof Problem ? error.status : 500;
    const refused = error instanceof Problem && status === 422 ? Object.entries(error.errors) : [];
    const [title, text] = SENTENCES[status] ?? SENTENCES[500]!;
    return (
        <section className="grid max-w-xl gap-3 py-10" role="alert">
            <p className="text-quiet">{status || ''}</p>
            <h1 className="text-3xl">{title}</h1>
            <p>{text}</p>
            {refused.length > 0 && (
                <ul>
                    {refused.map(([field, sentences]) => (
                        <li key={field}>
                            <b>{field}</b> {sentences.join(' ')}
                        </li>
                    ))}
                </ul>
            )}
            <p className="flex flex-wrap gap-3">
                {retry && (
                    <button type="button" className="key" data-tone="main" onClick={retry}>
                        Try again
                    </button>
                )}
                <a className="key" href="/">
                    Go to Today
                </a>
            </p>
        </section>
    );
}

export function Waiting() {
    return (
        <p className="text-quiet py-10" role="status">
            One moment …
        </p>
    );
}

export function Empty({ title, children }: { title: string; children: ReactNode }) {
    return (
        <div className="border-line grid gap-3 rounded-xl border-2 border-dashed p-6">
            <h2 className="text-xl">{title}</h2>
            {children}
        </div>
    );
}
