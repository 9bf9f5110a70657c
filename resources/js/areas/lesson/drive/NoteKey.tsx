import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { Step } from '@/api/types';
import { STEP_WORDS } from '@/strip/words';

/** A few words to one mark, written when parked. */
export function NoteKey({ step, note, disabled, onNote }: { step: Step; note: string | null; disabled: boolean; onNote: (step: Step, note: string) => void }) {
    const [open, setOpen] = useState(false);
    const [text, setText] = useState(note ?? '');
    const keep = () => {
        if (text !== (note ?? '')) onNote(step, text);
        setOpen(false);
    };
    return (
        <Popover.Root
            open={open}
            onOpenChange={(next) => {
                setText(note ?? '');
                setOpen(next);
            }}
        >
            <Popover.Trigger
                className="key min-h-12 w-full !gap-1 !px-2 text-sm sm:min-h-[88px] sm:flex-col sm:!gap-0 sm:!px-0"
                disabled={disabled}
                aria-label={`Note to ${STEP_WORDS[step].toLowerCase()}`}
                data-state={note ? 'on' : 'off'}
            >
                <span aria-hidden="true">✎</span>
                <span>note</span>
            </Popover.Trigger>
            <Popover.Portal>
                <Popover.Content
                    className="bg-paper border-ink z-50 grid w-80 gap-3 rounded-xl border-2 p-4 shadow-xl"
                    sideOffset={6}
                    aria-label={`Note to ${STEP_WORDS[step].toLowerCase()}`}
                >
                    <input
                        className="entry"
                        aria-label="Note"
                        maxLength={300}
                        value={text}
                        autoFocus
                        onChange={(event) => setText(event.target.value)}
                        onKeyDown={(event) => event.key === 'Enter' && keep()}
                    />
                    <button type="button" className="key" data-tone="main" onClick={keep}>
                        Keep
                    </button>
                </Popover.Content>
            </Popover.Portal>
        </Popover.Root>
    );
}
