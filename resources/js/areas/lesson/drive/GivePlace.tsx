import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { Mark } from '@/api/types';

/** Where a round was that began without a place: said afterwards, and said anew. */
export function GivePlace({ said, onPlace }: { said: Mark | null; onPlace: (place: string) => void }) {
    const places = useQuery(questions.places());
    return (
        <select
            aria-label="At which place of ours it was"
            className="entry w-auto max-w-full min-w-0"
            value={said?.place_id ?? ''}
            onChange={(event) => event.target.value && onPlace(event.target.value)}
        >
            <option value="">At none of our places</option>
            {(places.data ?? []).map((place) => (
                <option key={place.id} value={place.id}>
                    {place.name}
                </option>
            ))}
        </select>
    );
}
