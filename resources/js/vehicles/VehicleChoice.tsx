import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { VehicleAsked } from '@/api/types';
import { chooseCar, USUAL_CAR } from '@/bench/car';
import { Field } from '@/ui/Field';
import { forCore } from './vehicle';

type KindName = Extract<VehicleAsked, string>;
export const DEFAULT_KIND = USUAL_CAR satisfies KindName;

export const useCars = () => useQuery(questions.cars());

/** The kinds the core knows, with every figure that fills a gap. */
export const useKinds = () => useQuery(questions.vehicleKinds());

/** What a tool is asked about: a kind by its name, or a car of the school by its figures. */
export function useVehicle(chosen: string): VehicleAsked {
    const cars = useCars();
    const kinds = useKinds();
    const own = cars.data?.find((car) => car.id === chosen);
    if (own) return forCore(own);
    const isKind = (name: string): name is KindName => kinds.data?.some((kind) => kind.id === name) ?? /^[a-z-]+$/.test(name);
    return isKind(chosen) ? chosen : DEFAULT_KIND;
}

export function VehicleChoice({ value, onChange }: { value: string; onChange: (vehicle: string) => void }) {
    const cars = useCars();
    const kinds = useKinds();
    const offered = [...(kinds.data ?? []), ...(cars.data ?? [])];
    // One that is not known here, such as another school's, is asked as the usual one, and shown as what is asked.
    const shown = offered.some((one) => one.id === value) ? value : DEFAULT_KIND;
    return (
        <Field label="Vehicle">
            <select
                value={shown}
                onChange={(event) => {
                    chooseCar(event.target.value);
                    onChange(event.target.value);
                }}
            >
                {offered.map((one) => (
                    <option key={one.id} value={one.id}>
                        {one.name}
                    </option>
                ))}
            </select>
        </Field>
    );
}
