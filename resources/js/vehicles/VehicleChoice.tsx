import { useQuery } from '@tanstack/react-query';
import { get } from '@/api/client';
import type { Vehicle, VehicleKind } from '@/api/types';
import { Field } from '@/ui/Field';
import { forCore, type CoreVehicle } from './vehicle';

export const DEFAULT_KIND = 'small-petrol-hatch';

export const useCars = () => useQuery({ queryKey: ['vehicles'], queryFn: () => get<Vehicle[]>('vehicles') });

/** The kinds the core knows, with every figure that fills a gap. */
export const useKinds = () => useQuery({ queryKey: ['vehicle-kinds'], queryFn: () => get<VehicleKind[]>('vehicle-kinds'), staleTime: Infinity });

/** What a tool is asked about: a kind by its name, or a car of the school by its figures. */
export function useVehicle(chosen: string): string | CoreVehicle {
    const cars = useCars();
    const kinds = useKinds();
    const own = cars.data?.find((car) => car.id === chosen);
    if (own) return forCore(own);
    return kinds.data && !kinds.data.some((kind) => kind.id === chosen) ? DEFAULT_KIND : /^[a-z-]+$/.test(chosen) ? chosen : DEFAULT_KIND;
}

export function VehicleChoice({ value, onChange }: { value: string; onChange: (vehicle: string) => void }) {
    const cars = useCars();
    const kinds = useKinds();
    return (
        <Field label="Vehicle">
            <select value={value} onChange={(event) => onChange(event.target.value)}>
                {[...(kinds.data ?? []), ...(cars.data ?? [])].map((one) => (
                    <option key={one.id} value={one.id}>
                        {one.name}
                    </option>
                ))}
            </select>
        </Field>
    );
}
