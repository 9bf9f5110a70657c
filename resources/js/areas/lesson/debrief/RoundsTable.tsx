import { STEPS, type Round } from '@/api/types';
import { useRoundTitle, useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { conditionsOf, standing } from '@/queue/standing';
import { ClockAhead } from '@/skill/ClockAhead';
import { alsoSaid } from '@/skill/counted';
import { noted } from '@/skill/words';
import { StepIcon } from '@/strip/glyphs';
import { Ink } from '@/strip/Ink';
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
            <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Rounds side by side">
                <table className="min-w-full border-collapse text-left">
                    <thead>
                        <tr>
                            <td />
                            {columns.map(({ round, stands }, i) => (
                                <th key={round.id} scope="col" className="border-hair min-w-36 border-b-2 px-3 pb-2 align-bottom">
                                    <span className="font-display block text-2xl">{i + 1}</span>
                                    <span className="block text-sm font-semibold">{titleOf(round)}</span>
                                    <span className="text-quiet block text-sm font-normal">
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
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {STEPS.map((step) => (
                            <tr key={step} className="border-hair border-b">
                                <th scope="row" className="py-2 pr-4 font-semibold">
                                    <span className="flex items-center gap-2">
                                        <StepIcon step={step} /> {STEP_WORDS[step]}
                                    </span>
                                </th>
                                {columns.map(({ round, stands }) => {
                                    const mark = stands.steps[step];
                                    return (
                                        <td key={round.id} className="px-3 py-2 align-top">
                                            {mark ? (
                                                <>
                                                    <span className={`flex items-center gap-2 ${mark.outcome === 'unaided' ? '' : 'font-semibold'}`}>
                                                        <Ink outcome={mark.outcome} /> {OUTCOME_WORDS[mark.outcome]}
                                                    </span>
                                                    {mark.out_of_order && <span className="block text-sm font-semibold">⇄ wrong order</span>}
                                                    {mark.note && <span className="text-quiet block text-sm">{mark.note}</span>}
                                                </>
                                            ) : (
                                                <span className="text-quiet">·</span>
                                            )}
                                        </td>
                                    );
                                })}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </section>
    );
}
