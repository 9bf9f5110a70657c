import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { get } from '@/api/client';
import type { Vehicle } from '@/api/types';
import { Sheet } from '@/ui/Sheet';
import { CarForm } from './CarForm';

/** The cars of the school. */
export function Cars() {
    const client = useQueryClient();
    const [adding, setAdding] = useState(false);
    const cars = useQuery({ queryKey: ['vehicles'], queryFn: () => get<Vehicle[]>('vehicles') });
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
                    </li>
                ))}
            </ul>
            <button type="button" className="key justify-self-start" onClick={() => setAdding(true)}>
                New car
            </button>
            <Sheet title="New car" open={adding} onOpenChange={setAdding}>
                <CarForm
                    onKept={async () => {
                        await client.invalidateQueries({ queryKey: ['vehicles'] });
                        setAdding(false);
                    }}
                />
            </Sheet>
        </section>
    );
}
