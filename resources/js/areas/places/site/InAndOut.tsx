import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem } from '@/api/client';
import type { SitesIn } from '@/api/types';
import { FileKey } from '@/ui/FileKey';
import { useNotice } from '@/ui/Notice';
import { saveFile } from '@/ui/saveFile';
import { Sheet } from '@/ui/Sheet';

const WHAT = { new: 'new', changed: 'drawn otherwise', same: 'the same', refused: 'refused' } as const;

/** Sites as GeoJSON: all of them into a file, and those of a file in, once it was said what each would do. */
export function InAndOut() {
    const client = useQueryClient();
    const notice = useNotice();
    const [said, setSaid] = useState<SitesIn | null>(null);
    const [features, setFeatures] = useState<Record<string, never>[]>([]);
    const [wrong, setWrong] = useState<string | null>(null);
    const ask = async (of: Record<string, never>[], keep: boolean) => {
        try {
            return await api.POST('/sites/import', { body: { type: 'FeatureCollection', features: of, keep } });
        } catch (error) {
            if (!(error instanceof Problem)) throw error;
            setWrong(error.message);
            return null;
        }
    };
    const open = async (file: File) => {
        setWrong(null);
        const read = await file.text().then(parsed);
        if (!read) {
            setWrong(`${file.name} is no GeoJSON with a list of features.`);
            return;
        }
        setFeatures(read);
        setSaid(await ask(read, false));
    };
    const keep = async () => {
        const done = await ask(features, true);
        setSaid(null);
        if (!done) return;
        await Promise.all([client.invalidateQueries({ queryKey: ['sites'] }), client.invalidateQueries({ queryKey: ['places'] })]);
        notice({ text: `${done.kept === 1 ? '1 site is' : `${done.kept} sites are`} brought in.` });
    };
    const changes = said?.rows.filter(({ what }) => what === 'new' || what === 'changed').length ?? 0;
    return (
        <div className="screen-only grid gap-2">
            <div className="flex flex-wrap items-center gap-3">
                <button
                    type="button"
                    className="key"
                    data-tone="bare"
                    onClick={() => void api.GET('/sites/geojson').then((all) => saveFile('sites.geojson', all))}
                >
                    Take the sites out (GeoJSON)
                </button>
                <FileKey label="Bring sites in" accept=".geojson,.json,application/geo+json,application/json" tone="bare" onFile={(file) => void open(file)} />
            </div>
            {wrong && (
                <p role="alert" className="font-semibold">
                    ▸ {wrong}
                </p>
            )}
            <Sheet
                title="Bring sites in"
                about={said?.whole ? 'Nothing is kept yet.' : 'Some are refused: nothing is kept until all can be.'}
                open={said !== null}
                onOpenChange={() => setSaid(null)}
            >
                <ul className="grid gap-1">
                    {said?.rows.map((row) => (
                        <li key={row.line} className="border-hair border-b py-2">
                            <p>
                                <span className="text-quiet">{row.line}</span> {row.name || 'without a name'}: <strong>{WHAT[row.what]}</strong>
                            </p>
                            {row.message && <p className={row.what === 'refused' ? 'font-semibold' : 'text-quiet text-sm'}>▸ {row.message}</p>}
                        </li>
                    ))}
                </ul>
                <button type="button" className="key justify-self-start" data-tone="main" disabled={!said?.whole || changes === 0} onClick={() => void keep()}>
                    {changes === 0 ? 'Nothing to bring in' : `Bring ${changes} in`}
                </button>
            </Sheet>
        </div>
    );
}

/** The features of a file; null where it has none. What stands in them the server says. */
function parsed(text: string): Record<string, never>[] | null {
    try {
        const read = JSON.parse(text) as { type?: unknown; features?: unknown } | null;
        return read?.type === 'FeatureCollection' && Array.isArray(read.features) ? (read.features as Record<string, never>[]) : null;
    } catch {
        return null;
    }
}
