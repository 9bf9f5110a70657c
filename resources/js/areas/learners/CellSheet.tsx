import { useQuery } from '@tanstack/react-query';
import { api, at } from '@/api/client';
import type { Skill } from '@/api/types';
import { OUTCOMES, type RoutineCode, type Step, type Tally } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { RangeBand } from '@/skill/RangeBand';
import { exactly, isUncertain, percent, times } from '@/skill/words';
import { COUNTED_WORDS, inside, STEP_WORDS } from '@/strip/words';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import { HistoryChart } from './HistoryChart';
import { MarksList } from './MarksList';
import { Overrule } from './Overrule';

interface Props {
    learner: string;
    routine: RoutineCode;
    step: Step;
    tallies: Tally[];
    skill: Skill;
    onClose: () => void;
}

/** Which kinds of fault were seen there, how often, how lately, and the worst they did. */
function FaultsBehind({ faults }: { faults: Skill['faults'] }) {
    const rules = useRules();
    const clock = useClock();
    if (faults.length === 0) return null;
    return (
        <section aria-label="What was seen">
            <h3 className="text-lg">What was seen</h3>
            <ul>
                {faults.map(({ step, fault, count, rounds, last, worst_effect: worst }) => (
                    <li key={fault}>
                        <span className="font-semibold">{rules.faults[step]?.[fault] ?? fault}</span>{' '}
                        <span className="text-quiet">
                            {count} of {rounds} {rounds === 1 ? 'round' : 'rounds'}, last on {clock.short(last)}
                            {worst && worst !== 'nobody' && `; others: ${inside(rules.effects[worst] ?? worst)}`}
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

/** Everything behind one square: what is believed and on what, how it came about, every mark, and the instructor's own word. */
export function CellSheet({ learner, routine, step, tallies, skill, onClose }: Props) {
    const name = useRoutineName();
    const clock = useClock();
    const evidence = useQuery({
        queryKey: ['learner', learner, 'skill', routine, step],
        queryFn: () => api.GET('/learners/{learner}/skill/{routine}/{step}', at({ learner, routine, step })),
    });
    const cell = skill.cells.find((one) => one.routine === routine && one.step === step)!;
    const tally = tallies.find((one) => one.routine === routine && one.step === step)!;
    return (
        <Sheet title={`${STEP_WORDS[step]}, ${name(routine).toLowerCase()}`} open onOpenChange={(open) => !open && onClose()}>
            <div className="grid gap-1">
                <p className="text-lg">
                    Does it alone <strong>{times(cell.estimate)}</strong>
                    {isUncertain(cell) && ', not certain yet'}
                </p>
                <RangeBand believed={cell} />
                <p className="text-quiet">
                    In a quiet town by day on a dry road: {exactly(cell)}. Worked out from {cell.evidence} {cell.evidence === 1 ? 'mark' : 'marks'} in{' '}
                    {cell.lessons} {cell.lessons === 1 ? 'lesson' : 'lessons'}, the last on {clock.short(cell.last)}, and from related steps.
                    {cell.unsure && ' That is still a guess: a few more attempts would tell.'}
                    {cell.fading && ` Not practised lately: about ${percent(cell.faded_by)} % lost since.`}
                    {cell.marks_alone !== null && ` Without your correction the marks say ${percent(cell.marks_alone)} %.`}
                </p>
                <p className="text-quiet">
                    {OUTCOMES.filter((outcome) => tally.counts[outcome] > 0)
                        .map((outcome) => `${tally.counts[outcome]} ${COUNTED_WORDS[outcome]}`)
                        .join(', ')}
                    {tally.out_of_order > 0 && `; ${tally.out_of_order} wrong order`}
                    {tally.taught > 0 && `; taught in ${tally.taught} ${tally.taught === 1 ? 'round' : 'rounds'}, which count as practice only`}.
                </p>
            </div>
            <FaultsBehind faults={skill.faults.filter((one) => one.routine === routine && one.step === step)} />
            {evidence.isLoading && <Waiting />}
            {evidence.error && <Failed error={evidence.error} retry={() => void evidence.refetch()} />}
            {evidence.data && (
                <>
                    <section aria-labelledby="cell-history">
                        <h3 id="cell-history" className="text-lg">
                            Lesson by lesson
                        </h3>
                        <p className="text-quiet text-sm">How it has changed: at the foot never alone, at the top always; grey is how far it could be out.</p>
                        <HistoryChart history={evidence.data.history} />
                    </section>
                    <Overrule learner={learner} routine={routine} step={step} said={evidence.data.overrulings} />
                    <MarksList marks={evidence.data.marks} />
                </>
            )}
        </Sheet>
    );
}
