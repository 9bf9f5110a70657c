import { Popover } from 'radix-ui';
import { DecisionKeys } from './DecisionKeys';
import { Fitted } from '@/ui/Fitted';
import type { useDrive } from './useDrive';

interface Props {
    drive: ReturnType<typeof useDrive>;
    onNewRound: () => void;
    onDriveOff: () => void;
    onNext: (item: string) => void;
}

/** What is said of a round as a whole; and, on a phone within the thumb's reach, the way back, the next round and driving off. */
export function RoundKeys({ drive, onNewRound, onDriveOff, onNext }: Props) {
    const { stands, said, steps } = drive;
    const unmarked = steps.filter((candidate) => !said[candidate]).length;
    const next = drive.nextItem;
    const others = Object.keys(stands.decisions).filter((decision) => decision !== 'held-back-rightly').length;
    return (
        <>
            <div className="grid grid-cols-2 gap-1 sm:grid-cols-4 xl:grid-cols-[repeat(5,minmax(0,1fr))_0.8fr_1.2fr_1.2fr] sm:gap-2">
                <RestUnaided className="hidden text-lg sm:inline-flex" all={unmarked === steps.length} disabled={unmarked === 0} onPress={drive.restUnaided} />
                <button
                    type="button"
                    className="key min-h-[88px] !px-1"
                    aria-pressed={stands.heldBack !== null}
                    onClick={() => drive.decide('held-back-rightly')}
                >
                    <Fitted>Correctly waited</Fitted>
                </button>
                <Popover.Root>
                    <Popover.Trigger className="key min-h-[88px] !px-1" aria-pressed={others > 0}>
                        <Fitted>Right decision</Fitted>
                    </Popover.Trigger>
                    <Popover.Portal>
                        <Popover.Content
                            className="bg-paper border-ink z-50 w-80 rounded-xl border-2 p-3 shadow-xl"
                            sideOffset={6}
                            collisionPadding={8}
                            aria-label="Decided rightly"
                        >
                            <DecisionKeys stands={stands} onDecide={drive.decide} />
                        </Popover.Content>
                    </Popover.Portal>
                </Popover.Root>
                <div className="contents" role="group" aria-label="Taught in this round">
                    <button
                        type="button"
                        className="key min-h-[88px] !px-1"
                        aria-pressed={stands.taught?.taught === 'shown'}
                        onClick={() => drive.taught('shown')}
                    >
                        <Fitted>Shown</Fitted>
                    </button>
                    <button
                        type="button"
                        className="key min-h-[88px] !px-1"
                        aria-pressed={stands.taught?.taught === 'talked-through'}
                        onClick={() => drive.taught('talked-through')}
                    >
                        <Fitted>Talked through</Fitted>
                    </button>
                </div>
                <Undo className="hidden text-lg sm:inline-flex" drive={drive} />
                <button
                    type="button"
                    className="key col-span-2 min-h-[88px] min-w-0 flex-col !gap-0 !px-1 sm:col-span-1"
                    disabled={!next}
                    onClick={() => next && onNext(next.id)}
                >
                    <Fitted>Next place</Fitted>
                    {next && <span className="w-full truncate text-sm font-normal">{next.place.name}</span>}
                </button>
                <RoundAgain className="hidden text-xl sm:inline-flex" drive={drive} onPress={onNewRound} />
            </div>
            <div className="bg-paper fixed inset-x-0 bottom-[3.7rem] z-20 grid grid-cols-4 gap-1 p-1 huge:static huge:grid-cols-2 sm:hidden">
                <Undo drive={drive} />
                <RestUnaided all={unmarked === steps.length} disabled={unmarked === 0} onPress={drive.restUnaided} />
                <button type="button" className="key min-h-[88px] !px-1" onClick={onDriveOff}>
                    <Fitted>Driving</Fitted>
                </button>
                <RoundAgain drive={drive} onPress={onNewRound} />
            </div>
        </>
    );
}

function Undo({ drive, className = '' }: { drive: Props['drive']; className?: string }) {
    return (
        <button type="button" className={`key min-h-[88px] !px-1 ${className}`} disabled={!drive.undo} onClick={() => drive.undo?.()}>
            <Fitted>Undo</Fitted>
        </button>
    );
}

function RestUnaided({ all, disabled, onPress, className = '' }: { all: boolean; disabled: boolean; onPress: () => void; className?: string }) {
    return (
        <button type="button" className={`key min-h-[88px] !px-1 ${className}`} disabled={disabled} onClick={onPress}>
            <Fitted>{all ? 'All without help' : 'The rest without help'}</Fitted>
        </button>
    );
}

function RoundAgain({ drive, onPress, className = '' }: { drive: Props['drive']; onPress: () => void; className?: string }) {
    return (
        <button type="button" className={`key min-h-[88px] !px-1 ${className}`} data-tone="main" disabled={!drive.round} onClick={onPress}>
            <Fitted>Next attempt</Fitted>
        </button>
    );
}
