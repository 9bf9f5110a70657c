import type { ReactNode } from 'react';
import type { FastPlan, LessonItem, RoutineLine } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { told } from '@/road/told';
import { Sketch } from '@/routines/Sketch';
import { useCards } from '@/routines/useCards';
import { useRoutineName, useRules } from '@/rules/rules';
import { OfTheWay } from '@/site/OfTheWay';
import { wantedFrom } from '@/strip/layout';
import { NotPlanned } from '@/strip/NotPlanned';
import { Strip } from '@/strip/Strip';
import { WhoWaits } from '@/strip/WhoWaits';
import { spoken, STEP_WORDS } from '@/strip/words';
import { NotShown } from '@/ui/NotShown';
import { describe } from '../plan/describe';
import { usePlaceDrawn } from '../usePlaceDrawn';

interface Props {
    item: LessonItem;
    ordinal: number;
    routine: RoutineLine | undefined;
}

/** One place of the sheet: how it looks from above, its strip, and each step where it belongs. */
export function SheetPlace({ item, ordinal, routine }: Props) {
    const rules = useRules();
    const name = useRoutineName();
    const { road } = item.place;
    const card = useCards(rules.pack).data?.find((candidate) => candidate.code === item.routine);
    return (
        <section aria-label={item.place.name} className="border-ink grid gap-2 border-t-2 pt-2 print:break-inside-avoid">
            <div className="flex items-start justify-between gap-4">
                <div>
                    <h2 className="text-xl">
                        {ordinal}. {item.place.name}
                    </h2>
                    <p>
                        {[routine?.title ?? name(item.routine), describe(road, rules), item.place.note].filter(Boolean).join('. ')} · {item.minutes} min
                    </p>
                </div>
                {card && <Sketch form={card.sketch} side={card.side} keeps={rules.keeps} title={card.title} place={road} size={110} />}
            </div>
            {item.plan.tool === 'approach' ? <Approach item={item} plan={item.plan} /> : <FastOne item={item} plan={item.plan} />}
            <OfTheWay place={item.place} />
        </section>
    );
}

function Approach({ item, plan }: { item: LessonItem; plan: Extract<LessonItem['plan'], { tool: 'approach' }> }) {
    const { answer, shown, error, refetch } = usePlaceDrawn(item, plan);
    if (answer) return <NotPlanned answer={answer} />;
    if (!shown) return error && <NotShown what="Its plan is not shown" error={error} retry={() => void refetch()} />;
    return (
        <>
            <Strip plan={shown} current="signal" onStep={() => undefined} from={wantedFrom(shown)} compact />
            <p>
                “{shown.direction}” at least {spoken(shown.saidBy, shown.unit)} before.
            </p>
            <Table>
                {shown.steps.map((step) => (
                    <Row key={step.step} head={STEP_WORDS[step.step]} at={spoken(step.best, shown.unit)}>
                        {step.do} <span className="text-quiet">Usual mistake: {step.usual_mistake}</span>
                    </Row>
                ))}
            </Table>
            <WhoWaits waits={shown.gives_way} />
            {[...shown.conflicts, ...shown.warnings].map((said) => (
                <p key={said.code} className="border-line border-l-4 pl-3">
                    {said.message}
                </p>
            ))}
        </>
    );
}

function FastOne({ item, plan }: { item: LessonItem; plan: FastPlan }) {
    const rules = useRules();
    const { data, error, refetch } = useCompute(plan.tool, plan.inputs);
    const card = useCards(rules.pack).data?.find((candidate) => candidate.code === item.routine);
    if (!data) return error && <NotShown what="What this road asks is not shown" error={error} retry={() => void refetch()} />;
    const { picture, says, behind } = told(data, item.place.road, rules);
    return (
        <>
            {picture}
            <p>
                <span className="font-semibold">{says}</span> {behind}
            </p>
            {card && (
                <Table>
                    {card.steps.map((step) => (
                        <Row key={step.step} head={STEP_WORDS[step.step]}>
                            {step.do} <span className="text-quiet">Usual mistake: {step.usual_mistake}</span>
                        </Row>
                    ))}
                </Table>
            )}
        </>
    );
}

const Table = ({ children }: { children: ReactNode }) => (
    <table className="w-full text-left text-sm">
        <tbody>{children}</tbody>
    </table>
);

const Row = ({ head, at, children }: { head: string; at?: string; children: ReactNode }) => (
    <tr className="border-hair border-t align-top">
        <th scope="row" className="py-1 pr-3 whitespace-nowrap">
            {head}
        </th>
        {at !== undefined && <td className="py-1 pr-3 whitespace-nowrap tabular-nums">{at}</td>}
        <td className="py-1">{children}</td>
    </tr>
);
