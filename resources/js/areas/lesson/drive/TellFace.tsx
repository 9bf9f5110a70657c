import { useState, type ReactNode } from 'react';
import { STEPS, type Lesson, type Mark } from '@/api/types';
import { useRoutine, useRoutineName, useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { StepIcon } from '@/strip/glyphs';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';
import type { OpenMoment } from '../openMoments';
import { DecisionKeys } from './DecisionKeys';
import { FaultAndEffect } from './FaultAndEffect';
import { GivePlace } from './GivePlace';
import { MomentRow } from './MomentRow';
import { OutcomeKeys } from './OutcomeKeys';
import { WhatItWas } from './WhatItWas';
import type { useDrive } from './useDrive';
import type { useTelling } from './useTelling';

interface Props {
    lesson: Lesson;
    drive: ReturnType<typeof useDrive>;
    telling: ReturnType<typeof useTelling>;
    moments: OpenMoment[];
}

/** A moment, told when parked: what it was, which step and how, and more exactly. On a phone one question stands at a time. */
export function TellFace({ lesson, drive, telling, moments }: Props) {
    const clock = useClock();
    const name = useRoutineName();
    const { faults } = useRules();
    const [asked, ask] = useState<1 | 2 | 3>(1);
    const { moment, from, what, told, step, stands } = telling;
    const routine = useRoutine(telling.routine);
    const steps = routine?.steps ?? STEPS;
    const mark = step ? stands.steps[step] : undefined;
    const others = moments.filter((one) => one.moment.id !== moment?.id);
    const next = others.find((one) => one.moment.device_at > (moment?.device_at ?? '')) ?? others[0];
    if (!moment || !from) return null;

    const begin = (one: Mark | undefined) => {
        ask(1);
        if (one) telling.begin(one);
        else telling.close();
    };
    const said = mark && step && `${STEP_WORDS[step]}, ${(mark.fault && faults[step]?.[mark.fault]?.toLowerCase()) ?? OUTCOME_WORDS[mark.outcome]}`;
    return (
        <section aria-label="Telling a moment" className="bg-paper fixed inset-0 z-40 grid grid-rows-[auto_minmax(0,1fr)_auto] gap-2 p-3 sm:px-6">
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
                <h2 className="text-2xl">
                    {clock.exact(moment.pressed_at ?? moment.device_at)}
                    <span className="text-quiet font-sans text-base font-normal"> {told ? `told${said ? `: ${said}` : ''}` : 'what was it?'}</span>
                </h2>
                {moments.length > 1 && <MomentRow moments={moments} current={moment.id} onTell={begin} />}
            </div>
            <div className="grid content-start gap-x-4 gap-y-2 overflow-y-auto xl:grid-cols-[minmax(0,1fr)_minmax(0,1.45fr)_minmax(0,0.9fr)]">
                <Question
                    number={1}
                    asked={asked}
                    title="What was it?"
                    answer={what && telling.routine ? name(telling.routine) : null}
                    onAsk={told ? undefined : () => ask(1)}
                >
                    <WhatItWas
                        lesson={lesson}
                        rounds={drive.rounds}
                        from={from}
                        what={what}
                        where={telling.where}
                        fixed={told !== undefined}
                        onWhere={telling.inAWord}
                        onChosen={(chosen) => {
                            telling.choose(chosen);
                            ask(2);
                        }}
                    />
                </Question>
                <Question number={2} asked={asked} title="Which step, how?" answer={said ?? null} onAsk={what ? () => ask(2) : undefined}>
                    <div className="grid gap-1 sm:gap-1.5" inert={what === null}>
                        {steps.map((one) => (
                            <div
                                key={one}
                                role="group"
                                aria-label={STEP_WORDS[one]}
                                className={`grid grid-cols-5 gap-1 huge:grid-cols-2 sm:grid-cols-[6.6rem_repeat(5,minmax(0,1fr))] ${what ? '' : 'opacity-40'}`}
                            >
                                <span className="col-span-5 flex items-center huge:col-span-2 gap-2 leading-none font-bold sm:col-span-1">
                                    <StepIcon step={one} /> {STEP_WORDS[one]}
                                </span>
                                <OutcomeKeys
                                    step={one}
                                    said={stands.steps[one]?.outcome}
                                    onMark={(which, outcome) => {
                                        telling.mark(which, outcome);
                                        ask(3);
                                    }}
                                />
                            </div>
                        ))}
                    </div>
                    {what && (
                        <button type="button" className="key min-h-[64px] xl:hidden" onClick={() => ask(3)}>
                            A right decision …
                        </button>
                    )}
                </Question>
                <Question number={3} asked={asked} title={mark && step ? `${STEP_WORDS[step]}: more exactly` : 'Or decided rightly'} answer={null}>
                    {mark && step ? (
                        <FaultAndEffect step={step} mark={mark} routine={routine} room="column" onFault={telling.fault} onEffect={telling.effect} />
                    ) : (
                        <div inert={what === null} className={what ? '' : 'opacity-40'}>
                            <DecisionKeys stands={stands} onDecide={telling.decide} />
                        </div>
                    )}
                    {told?.place_id === null && <GivePlace said={stands.place} onPlace={telling.place} />}
                </Question>
            </div>
            <div className="grid grid-cols-[1fr_1fr_2fr] gap-2">
                <button
                    type="button"
                    className="key min-h-[88px]"
                    disabled={told !== undefined}
                    onClick={() => {
                        telling.throwAway();
                        begin(next?.moment);
                    }}
                >
                    Throw away
                </button>
                <button type="button" className="key min-h-[88px]" disabled={!drive.undo} onClick={() => drive.undo?.()}>
                    Undo
                </button>
                <button type="button" className="key min-h-[88px] text-xl" data-tone="main" onClick={() => (told ? begin(next?.moment) : telling.close())}>
                    {told ? (next ? 'Next moment' : 'Done') : 'Later'}
                </button>
            </div>
        </section>
    );
}

interface QuestionProps {
    number: 1 | 2 | 3;
    asked: 1 | 2 | 3;
    title: string;
    /** What was answered, where a phone shows no more than that. */
    answer: string | null;
    onAsk?: (() => void) | undefined;
    children: ReactNode;
}

/** One of the questions: beside each other where there is room, one at a time where there is not. */
function Question({ number, asked, title, answer, onAsk, children }: QuestionProps) {
    const open = number === asked;
    return (
        <section aria-label={title} className={`content-start gap-1 xl:grid xl:gap-2 ${number <= asked ? 'grid' : 'hidden'}`}>
            <h3 className={`text-quiet items-center text-lg xl:flex xl:min-h-8 ${open ? 'flex' : 'hidden'}`}>{title}</h3>
            {!open && answer && (
                <p className="flex min-h-12 items-center justify-between gap-3 xl:hidden">
                    <span className="truncate font-bold">{answer}</span>
                    {onAsk && (
                        <button type="button" className="link min-h-12 shrink-0" onClick={onAsk}>
                            change
                        </button>
                    )}
                </p>
            )}
            <div className={`gap-2 xl:grid ${open ? 'grid' : 'hidden'}`}>{children}</div>
        </section>
    );
}
