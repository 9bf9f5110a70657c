import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { OUTCOMES, STEPS, type Lesson, type Round, type Step } from '@/api/types';
import { useRoutineName, useRules } from '@/app/rules';
import { Empty } from '@/ui/State';
import { ConditionsKey } from './ConditionsKey';
import { MarkGrid } from './MarkGrid';
import { Moving } from './Moving';
import { RoundList } from './RoundList';
import { SmallStrip } from './SmallStrip';
import { useDrive } from './useDrive';

/** What just happened: one press a step when parked, one large key while the car moves. */
export function DriveFace({ lesson }: { lesson: Lesson }) {
    const [itemId, setItemId] = useState<string | null>(null);
    const [moving, setMoving] = useState(false);
    const [step, setStep] = useState<Step>('mirrors');
    const item = lesson.items.find((candidate) => candidate.id === itemId) ?? lesson.items[0];
    const { routines } = useRules();
    const name = useRoutineName();
    // The steps this routine has; a hump has no signal.
    const steps = routines.find((routine) => routine.code === item?.routine)?.steps ?? STEPS;
    const drive = useDrive(lesson, item, steps);
    const { stands } = drive;
    const open = (round: Round) => {
        const there = lesson.items.find((candidate) => candidate.place.id === round.place_id);
        if (there) setItemId(there.id);
        drive.open(round);
    };

    useEffect(() => {
        const press = (event: KeyboardEvent) => {
            if (event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [role=dialog]')) return;
            if (event.ctrlKey || event.metaKey || event.altKey || moving || !item) return;
            const outcome = OUTCOMES[Number(event.key) - 1];
            const at = steps.indexOf(step);
            const keys: Record<string, () => void> = {
                ArrowUp: () => setStep(steps[Math.max(0, at - 1)]!),
                ArrowDown: () => setStep(steps[Math.min(steps.length - 1, at + 1)]!),
                a: drive.restUnaided,
                o: () => drive.outOfOrder(step),
                h: drive.heldBack,
                n: () => {
                    drive.again();
                    setStep('mirrors');
                },
                u: () => drive.undo?.(),
                m: () => setMoving(true),
            };
            if (outcome && steps.includes(step)) {
                event.preventDefault();
                drive.mark(step, outcome);
                setStep(steps[Math.min(steps.length - 1, at + 1)]!);
            } else if (keys[event.key]) {
                event.preventDefault();
                keys[event.key]!();
            }
        };
        window.addEventListener('keydown', press);
        return () => window.removeEventListener('keydown', press);
    });

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
    if (moving) return <Moving count={stands.moments.length} onMark={drive.moment} onParked={() => setMoving(false)} />;
    const unmarked = steps.filter((candidate) => !stands.steps[candidate]).length;
    const number = drive.round ? drive.rounds.indexOf(drive.round) + 1 : drive.rounds.length + 1;
    return (
        <div className="grid gap-3 xl:grid-cols-[minmax(0,1fr)_15rem]">
            <div className="grid content-start gap-2">
                <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
                    <select
                        aria-label="Place"
                        className="entry font-display w-auto max-w-full min-w-0 flex-1 basis-full font-bold sm:basis-0"
                        value={item.id}
                        onChange={(event) => {
                            setItemId(event.target.value);
                            drive.leave();
                        }}
                    >
                        {lesson.items.map((candidate) => (
                            <option key={candidate.id} value={candidate.id}>
                                {candidate.place.name} · {name(candidate.routine)}
                            </option>
                        ))}
                    </select>
                    <p className="font-display text-xl font-bold whitespace-nowrap" aria-live="polite">
                        Round {number}
                    </p>
                    <button type="button" className="key" onClick={() => setMoving(true)}>
                        The car moves
                    </button>
                </div>
                <SmallStrip lesson={lesson} item={item} step={step} onStep={setStep} />
                <MarkGrid
                    steps={steps}
                    stands={stands}
                    side={item.routine.endsWith('left') ? 'left' : 'right'}
                    current={step}
                    onCurrent={setStep}
                    onMark={drive.mark}
                    onOutOfOrder={drive.outOfOrder}
                    onNote={drive.note}
                />
                <div className="grid grid-cols-2 gap-2 sm:grid-cols-[1fr_1fr_1.4fr_0.8fr_1.4fr]">
                    <button type="button" className="key min-h-[88px] text-lg" disabled={unmarked === 0} onClick={drive.restUnaided}>
                        {unmarked === steps.length ? 'All unaided' : 'Rest unaided'}
                    </button>
                    <button type="button" className="key min-h-[88px] text-lg" aria-pressed={stands.heldBack !== null} onClick={drive.heldBack}>
                        Held back rightly
                    </button>
                    <div className="grid grid-cols-2 gap-1" role="group" aria-label="Taught in this round">
                        <button
                            type="button"
                            className="key min-h-[88px] !px-1"
                            aria-pressed={stands.taught?.taught === 'shown'}
                            onClick={() => drive.taught('shown')}
                        >
                            Shown
                        </button>
                        <button
                            type="button"
                            className="key min-h-[88px] !px-1"
                            aria-pressed={stands.taught?.taught === 'talked-through'}
                            onClick={() => drive.taught('talked-through')}
                        >
                            Talked through
                        </button>
                    </div>
                    <button type="button" className="key min-h-[88px] text-lg" disabled={!drive.undo} onClick={() => drive.undo?.()}>
                        Undo
                    </button>
                    <button
                        type="button"
                        className="key col-span-2 min-h-[88px] text-2xl sm:col-span-1"
                        data-tone="main"
                        disabled={!drive.round}
                        onClick={() => {
                            drive.again();
                            setStep('mirrors');
                        }}
                    >
                        Round again
                    </button>
                </div>
            </div>
            <div className="grid content-start gap-3">
                <ConditionsKey conditions={drive.conditions} onSaid={drive.drivenIn} />
                <RoundList rounds={drive.rounds} openId={drive.round?.id ?? null} onOpen={open} />
            </div>
        </div>
    );
}
