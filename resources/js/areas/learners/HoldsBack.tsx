import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '@/api/client';
import type { HeldBackBy, Skill } from '@/api/types';
import { mostOf } from '@/skill/words';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import { MarksList } from './MarksList';

const NAMED = 2;

/** Main thing to improve, in words, with how often it was seen; a press opens the marks that say so. */
export function HoldsBack({ learner, skill }: { learner: string; skill: Skill }) {
    const [open, setOpen] = useState<HeldBackBy | null>(null);
    const found = mostOf(skill.holds_back, NAMED);
    if (found.length === 0) return null;
    return (
        <section aria-labelledby="holds-back" className="grid content-start gap-2">
            <h2 id="holds-back" className="text-xl">
                Main thing to improve
            </h2>
            <ol className="grid gap-1">
                {found.map((one, i) => (
                    <li key={i}>
                        <button type="button" className="hover:bg-wash min-h-12 w-full rounded-lg text-left" onClick={() => setOpen(one)}>
                            <strong className={i === 0 ? 'text-lg' : ''}>{one.message}</strong>
                            <span className="text-quiet block">
                                {i === 0 ? 'fixing it would help most' : 'then this'} (
                                <span className="link">seen {one.evidence === 1 ? 'once' : `${one.evidence} times`}</span>)
                            </span>
                        </button>
                    </li>
                ))}
            </ol>
            <p className="text-quiet text-sm">Worked out from the marks. Your own judgement comes first.</p>
            {open && <MarksThatSaySo learner={learner} one={open} title={open.message} onClose={() => setOpen(null)} />}
        </section>
    );
}

function MarksThatSaySo({ learner, one, title, onClose }: { learner: string; one: HeldBackBy; title: string; onClose: () => void }) {
    const { step, section, routine, condition, side } = one;
    const asked = { step, section, routine, condition, side };
    const marks = useQuery({
        queryKey: ['learner', learner, 'marks', asked],
        queryFn: () => api.GET('/learners/{learner}/marks', { params: { path: { learner }, query: asked } }),
    });
    return (
        <Sheet title={title} about="The newest marks that say so, best and worst alike." open onOpenChange={(open) => !open && onClose()}>
            {marks.isLoading && <Waiting />}
            {marks.error && <Failed error={marks.error} retry={() => void marks.refetch()} />}
            {marks.data && <MarksList marks={marks.data} steps={step === null} />}
        </Sheet>
    );
}
