import { inWords } from '@/rules/words';
import { Link } from 'react-router';
import type { FastPlan, RoadFacts, RoutineCode, Rules } from '@/api/types';
import { useRules } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { useCompute } from '@/compute/useCompute';
import { NotShown } from '@/ui/NotShown';
import { placeAddress } from '@/bench/places';
import { told } from './told';

interface Props {
    plan: Pick<FastPlan, 'tool' | 'inputs'>;
    routine: RoutineCode;
    road: RoadFacts;
    /** Not a place but an ordinary road of its kind. */
    ordinary?: boolean;
    /** Without its picture where there is little room. */
    compact?: boolean;
}

/** What a fast road asks at a place: the picture of the bench with its few figures. */
export function RoadBrief({ plan, routine, road, ordinary = false, compact = false }: Props) {
    const rules = useRules();
    const { data, error, refetch } = useCompute(plan.tool, plan.inputs);
    if (!data) return error && <NotShown what="What this road asks is not shown" error={error} retry={() => void refetch()} />;
    const { picture, says, behind } = told(data, road, rules);
    return (
        <div className="grid gap-2">
            {!compact && picture}
            <p aria-label="On this road">
                {ordinary && `${said(road, rules)}: `}
                <span className={ordinary ? '' : 'font-semibold'}>{says}</span> {behind}{' '}
                <Link className="link screen-only" to={placeAddress(plan.tool, road, routine, rules)}>
                    On the bench
                </Link>
            </p>
            {data.warnings.map((warning) => (
                <p key={warning.code} className="border-line border-l-4 pl-3 text-sm">
                    {warning.message}
                </p>
            ))}
        </div>
    );
}

/** An ordinary road in words; its figures are assumed and say so. */
function said(road: RoadFacts, rules: Rules): string {
    const limit = rules.speed_unit === 'mph' ? (road.main_speed_mph ?? road.limit_mph) : (road.main_speed_kmh ?? road.limit_kmh);
    return `On an ordinary ${road.slip_length_m === undefined ? 'road' : inWords(`{slip road} of ${road.slip_length_m} m`, rules)} at ${limit} ${unitWords(rules.speed_unit)} (assumed)`;
}
