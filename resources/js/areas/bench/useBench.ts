import type { Rules } from '@/api/types';
import { speedField, useRules } from '@/rules/rules';
import { useAddress } from '@/address/useAddress';
import { useVehicle } from '@/vehicles/VehicleChoice';

interface Address<T> {
    read: (params: URLSearchParams) => T;
    write: (state: T) => URLSearchParams;
}

export interface Bench<T> {
    rules: Rules;
    state: T;
    set: (part: Partial<T>) => void;
    vehicle: ReturnType<typeof useVehicle>;
    /** A speed's field in the unit of the rules: `main_speed` to `main_speed_mph`. */
    field: (name: string) => string;
}

/** What every page about driving a vehicle begins with: its state in the address, its vehicle, the rules. */
export function useBench<T extends { vehicle: string }>(address: Address<T>): Bench<T> {
    const rules = useRules();
    const [state, setState] = useAddress(address.read, address.write);
    return {
        rules,
        state,
        set: (part) => setState((before) => ({ ...before, ...part })),
        vehicle: useVehicle(state.vehicle),
        field: (name) => speedField(rules.speed_unit).replace('speed', name),
    };
}
