import { useQuery, useQueryClient } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useState } from 'react';
import { api, at } from '@/api/client';
import type { Vehicle } from '@/api/types';
import { ArchiveList } from '@/archive/ArchiveList';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { CarForm } from './CarForm';

/** The cars of the school. */
export function Cars() {
    const client = useQueryClient();
    const notice = useNotice();
    const [open, setOpen] = useState<Vehicle | 'new' | null>(null);
    const cars = useQuery(questions.cars());
    const refresh = () => client.invalidateQueries({ queryKey: ['vehicles'] });
    const putAway = async (car: Vehicle) => {
        await api.DELETE('/vehicles/{vehicle}', at({ vehicle: car.id }));
        await refresh();
        notice({ text: `${car.name} is archived.`, undo: () => void api.POST('/vehicles/{vehicle}/restore', at({ vehicle: car.id })).then(refresh) });
    };
    return (
        <section className="grid gap-3" aria-labelledby="cars">
            <h2 id="cars" className="text-xl">
                Cars
            </h2>
            {cars.data?.length === 0 && <p className="text-quiet">None yet: a lesson needs one.</p>}
            <ul>
                {cars.data?.map((car) => (
                    <li key={car.id} className="border-hair flex min-h-12 flex-wrap items-center gap-x-4 border-b">
                        <span className="font-semibold">{car.name}</span>
                        <span className="text-quiet">
                            {car.transmission}
                            {car.controls === 'hand' && ', hand controls'} · {car.length_m} × {car.width_m} m
                        </span>
                        <span className="ml-auto flex flex-wrap gap-2 py-1">
                            <button type="button" className="key" aria-label={`Change ${car.name}`} onClick={() => setOpen(car)}>
                                Change
                            </button>
                            <button type="button" className="key" data-tone="bare" aria-label={`Archive ${car.name}`} onClick={() => void putAway(car)}>
                                Archive
                            </button>
                        </span>
                    </li>
                ))}
            </ul>
            <button type="button" className="key justify-self-start" onClick={() => setOpen('new')}>
                New car
            </button>
            <ArchiveList of="vehicles" />
            <Sheet title={open === 'new' ? 'New car' : 'Change the car'} open={open !== null} onOpenChange={(next) => !next && setOpen(null)}>
                {open && (
                    <CarForm
                        car={open === 'new' ? undefined : open}
                        onKept={async () => {
                            await refresh();
                            setOpen(null);
                        }}
                    />
                )}
            </Sheet>
        </section>
    );
}
