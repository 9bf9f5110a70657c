import { useState, type ReactNode } from 'react';
import type { FastPlan, LessonItem } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { told } from '@/road/told';
import { useRules } from '@/rules/rules';
import { NotPlanned } from '@/strip/NotPlanned';
import type { Drawable, StripStep } from '@/strip/plan';
import { spoken, STEP_WORDS } from '@/strip/words';
import { Failed, Waiting } from '@/ui/State';
import { usePlaceDrawn } from '../usePlaceDrawn';
import { KerbPicture } from './KerbPicture';

/** One place as it is shown at the kerb. */
export function KerbPlace({ item }: { item: LessonItem }) {
    const { plan } = item;
    return plan.tool === 'approach' ? <Approach item={item} plan={plan} /> : <FastOne item={item} plan={plan} />;
}

function Approach({ item, plan }: { item: LessonItem; plan: Extract<LessonItem['plan'], { tool: 'approach' }> }) {
    const [wanted, setStep] = useState<StripStep | null>(null);
    const { answer, shown, error, refetch } = usePlaceDrawn(item, plan);
    if (error) return <Failed error={error} retry={() => void refetch()} />;
    if (answer) return <NotPlanned answer={answer} />;
    if (!shown) return <Waiting />;
    const step = shown.steps.find((candidate) => candidate.step === wanted) ?? shown.steps[0]!;
    return (
        <>
            <Faces
                picture={<KerbPicture plan={shown} step={step} />}
                says={step.do}
                number={{ value: spoken(step.best, shown.unit), of: `before ${before(shown)}` }}
                behind={step.why}
            />
            <div role="group" aria-label="Steps" className="flex flex-wrap gap-2">
                {shown.steps.map((one) => (
                    <button
                        key={one.step}
                        type="button"
                        className="key min-h-14 flex-1 !px-2 [@media(max-height:500px)]:min-h-12 text-[clamp(0.85rem,2vw,1.4rem)]"
                        aria-pressed={one.step === step.step}
                        onClick={() => setStep(one.step)}
                    >
                        {STEP_WORDS[one.step]}
                    </button>
                ))}
            </div>
        </>
    );
}

function FastOne({ item, plan }: { item: LessonItem; plan: FastPlan }) {
    const rules = useRules();
    const { data, error, refetch } = useCompute(plan.tool, plan.inputs);
    if (error) return <Failed error={error} retry={() => void refetch()} />;
    if (!data) return <Waiting />;
    return <Faces {...told(data, item.place.road, rules)} />;
}

/** What the metres or seconds lead to. */
function before({ axis, place }: Drawable): string {
    if (axis === 'time') return 'the wheels turn';
    if (place.turns_off) return 'the turn';
    return place.control === 'none' ? 'it' : 'the line';
}

interface FacesProps {
    picture: ReactNode;
    says: string;
    number: { value: string; of: string } | null;
    behind: string;
}

/** Large enough to be read from the passenger's side: the picture above, the number and the sentence below it. */
function Faces({ picture, says, number, behind }: FacesProps) {
    return (
        <>
            {picture && <div className="min-h-[16vh] flex-1 basis-0">{picture}</div>}
            <div aria-live="polite" className="grid max-h-[62%] shrink-0 gap-x-10 gap-y-1 overflow-y-auto sm:grid-cols-[auto_1fr] sm:items-center">
                {number && (
                    <p className="max-w-[34vw] max-sm:max-w-none">
                        <span className="font-display block text-[clamp(2.2rem,min(9vw,15vh),8rem)] leading-none font-bold whitespace-nowrap">
                            {number.value}
                        </span>
                        <span className="text-quiet text-[clamp(1rem,1.7vw,1.5rem)]">{number.of}</span>
                    </p>
                )}
                <div>
                    <p className="font-display text-[clamp(1.2rem,min(max(3.4vw,6.4vmin),6vh),3.4rem)] leading-tight font-bold text-balance">{says}</p>
                    <p className="text-quiet mt-2 text-[clamp(1rem,1.7vw,1.6rem)] [@media(max-height:500px)]:hidden leading-snug max-sm:hidden">{behind}</p>
                </div>
            </div>
        </>
    );
}
