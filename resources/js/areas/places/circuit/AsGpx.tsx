import { api } from '@/api/client';
import { markWords, type Mark, type Taken } from '@/site/circuit';
import { saveText } from '@/ui/saveFile';

/** The circuit as a file that receivers and maps read: its places, and the route through them in the order driven. */
export function AsGpx({ name, start, end, driven }: { name: string; start: Mark; end: Mark | null; driven: readonly Taken[] }) {
    const position = (mark: Mark) => ({ name: markWords(mark), latitude_deg: mark.latitude_deg, longitude_deg: mark.longitude_deg });
    const save = async () => {
        const { gpx } = await api.POST('/circuits/gpx', { body: { name, start: position(start), end: position(end ?? start), ways: [...driven] } });
        saveText(`${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.gpx`, gpx, 'application/gpx+xml');
    };
    return (
        <button type="button" className="key" data-tone="bare" onClick={() => void save()}>
            As a file (GPX)
        </button>
    );
}
