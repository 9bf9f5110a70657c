import type { LearnerHours } from '@/api/types';
import { CONDITIONS } from '@/skill/words';
import { conditionWords, IN_ORDER, lasting, type Part } from './parts';

interface Props {
    hours: LearnerHours;
    chosen: Part | null;
    onChoose: (part: Part | null) => void;
}

/** What it was driven in, kind by kind; each figure shows the drives behind it. */
export function PartsTable({ hours, chosen, onChoose }: Props) {
    const cell = (minutes: number) => (minutes > 0 ? lasting(minutes) : '–');
    return (
        <section aria-labelledby="parts" className="grid gap-2">
            <h2 id="parts" className="text-lg">
                Driven in
            </h2>
            <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Hours by what they were driven in">
                <table className="w-full text-left max-sm:text-sm">
                    <thead>
                        <tr className="border-hair border-b-2">
                            <th scope="col" className="py-1 pr-2">
                                <span className="sr-only">Driven in</span>
                            </th>
                            <th scope="col" className="py-1 pr-2 sm:pr-3 text-right">
                                Instructor
                            </th>
                            <th scope="col" className="py-1 pr-2 sm:pr-3 text-right">
                                Accompanied
                            </th>
                            <th scope="col" className="py-1 text-right">
                                Together
                            </th>
                        </tr>
                    </thead>
                    {IN_ORDER.map((kind) => (
                        <tbody key={kind}>
                            <tr>
                                <th scope="rowgroup" colSpan={4} className="pt-3 pb-1 font-semibold">
                                    {CONDITIONS[kind].title}
                                </th>
                            </tr>
                            {hours.parts
                                .filter((part) => part.kind === kind)
                                .map(({ condition, instructor, accompanied }) => {
                                    const isChosen = chosen?.kind === kind && chosen.condition === condition;
                                    return (
                                        <tr key={condition} className={`border-hair border-b ${isChosen ? 'bg-wash' : ''}`}>
                                            <th scope="row" className="py-0 pr-2 sm:pr-3 font-medium">
                                                <button
                                                    type="button"
                                                    className="link min-h-12 min-w-12 text-left print:no-underline"
                                                    aria-pressed={isChosen}
                                                    onClick={() => onChoose(isChosen ? null : { kind, condition })}
                                                >
                                                    {conditionWords({ kind, condition })}
                                                </button>
                                            </th>
                                            <td className="tabular py-1 pr-2 sm:pr-3 text-right whitespace-nowrap">{cell(instructor)}</td>
                                            <td className="tabular py-1 pr-2 sm:pr-3 text-right whitespace-nowrap">{cell(accompanied)}</td>
                                            <td className="tabular py-1 text-right font-semibold whitespace-nowrap">{lasting(instructor + accompanied)}</td>
                                        </tr>
                                    );
                                })}
                        </tbody>
                    ))}
                </table>
            </div>
            <p className="text-quiet text-sm">
                The minutes of a lesson are spread evenly over its rounds. Where nobody noted the light it is taken from the sun over the school.
            </p>
        </section>
    );
}
