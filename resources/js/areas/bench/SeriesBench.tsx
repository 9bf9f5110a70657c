import type { SeriesAnswer } from '@/api/types';
import { askedRow, isSlip, MOST_PARTS, readRow, turnedInto, type Part } from '@/bench/row';
import { useCompute } from '@/compute/useCompute';
import { RowPicture } from '@/road/RowPicture';
import { useRules, useSay } from '@/rules/rules';
import { speedWords, unitWords } from '@/rules/speed';
import { WhoWaits } from '@/strip/WhoWaits';
import { spoken } from '@/strip/words';
import { DataTable } from '@/ui/DataTable';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { BenchPage } from './BenchPage';
import { useBench } from './useBench';

const EXITS = { left: 'to the left', ahead: 'ahead', right: 'to the right', back: 'back' };

/** Several in a row: what each leaves the next, what is said together and by where, and who waits for whom. */
export function SeriesBench() {
    const { rules, say, state, set, differs, vehicle } = useBench('series');
    const name = useName();
    const row = readRow(state.row);
    const inputs = { pack: rules.pack, practice: rules.practice, vehicle, parts: askedRow(row, rules) };
    const { data, error } = useCompute('series', inputs);
    const names = row.map((part) => name(part));
    const change = (next: Part[]) => set({ row: JSON.stringify(next) });
    const first = data?.directions[0];
    return (
        <BenchPage
            verdict={
                data && {
                    head: headOf(data, names),
                    says: first && `Said by ${place(first, data, rules.length_unit)}: “${first.say}”`,
                }
            }
            asked={{ tool: 'series', inputs }}
            answer={data}
            error={error}
            controls={<RowForm row={row} onChange={change} />}
            rarely={{ said: differs('vehicle'), controls: <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} /> }}
        >
            {data && data.plans.length === row.length && (
                <div className="grid gap-5">
                    <RowPicture answer={data} names={names} unit={rules.length_unit} keeps={rules.keeps} />
                    <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
                        <Parts answer={data} names={names} />
                        <div className="grid content-start gap-5">
                            <section aria-label="What is said" className="grid gap-2">
                                <h2 className="text-xl">What is said</h2>
                                <ol className="grid gap-2">
                                    {data.directions.map((one) => (
                                        <li key={one.parts.join()}>
                                            <span className="font-semibold">“{one.say}”</span> by {place(one, data, rules.length_unit)}
                                            {!one.in_time && ', while the one before is still done: three at once are enough'}
                                        </li>
                                    ))}
                                </ol>
                                {data.directions.length === 0 && <p className="text-quiet">Nothing: the road is followed.</p>}
                            </section>
                            <section aria-label="Who waits for whom" className="grid gap-2">
                                <h2 className="text-xl">Who waits for whom</h2>
                                <ol className="grid gap-2">
                                    {names.map((one, i) => (
                                        <li key={i} hidden={!data.gives_way.some(({ part }) => part === i)}>
                                            <span className="font-semibold">
                                                {i + 1} {one}
                                            </span>
                                            <WhoWaits waits={data.gives_way.filter(({ part }) => part === i)} />
                                        </li>
                                    ))}
                                </ol>
                                <p className="text-quiet text-sm">{say('The signs, the lines and the law of the place decide.')}</p>
                            </section>
                        </div>
                    </div>
                </div>
            )}
        </BenchPage>
    );
}

/** What one of a row is called. */
function useName(): (part: Part) => string {
    const { routines } = useRules();
    const say = useSay();
    return ({ what, exit }) => {
        if (what === 'join') return say('{Slip road} on');
        if (what === 'leave') return say('{Slip road} off');
        const title = routines.find(({ code }) => code === what)?.title ?? what;
        return exit ? `${title}, ${EXITS[exit]}` : title;
    };
}

function headOf(answer: SeriesAnswer, names: string[]): string {
    const wrong = answer.plans.findIndex(({ fits }) => !fits);
    if (wrong < 0) return 'Each fits behind the one before';
    const one = answer.plans[wrong]!;
    if (wrong > 0 && one.verdict === 'both-in-one') return `${wrong + 1} ${names[wrong]}: no room behind the one before`;
    return `${wrong + 1} ${names[wrong]}: not as it is driven here`;
}

/** Where it has to be said: before the first of it; farther back than the one before, before the end of that. */
function place({ parts, say_at_m: at }: SeriesAnswer['directions'][number], answer: SeriesAnswer, unit: 'm' | 'ft'): string {
    const first = parts[0]!;
    const before = answer.plans[first - 1];
    const room = before ? answer.plans[first]!.at_m - before.at_m - before.length_m : Infinity;
    return at > room ? `${spoken(at - room, unit)} before the end of ${first}` : `${spoken(at, unit)} before ${first + 1}`;
}

function Parts({ answer, names }: { answer: SeriesAnswer; names: string[] }) {
    const { length_unit: unit, speed_unit: speeds } = useRules();
    const step = (one: SeriesAnswer['plans'][number], wanted: string): string => {
        const at =
            one.tool === 'approach'
                ? one.plan.steps.find((each) => each.step === wanted)?.best_m
                : one.tool === 'leave'
                  ? one.plan.events.find(({ kind }) => kind === wanted)?.at_m
                  : undefined;
        return at === undefined ? '' : spoken(at, unit);
    };
    return (
        <section aria-label="Each of them" className="grid content-start gap-3">
            <DataTable
                label="One after the other"
                least={34}
                heads={['What', 'Begins at', 'Come to it at', 'Mirrors before it', 'Signal before it']}
                rows={answer.plans.map((one, i) => ({
                    key: i,
                    strong: !one.fits,
                    head: `${one.fits ? '' : '▸ '}${i + 1} ${names[i]}`,
                    cells: [spoken(one.at_m, unit), speedWords(one.reached_mps, speeds), step(one, 'mirrors'), step(one, 'signal')],
                }))}
            />
            <ol className="grid gap-2">
                {answer.plans.map((one, i) => (
                    <li key={i} hidden={!one.message && one.tool !== 'join'} className={one.fits ? '' : 'font-semibold'}>
                        <span className="font-semibold">
                            {i + 1} {names[i]}
                        </span>
                        {one.message && `: ${one.message}`} {one.tool === 'join' && one.plan.message}
                    </li>
                ))}
            </ol>
        </section>
    );
}

/** What is met, in the order driven: each with where it begins. */
function RowForm({ row, onChange }: { row: Part[]; onChange: (row: Part[]) => void }) {
    const { routines, speed_unit: unit } = useRules();
    const say = useSay();
    const known = routines.filter((routine) => routine.has_approach && !routine.stands);
    const hasExit = (what: string) => Boolean(known.find(({ code }) => code === what)?.side_by_exit);
    const set = (i: number, part: Part) => onChange(row.map((one, n) => (n === i ? part : one)));
    const number = (said: string, then: (value: number) => void, least: number, most: number) => {
        const value = Number(said);
        if (said !== '' && Number.isFinite(value)) then(Math.min(most, Math.max(least, value)));
    };
    return (
        <fieldset className="grid w-full gap-2">
            <legend className="sr-only">In the order driven</legend>
            {row.map((part, i) => (
                <div key={i} role="group" aria-label={`${i + 1} of ${row.length}`} className="flex flex-wrap items-center gap-2">
                    <span className="tabular w-6 font-semibold" aria-hidden>
                        {i + 1}
                    </span>
                    <select
                        className="entry w-64"
                        aria-label={`What comes ${i + 1}`}
                        value={part.what}
                        onChange={(event) => set(i, turnedInto(part, event.target.value, hasExit(event.target.value)))}
                    >
                        <option value="join">{say('{Slip road} on')}</option>
                        <option value="leave">{say('{Slip road} off')}</option>
                        {known.map(({ code, title }) => (
                            <option key={code} value={code}>
                                {title}
                            </option>
                        ))}
                    </select>
                    {part.exit && (
                        <select
                            className="entry w-36"
                            aria-label={`Way out of ${i + 1}`}
                            value={part.exit}
                            onChange={(event) => set(i, { ...part, exit: event.target.value as NonNullable<Part['exit']> })}
                        >
                            {Object.entries(EXITS).map(([exit, words]) => (
                                <option key={exit} value={exit}>
                                    {words}
                                </option>
                            ))}
                        </select>
                    )}
                    {i > 0 && (
                        <label className="flex items-center gap-2">
                            after
                            <input
                                className="entry w-24"
                                type="number"
                                min={0}
                                max={5000}
                                aria-label={`From ${i} to ${i + 1}, m`}
                                value={part.at}
                                onChange={(event) => number(event.target.value, (at) => set(i, { ...part, at }), 0, 5000)}
                            />
                            m
                        </label>
                    )}
                    {isSlip(part) && (
                        <label className="flex items-center gap-2">
                            long
                            <input
                                className="entry w-24"
                                type="number"
                                min={20}
                                max={2000}
                                aria-label={say(`Length of {slip road} ${i + 1}, m`)}
                                value={part.slip}
                                onChange={(event) => number(event.target.value, (slip) => set(i, { ...part, slip }), 20, 2000)}
                            />
                            m
                        </label>
                    )}
                    {!(part.what === 'leave' && row[i - 1]?.what === 'join') && (
                        <label className="flex items-center gap-2">
                            {isSlip(part) ? 'traffic at' : 'limit'}
                            <input
                                className="entry w-20"
                                type="number"
                                min={10}
                                max={160}
                                aria-label={`${isSlip(part) ? 'Speed of the road' : 'Limit'} of ${i + 1}, ${unitWords(unit)}`}
                                value={part.speed}
                                onChange={(event) => number(event.target.value, (speed) => set(i, { ...part, speed }), 10, 160)}
                            />
                            {unitWords(unit)}
                        </label>
                    )}
                    {row.length > 2 && (
                        <button
                            type="button"
                            className="key"
                            data-tone="bare"
                            aria-label={`Take out ${i + 1}`}
                            onClick={() => onChange(row.filter((_, n) => n !== i))}
                        >
                            Take out
                        </button>
                    )}
                </div>
            ))}
            {row.length < MOST_PARTS && (
                <div>
                    <button
                        type="button"
                        className="key"
                        onClick={() => onChange([...row, { ...row[row.length - 1]!, at: Math.max(60, row[row.length - 1]!.at) }])}
                    >
                        Another behind it
                    </button>
                </div>
            )}
        </fieldset>
    );
}
