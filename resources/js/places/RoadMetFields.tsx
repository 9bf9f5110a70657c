import type { RoadFacts, Rules, Side } from '@/api/types';
import { limitOf, useRules } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { Field } from '@/ui/Field';

/** The road one comes out into, as it is typed: empty is not known. */
export interface TypedRoadMet {
    limit: string;
    lanes: string;
    runs: '' | Side;
    parked: '' | NonNullable<NonNullable<RoadFacts['road_met']>['parked']>;
}

/** What is known of it, as its form holds it. */
export function typed({ road_met: met }: RoadFacts, rules: Rules): TypedRoadMet {
    const said = met && (met.limit_mph !== undefined || met.limit_kmh !== undefined);
    return { limit: said ? String(limitOf(met, rules)) : '', lanes: met?.lanes?.toString() ?? '', runs: met?.runs_to ?? '', parked: met?.parked ?? '' };
}

/** The fact of the place; none where nothing was said. */
export function roadMetOf({ limit, lanes, runs, parked }: TypedRoadMet, rules: Rules): Pick<RoadFacts, 'road_met'> {
    const road_met = {
        ...(limit ? { [`limit_${rules.speed_unit}`]: Number(limit) } : {}),
        ...(lanes ? { lanes: Number(lanes) } : {}),
        ...(runs ? { runs_to: runs } : {}),
        ...(parked ? { parked } : {}),
    };
    return Object.keys(road_met).length > 0 ? { road_met } : {};
}

interface Props {
    value: TypedRoadMet;
    errors: Record<string, string[]>;
    onChange: (value: TypedRoadMet) => void;
}

/** The road one comes out into: its traffic decides how long a gap has to be. */
export function RoadMetFields({ value, errors, onChange }: Props) {
    const rules = useRules();
    const set = (part: Partial<TypedRoadMet>) => onChange({ ...value, ...part });
    return (
        <>
            <Field
                label={`Limit of the road met, ${unitWords(rules.speed_unit)}`}
                hint="Leave blank where it is as fast as ours, and check"
                errors={errors['road.road_met.limit_mph'] ?? errors['road.road_met.limit_kmh']}
            >
                <input inputMode="numeric" value={value.limit} onChange={(event) => set({ limit: event.target.value })} />
            </Field>
            <Field label="Its lanes each way" hint="Leave blank for one" errors={errors['road.road_met.lanes']}>
                <input inputMode="numeric" value={value.lanes} onChange={(event) => set({ lanes: event.target.value })} />
            </Field>
            <Field label="It runs" errors={errors['road.road_met.runs_to']}>
                <select value={value.runs} onChange={(event) => set({ runs: event.target.value as TypedRoadMet['runs'] })}>
                    <option value="">Both ways</option>
                    <option value="left">One way, to the left</option>
                    <option value="right">One way, to the right</option>
                </select>
            </Field>
            <Field label="Cars parked along it" errors={errors['road.road_met.parked']}>
                <select value={value.parked} onChange={(event) => set({ parked: event.target.value as TypedRoadMet['parked'] })}>
                    <option value="">None</option>
                    <option value="near">On our side of it</option>
                    <option value="far">Opposite</option>
                    <option value="both">On both sides</option>
                </select>
            </Field>
        </>
    );
}
