import { Link } from 'react-router';
import { api, at } from '@/api/client';
import type { Drawing } from '@/api/types';
import { useNotice } from '@/ui/Notice';

/** Pages of the bench kept with a place, one press away. */
export function DrawingLinks({ drawings, onChanged }: { drawings: Drawing[]; onChanged: () => unknown }) {
    const notice = useNotice();
    if (drawings.length === 0) return null;
    const putAway = async (drawing: Drawing) => {
        await api.DELETE('/drawings/{drawing}', at({ drawing: drawing.id }));
        await onChanged();
        notice({
            text: `${drawing.title} is archived.`,
            undo: () => void api.POST('/drawings/{drawing}/restore', at({ drawing: drawing.id })).then(() => onChanged()),
        });
    };
    return (
        <ul aria-label="Kept from the bench" className="screen-only flex flex-wrap gap-2">
            {drawings.map((drawing) => (
                <li key={drawing.id} className="border-hair flex max-w-full items-center rounded-lg border-2">
                    <Link className="link min-h-12 min-w-0 content-center px-3" to={`/bench/${drawing.page}?${drawing.state}`}>
                        {drawing.title}
                        {drawing.lesson_id && <span className="text-quiet"> · this lesson</span>}
                    </Link>
                    <button type="button" className="min-h-12 min-w-12 text-lg" aria-label={`Archive ${drawing.title}`} onClick={() => void putAway(drawing)}>
                        ✕
                    </button>
                </li>
            ))}
        </ul>
    );
}
