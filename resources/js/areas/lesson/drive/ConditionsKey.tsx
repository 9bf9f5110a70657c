import { useState } from 'react';
import type { Conditions } from '@/api/types';
import { CONDITIONS, KINDS, noted } from '@/skill/words';
import { Sheet } from '@/ui/Sheet';

/** What the round is driven in: said once, it goes on to the next rounds. Parked only, like everything but the one mark. */
export function ConditionsKey({ conditions, onSaid }: { conditions: Conditions; onSaid: (conditions: Conditions) => void }) {
    const [open, setOpen] = useState(false);
    return (
        <>
            <button
                type="button"
                className="key min-h-[88px] w-full !px-3"
                aria-label={`Conditions: ${noted(conditions) || 'not noted'}`}
                onClick={() => setOpen(true)}
            >
                {noted(conditions) || 'Conditions?'}
            </button>
            <Sheet title="Conditions" about="Counts for this round and goes on to the next; press again to take it back." open={open} onOpenChange={setOpen}>
                {KINDS.map((kind) => (
                    <div key={kind} role="group" aria-label={CONDITIONS[kind].title} className="grid gap-1">
                        <h3 className="text-lg">{CONDITIONS[kind].title}</h3>
                        <div className="grid grid-cols-3 gap-2">
                            {Object.entries(CONDITIONS[kind].names).map(([name, words]) => (
                                <button
                                    key={name}
                                    type="button"
                                    className="key min-h-[88px] !px-1 text-lg"
                                    aria-pressed={conditions[kind] === name}
                                    onClick={() => onSaid({ ...conditions, [kind]: conditions[kind] === name ? undefined : name })}
                                >
                                    {words}
                                </button>
                            ))}
                        </div>
                    </div>
                ))}
                <button type="button" className="key" data-tone="main" onClick={() => setOpen(false)}>
                    Done
                </button>
            </Sheet>
        </>
    );
}
