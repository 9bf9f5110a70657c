import { STEPS, type Round } from '@/api/types';
import { useRoundTitle, useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { conditionsOf, standing } from '@/queue/standing';
import { ClockAhead } from '@/skill/ClockAhead';
import { alsoSaid } from '@/skill/counted';
import { noted } from '@/skill/words';
import { StepIcon } from '@/strip/glyphs';
import { Ink } from '@/strip/Ink';
import { StepsTable } from '@/strip/StepsTable';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';

/** The approaches of the lesson side by side. */
export function RoundsTable({ rounds }: { rounds: Round[] }) {
    const titleOf = useRoundTitle();
    const { decisions } = useRules();
    const clock = useClock();
    if (rounds.length === 0) return <p className="text-quiet">No rounds were marked in this lesson.</p>;
    const columns = rounds.map((round) => ({ round, stands: standing(round.marks) }));
    return (
        <section aria-labelledby="rounds">
            <h2 id="rounds" className="pb-2 text-xl">
                The rounds
            </h2>
            <StepsTable
                label="Rounds side by side"
                steps={STEPS}
                stepHead={(step) => (
                    <span className="flex items-center gap-2">
                        <StepIcon step={step} /> {STEP_WORDS[step]}
                    </span>
                )}
                columns={columns.map(({ round, stands }, i) => ({
                    key: round.id,
                    head: (
                        <div className="min-w-30">
                            <span className="font-display block text-2xl font-bold">{i + 1}</span>
                            <span className="block text-sm font-semibold">{titleOf(round)}</span>
                            <span className="text-quiet block text-sm">
                                {[
                                    clock.time(round.began_at ?? round.device_at),
                                    stands.taught && `${stands.taught.taught.replace('-', ' ')}: no evidence`,
                                    ...alsoSaid(stands, decisions),
                                    noted(conditionsOf(round)),
                                ]
                                    .filter(Boolean)
                                    .join(' · ')}
                            </span>
                            {round.clock_ahead && <ClockAhead />}
                        </div>
                    ),
                    cell: (step) => {
                        const mark = stands.steps[step];
                        return (
                            mark && (
                                <>
                                    <span className={`flex items-center gap-2 ${mark.outcome === 'unaided' ? '' : 'font-semibold'}`}>
                                        <Ink outcome={mark.outcome} /> {OUTCOME_WORDS[mark.outcome]}
                                    </span>
                                    {mark.out_of_order && <span className="block text-sm font-semibold">⇄ wrong order</span>}
                                    {mark.note && <span className="text-quiet block text-sm">{mark.note}</span>}
                                </>
                            )
                        );
                    },
                }))}
            />
        </section>
    );
}
