import type { RecordsState } from '@/api/types';

/** That records are being brought up to date, and how far that is. */
export function Progress({ state }: { state: RecordsState }) {
    const { progress, stale, failed } = state;
    return (
        <div role="status" className="border-now grid gap-1 border-l-4 pl-4">
            <p>
                {failed > 0
                    ? `${stale} ${stale === 1 ? 'record' : 'records'} could not be worked out: what stands below is older. The server’s log says why; it is tried again in ten minutes.`
                    : `${stale} ${stale === 1 ? 'record is' : 'records are'} being brought up to date. You can go on meanwhile.`}
            </p>
            {progress && (
                <progress className="accent-(--ink) h-3 w-full max-w-md" max={progress.of} value={progress.done} aria-label="Records brought up to date" />
            )}
        </div>
    );
}
