import { useState } from 'react';
import { api, at } from '@/api/client';
import type { LearnerFacts } from '@/api/types';
import { useRules } from '@/rules/rules';
import { RulesForm } from '@/practice/RulesForm';
import { useRulesOnOffer } from '@/practice/useRulesOnOffer';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';

/** Rules and practice of one learner, where they are not the instructor's. */
export function LearnsBy({ learner, onKept }: { learner: LearnerFacts; onKept: () => Promise<unknown> }) {
    const [open, setOpen] = useState(false);
    const rules = useRules();
    const notice = useNotice();
    const onOffer = useRulesOnOffer();
    const own = Object.keys(learner.practice).length + (learner.pack ? 1 : 0);
    return (
        <>
            <button type="button" className="key" onClick={() => setOpen(true)}>
                Teaching choices{own > 0 && ` · ${own} of their own`}
            </button>
            <Sheet
                title={`Teaching choices for ${learner.name}`}
                about="What is left as it is follows the instructor and the school."
                open={open}
                onOpenChange={setOpen}
            >
                {open && onOffer.data && (
                    <RulesForm
                        value={{ pack: learner.pack, practice: learner.practice }}
                        above={{ pack: rules.pack, practice: rules.practice }}
                        whose="Your choice"
                        packs={onOffer.data.packs}
                        questions={onOffer.data.questions}
                        onKeep={async (chosen) => {
                            await api.PUT('/learners/{learner}/rules', { ...at({ learner: learner.id }), body: chosen });
                            await onKept();
                            setOpen(false);
                            notice({ text: `Plans of ${learner.name} follow it from now on.` });
                        }}
                    />
                )}
            </Sheet>
        </>
    );
}
