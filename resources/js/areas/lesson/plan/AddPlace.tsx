import { useQuery, useQueryClient } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useState } from 'react';
import { api, at } from '@/api/client';
import type { Lesson, Place } from '@/api/types';
import { PlaceForm } from '@/places/PlaceForm';
import { roadWords, useRoutineName, useRoutineText, useRules } from '@/rules/rules';
import { isMeant } from '@/ui/search';
import { Sheet } from '@/ui/Sheet';
import { useLesson } from '../useLesson';

interface Props {
    lesson: Lesson;
    /** What is looked for to begin with. */
    words?: string;
    open: boolean;
    onOpenChange: (open: boolean) => void;
    onAdded: (id: string) => void;
}

/** Chooses a place of the school for the lesson, or describes a new one on the spot. */
export function AddPlace({ lesson, words: wanted = '', open, onOpenChange, onAdded }: Props) {
    const rules = useRules();
    const name = useRoutineName();
    const text = useRoutineText();
    const client = useQueryClient();
    const { refresh } = useLesson(lesson.id);
    const [describing, setDescribing] = useState(false);
    const [words, setWords] = useState(wanted);
    const places = useQuery({ ...questions.places(), enabled: open });
    const add = async (place: Place) => {
        const item = await api.POST('/lessons/{lesson}/items', { ...at({ lesson: lesson.id }), body: { place_id: place.id } });
        await refresh();
        onAdded(item.id);
        onOpenChange(false);
        setDescribing(false);
    };
    const taught = places.data?.filter((place) => rules.routines.some((routine) => routine.code === place.routine)) ?? [];
    const found = taught.filter((place) => isMeant([place.name, text(place.routine), place.note ?? '', roadWords(place.road, rules)].join(' '), words));
    const nothing = places.data?.length === 0;
    return (
        <Sheet title="Add a place" open={open} onOpenChange={onOpenChange}>
            {describing || nothing ? (
                <PlaceForm
                    onKept={async (place) => {
                        await client.invalidateQueries({ queryKey: ['places'] });
                        await add(place);
                    }}
                />
            ) : (
                <>
                    <div className="flex gap-3">
                        <input
                            className="entry"
                            placeholder="Name, routine or what goes wrong"
                            aria-label="Search places"
                            value={words}
                            onChange={(event) => setWords(event.target.value)}
                        />
                        <button type="button" className="key whitespace-nowrap" onClick={() => setDescribing(true)}>
                            New place
                        </button>
                    </div>
                    {found.length === 0 && places.data && (
                        <p className="text-quiet">No matching place. Add one? Or mark it anywhere: in Drive, under “Somewhere else”.</p>
                    )}
                    <ul>
                        {found.map((place) => (
                            <li key={place.id} className="border-hair border-b">
                                <button type="button" className="hover:bg-wash min-h-14 w-full px-2 py-2 text-left" onClick={() => void add(place)}>
                                    <span className="block font-semibold">{place.name}</span>
                                    <span className="text-quiet text-sm">
                                        {name(place.routine)} · {roadWords(place.road, rules)}
                                    </span>
                                </button>
                            </li>
                        ))}
                    </ul>
                </>
            )}
        </Sheet>
    );
}
