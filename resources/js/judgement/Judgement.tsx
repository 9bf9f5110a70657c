import { Link } from 'react-router';
import type { Drawing, RoadFacts, RoutineCode, RoutineLine, Rules } from '@/api/types';
import { useRules } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { useCompute } from '@/compute/useCompute';
import { spoken } from '@/strip/words';
import { NotShown } from '@/ui/NotShown';
import { addressOf } from '@/bench/pages';
import { gapAsked, lanesAsked, manoeuvreOf, roadMet } from './asked';

interface Props {
    routine: RoutineCode;
    road: RoadFacts;
    /** What is kept with the place: a roundabout or junction drawn there answers which lane. */
    drawings?: Drawing[];
    /** Whose law holds there; that of the rules in force where nothing else is said. */
    pack?: Rules['pack'];
}

/** What the judgement at a place takes: the gap to go in, and the lane where its lanes have been drawn. */
export function Judgement({ routine, road, drawings = [], pack: there }: Props) {
    const rules = useRules();
    const pack = there ?? rules.pack;
    const manoeuvre = manoeuvreOf(routine, rules);
    // Out of the stem of a T under lights nobody can come from opposite.
    const alone = manoeuvre === 'turn-across' && road.junction === 't-stem';
    const drawn = drawings.find((drawing) => drawing.page === 'lanes');
    return (
        <>
            {alone && (
                <p aria-label="The gap here">
                    Nobody can come from opposite: no gap to wait for, and no waiting in the middle. Another flow’s red met inside is not ours.
                </p>
            )}
            {manoeuvre && !alone && <GapLine manoeuvre={manoeuvre} road={road} pack={pack} />}
            {drawn && <LaneLine drawing={drawn} />}
        </>
    );
}

/** Whether there is anything to say of a place. */
export const hasJudgement = (routine: RoutineCode, drawings: Drawing[], rules: Rules): boolean =>
    manoeuvreOf(routine, rules) !== null || drawings.some((drawing) => drawing.page === 'lanes');

interface OfAGap {
    manoeuvre: NonNullable<RoutineLine['manoeuvre']>;
    road: RoadFacts;
    pack: Rules['pack'];
}

function GapLine({ manoeuvre, road, pack }: OfAGap) {
    const rules = useRules();
    const { met, isKnown, limit, gradient } = roadMet(manoeuvre, road, rules);
    const { data, error, refetch } = useCompute('gap', gapAsked(manoeuvre, road, rules, pack));
    if (!data) return error && <NotShown what="The gap here is not shown" error={error} retry={() => void refetch()} />;
    const address = addressOf(
        'gap',
        {
            ...{ manoeuvre, speed: limit, distance: Math.round(data.critical_gap_m / 5) * 5, slope: Math.round(gradient * 100) },
            ...{ lanes: met?.lanes ?? 1, runs: met?.runs_to ?? '' },
        },
        rules,
    );
    return (
        <p aria-label="The gap here">
            From a standstill you need a gap of <strong className="tabular">{data.critical_gap_s.toFixed(1)} s</strong>; at {limit}{' '}
            {unitWords(rules.speed_unit)} <strong className="tabular">{spoken(data.critical_gap_m, rules.length_unit)}</strong>. {data.figures} Seen along the
            road: {spoken(data.sight_distance_m, rules.length_unit)} at the least.{' '}
            {manoeuvre !== 'turn-across' && !isKnown && <strong>The road met is assumed as fast as ours: check. </strong>}
            {pack === rules.pack && (
                <Link className="link screen-only" to={address}>
                    On the bench
                </Link>
            )}
        </p>
    );
}

function LaneLine({ drawing }: { drawing: Drawing }) {
    const rules = useRules();
    const inputs = lanesAsked(drawing, rules);
    const { data, error, refetch } = useCompute('lanes', inputs);
    if (!data) return error && <NotShown what="The lane here is not shown" error={error} retry={() => void refetch()} />;
    const others = data.acceptable_lanes.slice(1).map((lane) => lane.lane);
    return (
        <p aria-label="The lane here">
            {inputs.from} to {inputs.to}: <strong>approach in lane {data.approach_lane}</strong>, leave in lane {data.exit_lane}
            {others.length > 0 && `; lane ${others.join(' or ')} would do`}; known by {spoken(data.decide_by_m, rules.length_unit)}, taken by{' '}
            {spoken(data.lane_by_m, rules.length_unit)} before the line.{' '}
            <Link className="link screen-only" to={`/bench/lanes?${drawing.state}`}>
                On the bench
            </Link>
        </p>
    );
}
