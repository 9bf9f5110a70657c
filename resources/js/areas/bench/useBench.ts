import { useMemo } from 'react';
import { PAGES, type BenchTool, type StateOf } from '@/bench/pages';
import { useAddress, type Codec } from '@/ui/useAddress';
import { useRules, useSay } from '@/rules/rules';
import { useVehicle } from '@/vehicles/VehicleChoice';

/** What every page of the bench begins with: its state in the address, the rules and their words. */
export function usePage<Tool extends BenchTool>(tool: Tool) {
    const rules = useRules();
    const codec = useMemo(() => PAGES[tool].address(rules) as unknown as Codec<StateOf<Tool>>, [tool, rules]);
    const [state, setState] = useAddress(codec);
    const start = codec.read(new URLSearchParams());
    return {
        rules,
        say: useSay(),
        state,
        setState,
        set: (part: Partial<StateOf<Tool>>) => setState((before) => ({ ...before, ...part })),
        /** Whether any of these is not as the page begins. */
        differs: (...names: (keyof StateOf<Tool>)[]) => names.some((name) => state[name] !== start[name]),
        /** A speed's field in the unit of the rules: `main_speed` to `main_speed_mph`. */
        field: (name: string) => `${name}_${rules.speed_unit}`,
    };
}

/** Pages whose state has a vehicle. */
type Driven = { [Tool in BenchTool]: StateOf<Tool> extends { vehicle: string } ? Tool : never }[BenchTool];

/** What every page about driving a vehicle begins with. */
export function useBench<Tool extends Driven>(tool: Tool) {
    const page = usePage(tool);
    return { ...page, vehicle: useVehicle((page.state as { vehicle: string }).vehicle) };
}
