import { useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '@/api/client';
import type { Archive } from '@/api/types';
import { restore } from './restore';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';

/** What was archived, by whom, at the foot of the list it came from; one press brings it back. */
export function ArchiveList({ of }: { of: keyof Archive }) {
    const client = useQueryClient();
    const notice = useNotice();
    const clock = useClock();
    const archive = useQuery({ queryKey: [of, 'archive'], queryFn: () => api.GET('/archived') });
    const rows = archive.data?.[of] ?? [];
    if (rows.length === 0) return null;
    const bringBack = async (id: string, name: string) => {
        await restore[of](id);
        await client.invalidateQueries({ queryKey: [of] });
        notice({ text: `${name} is back.` });
    };
    return (
        <details className="screen-only">
            <summary className="link min-h-12 cursor-pointer content-center">Archived ({rows.length})</summary>
            <ul>
                {rows.map((row) => (
                    <li key={row.id} className="border-hair flex flex-wrap items-center gap-x-4 border-b py-1">
                        <span className="min-w-0 break-words">{row.name}</span>
                        <span className="text-quiet text-sm">
                            {clock.short(row.at)}
                            {row.by && `, by ${row.by}`}
                        </span>
                        <button type="button" className="key ml-auto" aria-label={`Bring ${row.name} back`} onClick={() => void bringBack(row.id, row.name)}>
                            Bring back
                        </button>
                    </li>
                ))}
            </ul>
        </details>
    );
}
