import type { PriorityAnswer, PriorityAsked, WayOut } from '@/api/types';
import { askedLines, CAME, LINES, readLines, WAYS, type AtLine, type Came, type Line } from '@/bench/lines';
import { useCompute } from '@/compute/useCompute';
import { TurnsPicture } from '@/road/TurnsPicture';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { BenchPage } from './BenchPage';
import { usePage } from './useBench';

const HEADS = { go: 'Our turn', wait: 'Wait', agree: 'Nobody’s turn by rule' };
const PLACES = { 'all-way-stop': 'All-way stop', unmarked: '{Crossroads} without signs' };
const RULES: Record<PriorityAnswer['rule'], string> = {
    arrival: 'Who came first goes first; of those who came together the one on the right.',
    'from-the-right': 'Who comes from the right goes first.',
    nobody: 'Nobody has priority here.',
};

/** Who goes first where no sign, line or light says it: from who is at which line, where they go, and who came first. */
export function PriorityBench() {
    const { rules, say, state, set } = usePage('priority');
    const others = readLines(state.others);
    const inputs: PriorityAsked = {
        pack: rules.pack,
        ...(state.place in PLACES ? { place: state.place as PriorityAsked['place'] } : {}),
        goes: state.goes as WayOut,
        ...askedLines(others),
        ...(state.people ? { people: true } : {}),
    };
    const { data, error } = useCompute('priority', inputs);
    const change = (next: AtLine[]) => set({ others: JSON.stringify(next) });
    return (
        <BenchPage
            verdict={data && { head: HEADS[data.verdict], says: data.message }}
            asked={{ tool: 'priority', inputs }}
            answer={data}
            error={error}
            controls={
                <>
                    {data && data.places.length > 1 && (
                        <Field label="Where">
                            <select value={data.place} onChange={(event) => set({ place: event.target.value })}>
                                <Options of={PLACES} say={say} />
                            </select>
                        </Field>
                    )}
                    <Field label="We go">
                        <select value={state.goes} onChange={(event) => set({ goes: event.target.value })}>
                            <Options of={WAYS} />
                        </select>
                    </Field>
                    <Check label="Somebody on foot crosses our way" checked={state.people} onChange={(people) => set({ people })} />
                    <OthersForm others={others} counts={data?.rule === 'arrival'} onChange={change} />
                </>
            }
        >
            {data && (
                <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
                    <TurnsPicture answer={data} goes={state.goes as WayOut} others={others} keeps={rules.keeps} hasLines={data.place === 'all-way-stop'} />
                    <section aria-label="In which order" className="grid content-start gap-3">
                        <h2 className="text-xl">In which order</h2>
                        <ol className="grid gap-2 empty:hidden">
                            {data.order.map((group, i) => (
                                <li key={i}>
                                    <span className="font-semibold">{i + 1}</span>{' '}
                                    {group.map((line) => named(line, others, state.goes as WayOut)).join(', and at the same time ')}
                                </li>
                            ))}
                        </ol>
                        {inOrder(data) < others.length + 1 && <p>{data.order.length === 0 ? 'Eyes meet, and one goes.' : 'Then eyes meet, and one goes.'}</p>}
                        <p className="text-quiet">{RULES[data.rule]} To be first helps nobody who is not seen: go once they are seen to wait.</p>
                    </section>
                </div>
            )}
        </BenchPage>
    );
}

const inOrder = ({ order }: PriorityAnswer): number => order.flat().length;

function named(line: PriorityAnswer['order'][number][number], others: AtLine[], ours: WayOut): string {
    if (line === 'ours') return `we, ${WAYS[ours]}`;
    return `the one ${LINES[line].toLowerCase()}, ${WAYS[others.find((one) => one.line === line)?.goes ?? 'ahead']}`;
}

/** Line by line: nobody, or where they go and when they came. */
function OthersForm({ others, counts, onChange }: { others: AtLine[]; counts: boolean; onChange: (others: AtLine[]) => void }) {
    const put = (line: Line, part: Partial<AtLine> | null) => {
        const there = others.find((one) => one.line === line) ?? { line, goes: 'ahead', came: 'together' };
        const rest = others.filter((one) => one.line !== line);
        onChange(part ? [...rest, { ...there, ...part }] : rest);
    };
    return (
        <fieldset className="flex w-full flex-wrap items-end gap-x-5 gap-y-3">
            <legend className="sr-only">Who else is there</legend>
            {(Object.keys(LINES) as Line[]).map((line) => {
                const there = others.find((one) => one.line === line);
                return (
                    <div key={line} className="flex items-end gap-2">
                        <Field label={LINES[line]}>
                            <select
                                className="w-40"
                                value={there?.goes ?? ''}
                                onChange={(event) => put(line, event.target.value === '' ? null : { goes: event.target.value as WayOut })}
                            >
                                <option value="">nobody</option>
                                <Options of={WAYS} />
                            </select>
                        </Field>
                        {there && counts && (
                            <Field label="came">
                                <select className="w-36" value={there.came} onChange={(event) => put(line, { came: event.target.value as Came })}>
                                    <Options of={CAME} />
                                </select>
                            </Field>
                        )}
                    </div>
                );
            })}
        </fieldset>
    );
}
