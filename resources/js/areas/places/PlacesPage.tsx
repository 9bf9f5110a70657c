import { useQuery, useQueryClient } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useState } from 'react';
import { api, at } from '@/api/client';
import type { Place } from '@/api/types';
import { factsOf, roadWords, usePlanned, useRoutineText, useRules } from '@/rules/rules';
import { ArchiveList } from '@/archive/ArchiveList';
import { PlaceForm } from '@/places/PlaceForm';
import { placeAddress } from '@/bench/places';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { isMeant } from '@/ui/search';
import { Empty, Failed, Waiting } from '@/ui/State';
import { asItStands, AT_ONCE, useAddress, withSaid } from '@/ui/useAddress';
import { PlaceLines } from './PlaceLines';
import { Sites } from './site/Sites';

/** Where can I teach this? */
export function PlacesPage() {
    const client = useQueryClient();
    const rules = useRules();
    const text = useRoutineText();
    const notice = useNotice();
    const [editing, setEditing] = useState<Place | 'new' | null>(null);
    const places = useQuery(questions.places());
    const [said, setSaid] = useAddress(asItStands, AT_ONCE);
    const find = said.get('find') ?? '';
    const planned = usePlanned();
    const address = (place: Place) => {
        const { by } = planned(place.routine);
        return placeAddress(by, factsOf(place.road), place.routine, rules);
    };
    const refresh = () => client.invalidateQueries({ queryKey: ['places'] });
    const putAway = async (place: Place) => {
        await api.DELETE('/places/{place}', at({ place: place.id }));
        await refresh();
        notice({ text: `${place.name} is archived.`, undo: () => void api.POST('/places/{place}/restore', at({ place: place.id })).then(refresh) });
    };
    if (places.isLoading) return <Waiting />;
    if (!places.data) return <Failed error={places.error} retry={() => void places.refetch()} />;
    const found = places.data.filter((place) => isMeant([place.name, text(place.routine), place.note ?? '', roadWords(place.road, rules)].join(' '), find));
    // What the rules in force have no routine for stands by itself, under whose rules it is taught.
    const foreign = (place: Place) => rules.elsewhere.find((routine) => routine.code === place.routine)?.pack_name;
    const others = [...new Set(found.flatMap((place) => foreign(place) ?? []))];
    return (
        <div className="grid gap-6">
            <header className="flex flex-wrap items-center justify-between gap-4">
                <h1 className="text-3xl">Places</h1>
                <button type="button" className="key" data-tone={places.data.length ? undefined : 'main'} onClick={() => setEditing('new')}>
                    New place
                </button>
            </header>
            {places.data.length === 0 && (
                <Empty title="No places yet">
                    <p>Describe the first junction you teach at: its name, the limit, the line and the view are enough for a plan.</p>
                </Empty>
            )}
            {places.data.length > 0 && (
                <label className="grid max-w-xl gap-1 font-semibold">
                    Search places
                    <input
                        type="search"
                        className="entry font-normal"
                        value={find}
                        onChange={(event) => setSaid((before) => withSaid(before, { find: event.target.value }))}
                    />
                </label>
            )}
            {places.data.length > 0 && found.length === 0 && <p>No place has all those words.</p>}
            <Sites said={said} onSaid={setSaid} />
            <PlaceLines
                heading="h2"
                places={found.filter((place) => !foreign(place))}
                {...{ refresh }}
                onChange={setEditing}
                onArchive={(place) => void putAway(place)}
                address={address}
            />
            {others.map((pack) => (
                <section key={pack} aria-label={`Taught under ${pack} only`} className="grid gap-1">
                    <h2 className="text-xl">Taught under {pack} only</h2>
                    <PlaceLines
                        heading="h3"
                        places={found.filter((place) => foreign(place) === pack)}
                        {...{ refresh }}
                        onChange={setEditing}
                        onArchive={(place) => void putAway(place)}
                    />
                </section>
            ))}
            <ArchiveList of="places" />
            <Sheet title={editing === 'new' ? 'New place' : 'Change the place'} open={editing !== null} onOpenChange={(open) => !open && setEditing(null)}>
                {editing && (
                    <PlaceForm
                        place={editing === 'new' ? undefined : editing}
                        onKept={() => {
                            setEditing(null);
                            void refresh();
                        }}
                    />
                )}
            </Sheet>
        </div>
    );
}
