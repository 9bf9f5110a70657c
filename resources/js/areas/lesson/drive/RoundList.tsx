import type { Round } from '@/api/types';
import { STEPS } from '@/api/types';
import { useRoundTitle, useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { standing } from '@/queue/standing';
import { Ink } from '@/strip/Ink';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';
import { ClockAhead } from '@/skill/ClockAhead';
import { alsoSaid } from '@/skill/counted';

interface Props {
    rounds: Round[];
    openId: string | null;
    onOpen: (round: Round) => void;
}

/** The rounds of this lesson, newest first, each opened again by a press to complete or correct it. */
export function RoundList({ rounds, openId, onOpen }: Props) {
    const clock = useClock();
    const titleOf = useRoundTitle();
    const { decisions } = useRules();
    return (
        <section aria-label="Rounds of this lesson">
            <h2 className="border-hair border-b-2 pb-1 text-lg">This lesson</h2>
            {rounds.length === 0 && <p className="text-quiet py-2">No rounds yet. The first press begins one.</p>}
            <ol className="grid">
                {rounds
                    .map((round, i) => ({ round, number: i + 1, stands: standing(round.marks) }))
                    .reverse()
                    .map(({ round, number, stands }) => (
                        <li key={round.id} className="border-hair border-b">
                            <button
                                type="button"
                                className="grid min-h-14 w-full gap-1 py-2 text-left"
                                aria-current={round.id === openId || undefined}
                                onClick={() => onOpen(round)}
                            >
                                <span className={round.id === openId ? 'border-now border-l-4 pl-2 font-bold' : ''}>
                                    {number}. {titleOf(round)}
                                    {round.assessment_id && <span className="text-quiet font-normal"> · mock test</span>}
                                </span>
                                <span className="flex items-center gap-1">
                                    {STEPS.map((step) => {
                                        const mark = stands.steps[step];
                                        return mark ? (
                                            <span key={step} title={`${STEP_WORDS[step]} ${OUTCOME_WORDS[mark.outcome]}`} className="flex">
                                                <span className="sr-only">
                                                    {STEP_WORDS[step]} {OUTCOME_WORDS[mark.outcome]},
                                                </span>
                                                <Ink outcome={mark.outcome} size={18} />
                                            </span>
                                        ) : (
                                            <span key={step} className="text-quiet w-[18px] text-center" aria-hidden="true">
                                                ·
                                            </span>
                                        );
                                    })}
                                </span>
                                {round.clock_ahead && <ClockAhead />}
                                {(stands.taught || alsoSaid(stands, decisions).length > 0 || stands.moments.length > 0) && (
                                    <span className="text-quiet text-sm">
                                        {[
                                            stands.taught?.taught.replace('-', ' '),
                                            ...alsoSaid(stands, decisions),
                                            ...stands.moments.map((moment) => `marked ${clock.exact(moment.device_at)}`),
                                        ]
                                            .filter(Boolean)
                                            .join(' · ')}
                                    </span>
                                )}
                            </button>
                        </li>
                    ))}
            </ol>
        </section>
    );
}
