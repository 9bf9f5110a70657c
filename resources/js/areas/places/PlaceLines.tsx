import { Link } from 'react-router';
import type { Place, PlaceWithDrawings } from '@/api/types';
import { DrawingLinks } from '@/drawings/DrawingLinks';
import { roadWords, useRoutineName, useRules } from '@/rules/rules';

interface Props {
    places: PlaceWithDrawings[];
    /** One below the heading they stand under. */
    heading: 'h2' | 'h3';
    /** Where its plan stands; none where the rules in force have no such routine. */
    address?: (place: Place) => string;
    refresh: () => Promise<unknown>;
    onChange: (place: Place) => void;
    onArchive: (place: Place) => void;
}

/** Places, each with its routine, its road and what can be done with it. */
export function PlaceLines({ places, heading: Heading, address, refresh, onChange, onArchive }: Props) {
    const rules = useRules();
    const name = useRoutineName();
    return (
        <ul>
            {places.map((place) => (
                <li key={place.id} className="border-hair flex flex-wrap items-center gap-x-4 border-b py-2">
                    <div className="min-w-[min(15rem,100%)] flex-1">
                        <Heading className="text-lg">{place.name}</Heading>
                        <p className="text-quiet text-sm">
                            {name(place.routine)} · {roadWords(place.road, rules)}
                            {place.note && ` · ${place.note}`}
                        </p>
                        <DrawingLinks drawings={place.drawings} onChanged={refresh} />
                    </div>
                    {address && (
                        <Link className="key" to={address(place)}>
                            Plan
                        </Link>
                    )}
                    {place.site_id ? (
                        <Link className="key" to={`/places/sites/${place.site_id}?from=${place.from_arm}&to=${place.to_arm}&routine=${place.routine}`}>
                            Its site
                        </Link>
                    ) : (
                        <button type="button" className="key" onClick={() => onChange(place)}>
                            Change
                        </button>
                    )}
                    <button type="button" className="key" data-tone="bare" onClick={() => onArchive(place)}>
                        Archive
                    </button>
                </li>
            ))}
        </ul>
    );
}
