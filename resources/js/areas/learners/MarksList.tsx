import { Link } from 'react-router';
import type { MarkBehind } from '@/api/types';
import { useClock } from '@/session/session';
import { ClockAhead } from '@/skill/ClockAhead';
import { noted } from '@/skill/words';
import { Ink } from '@/strip/Ink';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';

/** The marks behind a figure, newest first; each opens the debrief of its lesson. */
export function MarksList({ marks, steps = false }: { marks: MarkBehind[]; steps?: boolean }) {
    const clock = useClock();
    return (
        <section aria-labelledby="marks-behind">
            <h3 id="marks-behind" className="text-lg">
                The marks
            </h3>
            <ul>
                {marks.map((mark) => (
                    <li key={mark.id} className="border-hair border-b">
                        <Link to={`/lessons/${mark.lesson}/debrief`} className="hover:bg-wash grid min-h-12 grid-cols-[1.7rem_1fr] items-center gap-x-2 py-1">
                            <Ink outcome={mark.outcome} />
                            <span className="min-w-0">
                                {steps && `${STEP_WORDS[mark.step]} `}
                                <span className="font-semibold">{mark.held_back ? 'right to hold back' : OUTCOME_WORDS[mark.outcome]}</span>
                                {mark.out_of_order && ', wrong order'}
                                {mark.taught && ` (${mark.taught.replace('-', ' ')}: no evidence)`}
                                {mark.was && <span className="text-quiet"> · first marked {OUTCOME_WORDS[mark.was]}</span>}
                                <span className="text-quiet block text-sm">
                                    {[clock.short(mark.at), mark.place, noted(mark.conditions)].filter(Boolean).join(' · ')}
                                    {mark.clock_ahead && <ClockAhead />}
                                    {mark.note && <span className="block">“{mark.note}”</span>}
                                </span>
                            </span>
                        </Link>
                    </li>
                ))}
            </ul>
        </section>
    );
}
