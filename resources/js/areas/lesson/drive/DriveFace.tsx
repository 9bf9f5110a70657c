import { useState } from 'react';
import { Link } from 'react-router';
import { OUTCOMES, type Lesson, type Outcome, type Round, type Step } from '@/api/types';
import { useSingleKeys } from '@/keys/keys';
import { useMarksQueue } from '@/queue/marks';
import { sideAt, useRoutine, useRoutineName, useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { Empty, Waiting } from '@/ui/State';
import { ConditionsKey } from './ConditionsKey';
import { MarkGrid } from './MarkGrid';
import { MomentList } from './MomentList';
import { Moving } from './Moving';
import { RoundKeys } from './RoundKeys';
import { RoundList } from './RoundList';
import { SmallStrip } from './SmallStrip';
import { useDrive } from './useDrive';
import { WhatWasWrong } from './WhatWasWrong';

/** What just happened: one press a step when parked, one large key while the car moves. */
export function DriveFace({ lesson }: { lesson: Lesson }) {
    // What waits on this device belongs to the rounds: before it is read, a press could begin a round that is there already.
    const { loaded } = useMarksQueue();
    if (!loaded) return <Waiting />;
    return <Marking lesson={lesson} />;
}

function Marking({ lesson }: { lesson: Lesson }) {
    const [moving, setMoving] = useState(false);
    const [step, setStep] = useState<Step>('mirrors');
    // The step of which one press more can be said: what was wrong with it.
    const [told, setTold] = useState<Step | null>(null);
    const rules = useRules();
    const { device_rule } = rules;
    const name = useRoutineName();
    const clock = useClock();
    const drive = useDrive(lesson);
    const { item, round, stands, steps } = drive;
    const routine = useRoutine(drive.routine);
    const current = steps.includes(step) ? step : (steps[0] ?? 'mirrors');
    const at = steps.indexOf(current);
    const telling = told && stands.steps[told];
    const mark = (which: Step, outcome: Outcome) => {
        drive.mark(which, outcome);
        setTold(outcome === 'unaided' ? null : which);
    };
    const newRound = () => {
        drive.newRound();
        setStep('mirrors');
        setTold(null);
    };
    const open = (round: Round) => {
        drive.open(round);
        setTold(null);
    };
    // Driving off from a round that was marked is the way to the next one.
    const driveOff = () => {
        if (drive.again || Object.keys(stands.steps).length > 0) newRound();
        setMoving(true);
    };
    const marking = !moving && item !== undefined;
    useSingleKeys(
        marking
            ? {
                  ...Object.fromEntries(
                      OUTCOMES.map((outcome, i) => [
                          String(i + 1),
                          () => {
                              mark(current, outcome);
                              setStep(steps[Math.min(steps.length - 1, at + 1)]!);
                          },
                      ]),
                  ),
                  ArrowUp: () => setStep(steps[Math.max(0, at - 1)]!),
                  ArrowDown: () => setStep(steps[Math.min(steps.length - 1, at + 1)]!),
                  a: drive.restUnaided,
                  o: () => drive.outOfOrder(current),
                  h: drive.heldBack,
                  n: newRound,
                  u: () => drive.undo?.(),
                  m: driveOff,
              }
            : {},
    );

    if (!item) {
        return (
            <Empty title="No place to mark at">
                <p>Put a place on the plan first; its rounds are marked here.</p>
                <Link className="key justify-self-start" data-tone="main" to={`/lessons/${lesson.id}/plan`}>
                    Go to the plan
                </Link>
            </Empty>
        );
    }
    if (moving)
        return (
            <Moving
                round={`Round ${drive.number}, ${item.place.name}`}
                count={stands.moments.length}
                rule={device_rule}
                onMark={drive.moment}
                onParked={() => setMoving(false)}
            />
        );
    // A round at a place that is no longer on the plan keeps its own place and steps.
    const elsewhere = round && round.place_id !== item.place.id ? round : null;
    return (
        <div className={`grid gap-3 xl:grid-cols-[minmax(0,1fr)_15rem] ${telling ? 'pb-64 xl:pb-0' : ''}`}>
            <div className="grid content-start gap-2">
                <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
                    <select
                        aria-label="Place"
                        className="entry font-display w-auto max-w-full min-w-0 flex-1 basis-full font-bold sm:basis-0"
                        value={elsewhere ? '' : item.id}
                        onChange={(event) => {
                            drive.goTo(event.target.value);
                            setTold(null);
                        }}
                    >
                        {elsewhere && (
                            <option value="" disabled>
                                {elsewhere.place} (not on the plan)
                            </option>
                        )}
                        {lesson.items.map((candidate) => (
                            <option key={candidate.id} value={candidate.id}>
                                {candidate.place.name} · {name(candidate.routine)}
                            </option>
                        ))}
                    </select>
                    <p className="font-display text-xl font-bold whitespace-nowrap" aria-live="polite">
                        Round {drive.number}
                        {!round && <span className="text-quiet font-sans text-base font-normal"> new</span>}
                    </p>
                    <button type="button" className="key" onClick={driveOff}>
                        The car moves
                    </button>
                </div>
                <div className="empty:hidden xl:hidden">
                    <MomentList rounds={drive.rounds} onSettle={drive.settle} />
                </div>
                {drive.again && round ? (
                    // Where the strip is otherwise: the keys stay in their place.
                    <p role="status" className="border-ink flex min-h-[76px] flex-wrap items-center justify-between gap-x-4 rounded-lg border-2 pl-4">
                        <span>
                            Adding to round {drive.number}, {round.place}, driven at {clock.time(round.began_at ?? round.device_at)}.
                        </span>
                        <button type="button" className="key" data-tone="bare" onClick={newRound}>
                            Leave it, begin a new round
                        </button>
                    </p>
                ) : (
                    !elsewhere && <SmallStrip item={item} step={current} onStep={setStep} />
                )}
                <MarkGrid
                    steps={steps}
                    stands={stands}
                    side={sideAt(routine, elsewhere ? undefined : item.place.road, rules)}
                    current={current}
                    onCurrent={setStep}
                    onMark={mark}
                    onOutOfOrder={drive.outOfOrder}
                    onNote={drive.note}
                    onTell={setTold}
                />
                <RoundKeys drive={drive} onNewRound={newRound} />
            </div>
            <div className="grid content-start gap-3">
                <ConditionsKey conditions={drive.conditions} onSaid={drive.drivenIn} />
                {told && telling && (
                    <WhatWasWrong
                        key={told}
                        step={told}
                        mark={telling}
                        routine={routine}
                        onFault={drive.fault}
                        onEffect={(which, effect) => {
                            drive.effect(which, effect);
                            // Kind and effect said: there is no more to say.
                            if (telling.fault) setTold(null);
                        }}
                        onDone={() => setTold(null)}
                    />
                )}
                <div className="hidden xl:block">
                    <MomentList rounds={drive.rounds} onSettle={drive.settle} />
                </div>
                <RoundList rounds={drive.rounds} openId={round?.id ?? null} onOpen={open} />
            </div>
        </div>
    );
}
