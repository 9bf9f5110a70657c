import { useState } from 'react';
import { Link } from 'react-router';
import { OUTCOMES, type Lesson, type Outcome, type Round, type Step } from '@/api/types';
import { useSingleKeys } from '@/keys/keys';
import { useMarksQueue } from '@/queue/marks';
import { sideAt, useRoundTitle, useRoutine, useRoutineName, useRules } from '@/rules/rules';
import { useClock, useSession } from '@/session/session';
import { OUTCOME_WORDS, STEP_WORDS } from '@/strip/words';
import { Empty, Waiting } from '@/ui/State';
import { keptMock } from '../mock/kept';
import { OnwardKey } from '../onward/OnwardKey';
import { openMoments } from '../openMoments';
import { AwaySheet } from './AwaySheet';
import { ConditionsKey } from './ConditionsKey';
import { GapsSheet } from './GapsSheet';
import { GivePlace } from './GivePlace';
import { InstrumentKey } from './InstrumentKey';
import { MarkGrid } from './MarkGrid';
import { Moving } from './Moving';
import { PlaceSelect } from './PlaceSelect';
import { RoundKeys } from './RoundKeys';
import { RoundList } from './RoundList';
import { SmallStrip } from './SmallStrip';
import { StageKeys } from './StageKeys';
import { TellFace } from './TellFace';
import { useDrive } from './useDrive';
import { useInstrument } from './useInstrument';
import { useTelling } from './useTelling';
import { useWakeLock } from './useWakeLock';
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
    const titleOf = useRoundTitle();
    const clock = useClock();
    const { user } = useSession();
    const drive = useDrive(lesson);
    const telling = useTelling(lesson, drive.all, drive.keep);
    const [choosing, setChoosing] = useState(false);
    const key = useInstrument(drive);
    useWakeLock();
    const { item, away, round, stands, said, steps } = drive;
    const routine = useRoutine(drive.routine);
    const current = steps.includes(step) ? step : (steps[0] ?? 'mirrors');
    const at = steps.indexOf(current);
    const wrong = told && said[told];
    const moments = openMoments(drive.rounds);
    const [kept, setKept] = useState('');
    const mark = (which: Step, outcome: Outcome) => {
        drive.mark(which, outcome);
        setKept(`${STEP_WORDS[which]} ${OUTCOME_WORDS[outcome]}: kept.`);
        setTold(outcome === 'unaided' ? null : which);
    };
    const newRound = () => {
        drive.newRound();
        drive.setStage(null);
        setStep('mirrors');
        setTold(null);
    };
    const open = (round: Round) => {
        drive.open(round);
        setTold(null);
    };
    const goOn = (item: string) => {
        drive.goTo(item);
        setStep('mirrors');
        setTold(null);
    };
    // Driving off from a round that was marked is the way to the next one.
    const driveOff = () => {
        const left = drive.stageLeft;
        if (drive.again || (Object.keys(stands.steps).length > 0 && !left)) newRound();
        // The next part of the same round.
        else if (left) drive.setStage(left);
        key.moved();
        setMoving(true);
    };
    const marking = !moving && telling.moment === null && (item !== undefined || away !== null || round !== undefined);
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
                  h: () => drive.decide('held-back-rightly'),
                  n: newRound,
                  u: () => drive.undo?.(),
                  m: driveOff,
              }
            : {},
    );

    const sheet = (
        <AwaySheet
            open={choosing}
            onOpenChange={setChoosing}
            lately={[...new Set(drive.rounds.map((one) => one.routine).reverse())].slice(0, 4)}
            onChosen={(away) => {
                drive.goAway(away);
                setStep('mirrors');
                setTold(null);
            }}
        />
    );
    if (!item && !away && !round) {
        return (
            <Empty title="No place to mark at">
                <p>Put a place on the plan first, or mark what needs none.</p>
                <Link className="key justify-self-start" data-tone="main" to={`/lessons/${lesson.id}/plan`}>
                    Go to the plan
                </Link>
                <button type="button" className="key justify-self-start" onClick={() => setChoosing(true)}>
                    Somewhere else
                </button>
                {sheet}
            </Empty>
        );
    }
    const here = away ? [away.where || name(away.routine), away.side].filter(Boolean).join(', ') : (item?.place.name ?? round?.place ?? '');
    if (moving)
        return (
            <Moving
                round={`Round ${drive.number}, ${here}`}
                instrument={key.instrument}
                speed={key.metresPerSecond}
                count={stands.moments.length}
                rule={device_rule}
                onMark={drive.moment}
                onParked={(reading) => {
                    setMoving(false);
                    key.parked(reading);
                }}
            />
        );
    if (telling.moment) return <TellFace lesson={lesson} drive={drive} telling={telling} moments={moments} />;
    // A round at a place that is no longer on the plan keeps its own place and steps.
    const elsewhere = !away && round && round.place_id !== item?.place.id ? round : null;
    return (
        <div className={`grid gap-3 xl:grid-cols-[minmax(0,1fr)_15rem] ${wrong ? 'pb-56 sm:pb-64 xl:pb-0' : 'pb-24 sm:pb-0'}`}>
            <div className="grid content-start gap-2">
                <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
                    <PlaceSelect lesson={lesson} drive={drive} elsewhere={elsewhere} onPlace={goOn} onAway={() => setChoosing(true)} />
                    {sheet}
                    {key.gaps && <GapsSheet gaps={key.gaps} onClose={key.forget} onSaid={key.took} />}
                    {away && round && <GivePlace said={stands.place} onPlace={drive.place} />}
                    <p className="font-display text-xl font-bold whitespace-nowrap" aria-live="polite">
                        Round {drive.number}
                        {!round && <span className="text-quiet font-sans text-base font-normal"> new</span>}
                    </p>
                    {/* For who does not see the key turn dark. */}
                    <p role="log" className="sr-only">
                        {kept}
                    </p>
                    {moments.length > 0 && (
                        <button type="button" className="key" data-tone="main" onClick={() => telling.begin(moments[0]!.moment)}>
                            {moments.length === 1 ? 'A moment to tell' : `${moments.length} moments to tell`}
                        </button>
                    )}
                    <button type="button" className="key hidden sm:inline-flex" onClick={driveOff}>
                        Driving
                    </button>
                </div>
                {drive.again && round ? (
                    // Where the strip is otherwise: the keys stay in their place.
                    <p role="status" className="border-ink flex min-h-[76px] flex-wrap items-center justify-between gap-x-4 rounded-lg border-2 pl-4">
                        <span>
                            Adding to round {drive.number}, {titleOf(round)}, driven at {clock.time(round.began_at ?? round.device_at)}.
                        </span>
                        <button type="button" className="key" data-tone="bare" onClick={newRound}>
                            Leave it, begin a new round
                        </button>
                    </p>
                ) : (
                    !elsewhere && item && <SmallStrip item={item} step={current} onStep={setStep} />
                )}
                {drive.stage && <StageKeys stages={drive.stages} stage={drive.stage} stands={stands} onStage={drive.setStage} />}
                <MarkGrid
                    steps={steps}
                    said={said}
                    side={round?.side ?? away?.side ?? sideAt(routine, elsewhere ? undefined : item?.place.road, rules)}
                    current={current}
                    onCurrent={setStep}
                    onMark={mark}
                    onOutOfOrder={drive.outOfOrder}
                    onNote={drive.note}
                    onTell={setTold}
                />
                <RoundKeys drive={drive} onNewRound={newRound} onDriveOff={driveOff} onNext={goOn} />
            </div>
            <div className="grid content-start gap-3">
                <InstrumentKey instrument={key.instrument} speed={key.speed} onInstrument={key.setInstrument} onSpeed={key.setSpeed} />
                <ConditionsKey conditions={drive.conditions} onSaid={drive.drivenIn} />
                {told && wrong && (
                    <WhatWasWrong
                        key={told}
                        step={told}
                        mark={wrong}
                        routine={routine}
                        drive={drive}
                        onEffect={(which, effect) => {
                            drive.effect(which, effect);
                            // Kind and effect said: there is no more to say.
                            if (wrong.fault) setTold(null);
                        }}
                        onDone={() => setTold(null)}
                    />
                )}
                <OnwardKey lesson={lesson} item={item} next={drive.nextItem} onGo={goOn} />
                <Link className="key min-h-16 w-full" to={`/lessons/${lesson.id}/mock-test`}>
                    {keptMock(user.id, lesson.id) ? 'Mock test: go on with it' : 'Mock test'}
                </Link>
                <RoundList rounds={drive.rounds} openId={round?.id ?? null} onOpen={open} />
            </div>
        </div>
    );
}
