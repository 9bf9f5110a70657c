import { useMemo } from 'react';
import type { ApproachAsked, Light, WayOut } from '@/api/types';
import type { ApproachState } from '@/bench/approach';
import { PAGES } from '@/bench/pages';
import { asDriven } from '@/approach/Controls';
import { ApproachView } from '@/approach/ApproachView';
import { limitOf, useRoutine, useRoutineName, withLimit } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { KeepDrawing } from '@/drawings/KeepDrawing';
import { alsoOf, withView } from '@/places/also';
import { AlsoThere } from '@/places/AlsoThere';
import { RoadMetFields, roadMetOf, typed } from '@/places/RoadMetFields';
import { StretchList } from '@/places/StretchList';
import { QuestionFields } from '@/practice/QuestionFields';
import { useRulesOnOffer } from '@/practice/useRulesOnOffer';
import { LIGHTS, WAYS_OUT } from '@/routines/words';
import { RoutineSelect } from '@/routines/RoutineSelect';
import { useVehicle, VehicleChoice } from '@/vehicles/VehicleChoice';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { Rarely } from '@/ui/Rarely';
import { BenchNav } from './BenchPage';
import { ThenFields } from './ThenFields';
import { usePage } from './useBench';

/** Demo cars in which no clutch is worked. */
const WITHOUT_CLUTCH = new Set(['small-automatic', 'small-electric', 'hand-controls']);

/** Will it fit? The approach with everything that can be asked of it; its state is the address. */
export function ApproachBench() {
    const name = useRoutineName();
    const { rules, say, state, set } = usePage('approach');
    const routine = useRoutine(state.road.routine);
    const asks = routine?.asks ?? [];
    const onOffer = useRulesOnOffer();
    // Only what could move this plan: a choice that changes nothing is not offered.
    const moving = (onOffer.data?.questions ?? []).filter(
        ({ changes, routines, needs_clutch: clutch }) =>
            changes.includes('approach') && (routines.length === 0 || routines.includes(state.road.routine)) && !(clutch && WITHOUT_CLUTCH.has(state.car)),
    );
    const setRoad = (next: ApproachState['road']) => set({ road: strip(next) });
    const road = (part: Partial<ApproachState['road']>) => setRoad({ ...state.road, ...part });
    const also = alsoOf(state.road, asks);
    const vehicle = useVehicle(state.car);
    const inputs = useMemo<ApproachAsked>(
        () => ({
            pack: rules.pack,
            ...withView(withLimit(state.road, limitOf(state.road, rules), rules)),
            vehicle,
            learner_level: state.level,
            practice: { ...rules.practice, ...state.practice },
        }),
        [rules, state.road, vehicle, state.level, state.practice],
    );
    const number = (text: string) => (text === '' ? undefined : Number(text));
    const fields = (
        <section aria-label="The place, the car and the practice" className="border-hair screen-only grid gap-4 border-t-2 pt-4 sm:grid-cols-2 xl:grid-cols-3">
            <Field label="Routine">
                <RoutineSelect value={state.road.routine} onChange={(routine) => road({ routine, control: undefined, exit: undefined, light: undefined })} />
            </Field>
            <Field label={`Limit, ${unitWords(rules.speed_unit)}`}>
                <select value={limitOf(state.road, rules)} onChange={(event) => setRoad(withLimit(state.road, Number(event.target.value), rules))}>
                    {[...new Set([...rules.limits, limitOf(state.road, rules)])]
                        .sort((one, other) => one - other)
                        .map((limit) => (
                            <option key={limit}>{limit}</option>
                        ))}
                </select>
            </Field>
            {asks.includes('control') && (
                <Field label="Line">
                    <select value={state.road.control ?? 'give-way'} onChange={(event) => road({ control: event.target.value as 'give-way' | 'stop' })}>
                        <option value="give-way">{say('{Give way}')}</option>
                        <option value="stop">Stop</option>
                    </select>
                </Field>
            )}
            {asks.includes('exit') && (
                <Field label="Way out">
                    <select value={state.road.exit ?? 'ahead'} onChange={(event) => road({ exit: event.target.value as WayOut })}>
                        <Options of={WAYS_OUT} />
                    </select>
                </Field>
            )}
            {asks.includes('light') && (
                <Field label="Lights">
                    <select value={state.road.light ?? 'green'} onChange={(event) => road({ light: event.target.value as Light })}>
                        <Options of={LIGHTS} />
                    </select>
                </Field>
            )}
            <Field label="View">
                <select
                    value={state.road.view ?? 'open'}
                    onChange={(event) => road({ view: event.target.value as ApproachState['road']['view'], view_from_m: undefined })}
                >
                    <option value="open">Open</option>
                    <option value="restricted">Restricted</option>
                    <option value="closed">Closed</option>
                </select>
            </Field>
            <VehicleChoice value={state.car} onChange={(car) => set({ car })} />
            <Field label="Learner">
                <select value={state.level} onChange={(event) => set({ level: event.target.value as ApproachState['level'] })}>
                    <option value="beginner">Beginner</option>
                    <option value="developing">Developing</option>
                    <option value="independent">Independent</option>
                </select>
            </Field>
            <QuestionFields questions={moving} value={state.practice} onChange={(practice) => set({ practice })} otherwise={() => 'As in force'} />
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
            {asks.includes('turn_radius_m') && (
                <Field label="Radius of the turn, m">
                    <input
                        type="number"
                        min={3}
                        max={60}
                        step={0.5}
                        placeholder={routine?.turn_radius_m?.toString()}
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
                <input type="number" min={3} max={2000} value={state.road.room_m ?? ''} onChange={(event) => road({ room_m: number(event.target.value) })} />
            </Field>
            <Field label="Somebody passing">
                <select
                    value={state.road.passing_on ?? ''}
                    onChange={(event) => road({ passing_on: (event.target.value || undefined) as ApproachAsked['passing_on'] })}
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
            <ThenFields value={state.road.then} onChange={(then) => road({ then })} />
            <div className="sm:col-span-2 xl:col-span-3">
                <Rarely said={Object.keys(also).length > 0 || state.road.road_met !== undefined}>
                    <div className="grid gap-4 py-2 sm:grid-cols-2 xl:grid-cols-3">
                        <AlsoThere value={also} asks={asks} errors={{}} onChange={(next) => setRoad({ ...without(state.road, also), ...next })} />
                        {asks.includes('road_met') && (
                            <RoadMetFields
                                value={typed(state.road, rules)}
                                errors={{}}
                                onChange={(met) => road({ road_met: undefined, ...roadMetOf(met, rules) })}
                            />
                        )}
                    </div>
                </Rarely>
            </div>
            <div className="grid gap-4 sm:col-span-2 xl:col-span-3 lg:grid-cols-2">
                <StretchList
                    title="Side roads or driveways before the turn"
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
    );
    return (
        <div className="grid gap-4">
            <BenchNav />
            <header className="flex flex-wrap items-baseline gap-x-6">
                <h1 className="text-3xl">{say(PAGES.approach.title)}</h1>
                <p className="text-quiet">{name(state.road.routine)}</p>
                <KeepDrawing
                    title={name(state.road.routine)}
                    asked={{ tool: 'approach', inputs: { ...inputs, ...asDriven(state.conditions, rules.speed_unit) } }}
                />
            </header>
            <ApproachView inputs={inputs} conditions={state.conditions} onConditions={(conditions) => set({ conditions })} below={fields} />
        </div>
    );
}

function strip(road: ApproachState['road']): ApproachState['road'] {
    return Object.fromEntries(Object.entries(road as Record<string, unknown>).filter(([, value]) => value !== undefined)) as ApproachState['road'];
}

function without(road: ApproachState['road'], also: object): ApproachState['road'] {
    return Object.fromEntries(Object.entries(road).filter(([name]) => !(name in also))) as ApproachState['road'];
}
