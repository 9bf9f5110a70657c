import type { useDrive } from './useDrive';

/** What is said of a round as a whole, the way back, and the next round. */
export function RoundKeys({ drive, onNewRound }: { drive: ReturnType<typeof useDrive>; onNewRound: () => void }) {
    const { stands, steps } = drive;
    const unmarked = steps.filter((candidate) => !stands.steps[candidate]).length;
    return (
        <div className="grid grid-cols-2 gap-2 sm:grid-cols-[1fr_1fr_1.4fr_0.8fr_1.4fr]">
            <button type="button" className="key min-h-[88px] text-lg" disabled={unmarked === 0} onClick={drive.restUnaided}>
                {unmarked === steps.length ? 'All unaided' : 'Rest unaided'}
            </button>
            <button type="button" className="key min-h-[88px] text-lg" aria-pressed={stands.heldBack !== null} onClick={drive.heldBack}>
                Held back rightly
            </button>
            <div className="grid grid-cols-2 gap-1" role="group" aria-label="Taught in this round">
                <button type="button" className="key min-h-[88px] !px-1" aria-pressed={stands.taught?.taught === 'shown'} onClick={() => drive.taught('shown')}>
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
            <button type="button" className="key col-span-2 min-h-[88px] text-2xl sm:col-span-1" data-tone="main" disabled={!drive.round} onClick={onNewRound}>
                Round again
            </button>
        </div>
    );
}
