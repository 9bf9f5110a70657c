import { inWords } from '@/rules/words';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Answer } from '@/api/tools';
import type { FastPlan, FastRoad, RoadFacts, RoutineCode, Rules } from '@/api/types';
import { useRules } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { useCompute } from '@/compute/useCompute';
import { spoken } from '@/strip/words';
import { NotShown } from '@/ui/NotShown';
import { placeAddress } from '@/bench/places';
import { JoinPicture } from './JoinPicture';
import { LeavePicture } from './LeavePicture';
import { speedWords } from '@/rules/speed';

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
    const unit = rules.speed_unit;
    const { data, error, refetch } = useCompute(plan.tool, plan.inputs);
    if (!data) return error && <NotShown what="What this road asks is not shown" error={error} retry={() => void refetch()} />;
    const far = (metres: number) => spoken(metres, rules.length_unit);
    const fast = (speed: number) => speedWords(speed, unit);
    const [picture, words] = told(data, road, rules.keeps, rules.length_unit, far, fast);
    return (
        <div className="grid gap-2">
            {!compact && picture}
            <p aria-label="On this road">
                {ordinary && `${said(road, rules)}: `}
                {words}{' '}
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

function told(
    data: Answer<FastRoad>,
    road: RoadFacts,
    keeps: 'left' | 'right',
    unit: 'm' | 'ft',
    far: (metres: number) => string,
    fast: (speed: number) => string,
): [ReactNode, string] {
    if (data.tool === 'join') {
        const join = data;
        return [
            <JoinPicture
                key="join"
                answer={join}
                slip={road.slip_length_m ?? 0}
                keeps={keeps}
                unit={unit}
                seconds={join.choice_s}
                words={fast}
                onDrag={() => undefined}
            />,
            `${join.accel_needed_mps2.toFixed(1)} m/s² are needed over the ${far(join.counts_m)} that count, the car has ${join.accel_available_mps2.toFixed(1)}; in gear ${join.gear} it joins at ${fast(join.speed_at_end_mps)}. The main road is seen from ${far(join.view_from_m)} before the end.`,
        ];
    }
    if (data.tool === 'leave') {
        const leave = data;
        const signal = leave.events.find((event) => event.kind === 'signal');
        return [
            <LeavePicture key="leave" answer={leave} slip={road.slip_length_m ?? 0} keeps={keeps} unit={unit} toGo={0} words={fast} />,
            `Signal ${far(signal?.at_m ?? 0)} before it, no brake on the main road; then evenly ${leave.decel_mps2.toFixed(1)} m/s², ${leave.late_half_decel_mps2.toFixed(1)} if it is left to the second half.${leave.bend_speed_mps === null ? '' : ` ${fast(leave.bend_speed_mps)} before the bend.`} Lane ${leave.slip_lane}. ${leave.slip_lane_reason}`,
        ];
    }
    if (data.tool === 'overtake') {
        const over = data;
        return [
            null,
            over.time_s === null || over.sight_needed_m === null
                ? over.message
                : `Somebody at ${fast(over.other_speed_mps)} takes ${over.time_s.toFixed(1)} s and ${far(over.sight_needed_m)} of view to pass; no return after ${over.point_of_no_return_s?.toFixed(1) ?? '–'} s. Dropping back is a right decision.`,
        ];
    }
    const change = data;
    const move = change.checks.find((check) => check.at === 'move')?.time_s ?? 0;
    const metres = change.options.find((option) => option.kind === 'wait')?.metres_m ?? 0;
    return [
        null,
        `Checks and signal take ${move.toFixed(0)} s, the whole change ${far(metres)} at the limit: ${change.checks.map((check) => check.at.replace('-', ' ')).join(', ')}.`,
    ];
}
