import { useMemo } from 'react';
import { ApproachView } from '@/approach/ApproachView';
import { read, write, type BenchState } from '@/approach/address';
import type { ApproachInputs, RoutineCode } from '@/api/types';
import { useAddress } from '@/app/useAddress';
import { useSession } from '@/app/session';
import { KeepDrawing } from '@/drawings/KeepDrawing';
import { StretchList } from '@/places/StretchList';
import { ROUTINE_WORDS } from '@/strip/words';
import { Field } from '@/ui/Field';
import { BenchNav } from './BenchPage';

/** Will it fit? The approach with everything that can be asked of it; its state is the address. */
export function ApproachBench() {
    const { school } = useSession();
    const [state, setState] = useAddress(read, write);
    const change = (part: Partial<BenchState>) => setState((before) => ({ ...before, ...part }));
    const road = (part: Partial<BenchState['road']>) => setState((before) => ({ ...before, road: strip({ ...before.road, ...part }) }));
    const inputs = useMemo<ApproachInputs>(
        () => ({
            pack: school.pack,
            ...state.road,
            vehicle: state.car,
            learner_level: state.level,
            practice: { signal: state.signal, gears: state.gears, t_junction: state.line, look: state.look },
        }),
        [school.pack, state.road, state.car, state.level, state.signal, state.gears, state.line, state.look],
    );
    const emerges = state.road.routine.startsWith('emerge');
    const number = (text: string) => (text === '' ? undefined : Number(text));
    return (
        <div className="grid gap-4">
            <BenchNav />
            <header className="flex flex-wrap items-baseline gap-x-6">
                <h1 className="text-3xl">Approach</h1>
                <p className="text-quiet">{ROUTINE_WORDS[state.road.routine]}</p>
                <KeepDrawing title={ROUTINE_WORDS[state.road.routine]} />
            </header>
            <ApproachView inputs={inputs} conditions={state.conditions} onConditions={(conditions) => change({ conditions })} />
            <section
                aria-label="The place, the car and the practice"
                className="border-hair screen-only grid gap-4 border-t-2 pt-4 sm:grid-cols-2 lg:grid-cols-4"
            >
                <Field label="Routine">
                    <select value={state.road.routine} onChange={(event) => road({ routine: event.target.value as RoutineCode, control: undefined })}>
                        {Object.entries(ROUTINE_WORDS).map(([code, words]) => (
                            <option key={code} value={code}>
                                {words}
                            </option>
                        ))}
                    </select>
                </Field>
                <Field label="Limit, mph">
                    <select value={state.road.limit_mph ?? 30} onChange={(event) => road({ limit_mph: Number(event.target.value) })}>
                        {[20, 30, 40, 50, 60, 70].map((limit) => (
                            <option key={limit}>{limit}</option>
                        ))}
                    </select>
                </Field>
                {emerges && (
                    <Field label="Line">
                        <select value={state.road.control ?? 'give-way'} onChange={(event) => road({ control: event.target.value as 'give-way' | 'stop' })}>
                            <option value="give-way">Give way</option>
                            <option value="stop">Stop</option>
                        </select>
                    </Field>
                )}
                <Field label="View">
                    <select
                        value={state.road.view ?? 'open'}
                        onChange={(event) => road({ view: event.target.value as BenchState['road']['view'], view_from_m: undefined })}
                    >
                        <option value="open">Open</option>
                        <option value="restricted">Restricted</option>
                        <option value="closed">Closed</option>
                    </select>
                </Field>
                <Field label="Car">
                    <select value={state.car} onChange={(event) => change({ car: event.target.value })}>
                        <option value="small-petrol-hatch">Small petrol hatch, manual</option>
                        <option value="small-automatic">Small automatic</option>
                        <option value="small-electric">Small electric car</option>
                        <option value="hand-controls">Hand controls</option>
                    </select>
                </Field>
                <Field label="Learner">
                    <select value={state.level} onChange={(event) => change({ level: event.target.value as BenchState['level'] })}>
                        <option value="beginner">Beginner</option>
                        <option value="developing">Developing</option>
                        <option value="independent">Independent</option>
                    </select>
                </Field>
                <Field label="Signal rule">
                    <select value={state.signal} onChange={(event) => change({ signal: event.target.value })}>
                        <option value="limit-number">The limit’s number in metres</option>
                        <option value="car-lengths">Nine car lengths</option>
                        <option value="braking-lead">Two seconds before the brake</option>
                    </select>
                </Field>
                <Field label="Gears">
                    <select value={state.gears} onChange={(event) => change({ gears: event.target.value })}>
                        <option value="block">One block change</option>
                        <option value="sequential">Down through the gears</option>
                    </select>
                </Field>
                {emerges && (
                    <Field label="At the line">
                        <select value={state.line} onChange={(event) => change({ line: event.target.value })}>
                            <option value="by-level">By the learner’s level</option>
                            <option value="stop-first">Stop first</option>
                            <option value="ready-to-roll">Ready to roll</option>
                        </select>
                    </Field>
                )}
                <Field label="Looking">
                    <select value={state.look} onChange={(event) => change({ look: event.target.value })}>
                        <option value="alternate">Both ways until clear</option>
                        <option value="right-left-right">Right, left, right</option>
                    </select>
                </Field>
                <Field label="Road width, m">
                    <input
                        type="number"
                        min={4}
                        max={30}
                        step={0.1}
                        placeholder="7.3"
                        value={state.road.road_width_m ?? ''}
                        onChange={(event) => road({ road_width_m: number(event.target.value) })}
                    />
                </Field>
                {!emerges && (
                    <Field label="Radius of the turn, m">
                        <input
                            type="number"
                            min={3}
                            max={60}
                            step={0.5}
                            placeholder={state.road.routine === 'turn-left' ? '8' : '11'}
                            value={state.road.turn_radius_m ?? ''}
                            onChange={(event) => road({ turn_radius_m: number(event.target.value) })}
                        />
                    </Field>
                )}
                <Field label="Comfortable braking, m/s²">
                    <input
                        type="number"
                        min={0.5}
                        max={6}
                        step={0.1}
                        placeholder="2"
                        value={state.road.comfort_decel_mps2 ?? ''}
                        onChange={(event) => road({ comfort_decel_mps2: number(event.target.value) })}
                    />
                </Field>
                <Field label="Room before the line, m">
                    <input
                        type="number"
                        min={3}
                        max={2000}
                        value={state.road.room_m ?? ''}
                        onChange={(event) => road({ room_m: number(event.target.value) })}
                    />
                </Field>
                <Field label="Somebody passing">
                    <select
                        value={state.road.passing_on ?? ''}
                        onChange={(event) => road({ passing_on: (event.target.value || undefined) as ApproachInputs['passing_on'] })}
                    >
                        <option value="">Nobody</option>
                        <option value="left">On the left</option>
                        <option value="right">On the right</option>
                    </select>
                </Field>
                <label className="flex min-h-12 items-center gap-3 self-end">
                    <input
                        type="checkbox"
                        className="size-6"
                        checked={state.road.one_way ?? false}
                        onChange={(event) => road({ one_way: event.target.checked || undefined })}
                    />
                    One-way street
                </label>
                <div className="grid gap-4 sm:col-span-2 lg:col-span-4 lg:grid-cols-2">
                    <StretchList
                        title="Openings before ours"
                        field="openings"
                        errors={{}}
                        value={state.road.openings ?? []}
                        onChange={(openings) => road({ openings: openings.length ? openings : undefined })}
                    />
                    <StretchList
                        title="Parked cars"
                        field="parked"
                        errors={{}}
                        value={state.road.parked ?? []}
                        onChange={(parked) => road({ parked: parked.length ? parked : undefined })}
                    />
                </div>
            </section>
        </div>
    );
}

function strip(road: BenchState['road']): BenchState['road'] {
    return Object.fromEntries(Object.entries(road).filter(([, value]) => value !== undefined)) as BenchState['road'];
}
