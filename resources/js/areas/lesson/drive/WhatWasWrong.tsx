import type { ComponentProps } from 'react';
import { STEP_WORDS } from '@/strip/words';
import { FaultAndEffect } from './FaultAndEffect';
import { NoteKey } from './NoteKey';
import { SlipKey } from './SlipKey';
import type { useDrive } from './useDrive';

type Props = Omit<ComponentProps<typeof FaultAndEffect>, 'room' | 'onFault'> & { drive: ReturnType<typeof useDrive>; onDone: () => void };

/** One press more, beside the grid; from below where there is no room beside it, and on a phone one row above the thumb's keys. */
export function WhatWasWrong({ drive, onDone, ...said }: Props) {
    const { step, mark } = said;
    const name = STEP_WORDS[step];
    return (
        <section
            aria-label={`What was wrong with ${name.toLowerCase()}`}
            className="bg-paper border-ink fixed inset-x-0 bottom-[9.4rem] z-10 grid gap-1 border-t-2 p-1 sm:bottom-16 sm:z-20 sm:gap-2 sm:p-2 lg:bottom-0 lg:left-32 xl:static xl:left-auto xl:rounded-xl xl:border-2 xl:p-3"
        >
            <div className="flex items-center gap-1 sm:gap-2">
                <h2 className="min-w-0 flex-1 text-base sm:text-lg">
                    {name}
                    <span className="sr-only sm:not-sr-only">: what was wrong?</span>
                </h2>
                <span className="flex gap-1 sm:hidden">
                    <SlipKey step={step} on={mark.out_of_order} onPress={drive.outOfOrder} />
                    <NoteKey step={step} note={mark.note ?? null} disabled={false} onNote={drive.note} />
                </span>
                <button type="button" className="key min-h-12 min-w-12 !px-3" aria-label="Nothing more to say" onClick={onDone}>
                    ✕
                </button>
            </div>
            <FaultAndEffect {...said} room="beside" onFault={drive.fault} />
        </section>
    );
}
