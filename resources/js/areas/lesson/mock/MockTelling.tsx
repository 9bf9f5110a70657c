import { useState } from 'react';
import type { Conditions, Effect, Fault, Lesson, Step } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { useClock } from '@/session/session';
import { StepOptions } from '@/strip/StepOptions';
import { STEP_WORDS } from '@/strip/words';
import { Field } from '@/ui/Field';
import { ConditionsKey } from '../drive/ConditionsKey';
import { itemOf, notDriven, told, untold, without, type MockFault, type MockTest } from './mockTest';

interface Props {
    lesson: Lesson;
    test: MockTest;
    onChange: (test: MockTest) => void;
    onSend: (conditions: Conditions) => void;
    onDriveOn: () => void;
    onThrowAway: () => void;
    refused: string | null;
    busy: boolean;
}

/** At the kerb: of each fault its step, where it was, its kind and whom it troubled; then what it comes to. */
export function MockTelling({ lesson, test, onChange, onSend, onDriveOn, onThrowAway, refused, busy }: Props) {
    const [conditions, setConditions] = useState<Conditions>({});
    const left = untold(test).length;
    return (
        <section aria-labelledby="telling" className="grid max-w-4xl gap-6">
            <div className="flex flex-wrap items-center justify-between gap-3">
                <h2 id="telling" className="text-2xl">
                    {test.faults.length === 0 ? 'No fault was pressed' : 'What it was'}
                </h2>
                <div className="flex flex-wrap gap-2">
                    <button type="button" className="key" onClick={onDriveOn}>
                        Drive on
                    </button>
                    <button type="button" className="key" data-tone="bare" onClick={onThrowAway}>
                        Throw it away
                    </button>
                </div>
            </div>
            <ol className="grid gap-4">
                {test.faults.map((fault, i) => (
                    <Telling key={fault.id} {...{ lesson, test, fault, onChange }} number={i + 1} />
                ))}
            </ol>
            {test.ways.length > 0 && <Driven {...{ lesson, test, onChange }} />}
            <div className="max-w-sm">
                <ConditionsKey conditions={conditions} onSaid={setConditions} />
            </div>
            <Field label="Note">
                <input maxLength={500} value={test.note} onChange={(event) => onChange({ ...test, note: event.target.value })} />
            </Field>
            {refused && (
                <p role="alert" className="font-semibold">
                    ▸ {refused} It is kept on this device.
                </p>
            )}
            <div className="flex flex-wrap items-center gap-4">
                <button type="button" className="key min-h-[72px] px-8" data-tone="main" disabled={busy || left > 0} onClick={() => onSend(conditions)}>
                    What it comes to
                </button>
                {left > 0 && <p className="text-quiet">Of {left === 1 ? '1 fault' : `${left} faults`} it is not said yet whom they troubled.</p>}
            </div>
        </section>
    );
}

interface TellingProps extends Pick<Props, 'lesson' | 'test' | 'onChange'> {
    fault: MockFault;
    number: number;
}

function Telling({ lesson, test, fault, number, onChange }: TellingProps) {
    const rules = useRules();
    const clock = useClock();
    const item = itemOf(
        lesson,
        test.ways.find(({ id }) => id === fault.way),
    );
    const kinds = rules.faults[fault.step] ?? {};
    const likely = rules.routines.find(({ code }) => code === item?.routine)?.faults[fault.step] ?? [];
    const change = (changes: Parameters<typeof told>[2]) => onChange(told(test, fault.id, changes));
    const title = `Fault ${number}, ${STEP_WORDS[fault.step]}, ${clock.time(fault.at)}`;
    return (
        <li aria-label={title} className={`grid gap-3 border-l-8 pl-4 ${fault.effect === null ? 'border-now' : 'border-line'}`}>
            <div className="flex flex-wrap items-end gap-3">
                <p className="figure min-w-16 self-center">{clock.time(fault.at)}</p>
                <Field label="Step">
                    <select value={fault.step} onChange={(event) => change({ step: event.target.value as Step })}>
                        <StepOptions />
                    </select>
                </Field>
                <Field label="Where">
                    <select className="max-w-60" value={fault.way ?? ''} onChange={(event) => change({ way: event.target.value || null })}>
                        <option value="">between the ways</option>
                        {test.ways.map((way) => (
                            <option key={way.id} value={way.id}>
                                {itemOf(lesson, way)?.place.name ?? 'no longer on the plan'}, {clock.time(way.at)}
                            </option>
                        ))}
                    </select>
                </Field>
                <Field label="Kind">
                    <select
                        className="max-w-60"
                        value={fault.fault ?? ''}
                        onChange={(event) => change({ fault: (event.target.value || null) as Fault | null })}
                    >
                        <option value="">not said</option>
                        {[...likely, ...Object.keys(kinds).filter((kind) => !likely.includes(kind as Fault))].map((kind) => (
                            <option key={kind} value={kind}>
                                {kinds[kind] ?? kind}
                            </option>
                        ))}
                    </select>
                </Field>
                <button type="button" className="key" aria-label={`${title}: it was none`} onClick={() => onChange(without(test, fault.id))}>
                    It was none
                </button>
            </div>
            <p className="-mb-2 text-sm font-semibold">Others</p>
            <div role="group" aria-label={`Others, fault ${number}`} className="grid grid-cols-2 gap-2 sm:grid-cols-4">
                {(Object.keys(rules.effects) as Effect[]).map((effect) => (
                    <button
                        key={effect}
                        type="button"
                        className="key min-h-16 !px-2 leading-tight"
                        aria-pressed={fault.effect === effect}
                        onClick={() => change({ effect })}
                    >
                        {rules.effects[effect]}
                    </button>
                ))}
            </div>
        </li>
    );
}

/** The ways that were driven to: what went without a fault on them counts as done alone. */
function Driven({ lesson, test, onChange }: Pick<Props, 'lesson' | 'test' | 'onChange'>) {
    const name = useRoutineName();
    const clock = useClock();
    return (
        <section aria-labelledby="driven">
            <h3 id="driven" className="border-hair border-b-2 pb-1 text-lg">
                Ways driven
            </h3>
            <ul>
                {test.ways.map((way) => {
                    const item = itemOf(lesson, way);
                    const words = item?.place.name ?? 'no longer on the plan';
                    return (
                        <li key={way.id} className="border-hair flex flex-wrap items-center gap-x-3 border-b">
                            <span className="figure min-w-16">{clock.time(way.at)}</span>
                            <span className="min-w-0 flex-1 py-2">
                                {words}
                                {item && <span className="text-quiet"> · {name(item.routine)}</span>}
                            </span>
                            <button
                                type="button"
                                className="link min-h-12"
                                aria-label={`${words}, ${clock.time(way.at)}: not driven`}
                                onClick={() => onChange(notDriven(test, way.id))}
                            >
                                Not driven
                            </button>
                        </li>
                    );
                })}
            </ul>
        </section>
    );
}
