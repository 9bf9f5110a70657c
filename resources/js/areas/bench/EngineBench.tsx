import { useSay } from '@/rules/rules';
import { useState } from 'react';
import type { EngineAnswer, EngineAsked, Rules } from '@/api/types';
import { speedField, speedRange, saidSpeed } from '@/rules/speed';
import { useCompute, useSwept } from '@/compute/useCompute';
import { speedWords } from '@/rules/speed';
import { DataTable } from '@/ui/DataTable';
import { Field } from '@/ui/Field';
import { Slider } from '@/ui/Slider';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { GearChart } from './GearChart';
import { TwoPresses } from './TwoPresses';
import { useBench } from './useBench';

const PURPOSES: Record<string, string> = { cruise: 'to hold the speed', pull: 'to pull', 'slip-road': 'on a {slip road}, {mph:20} more', creep: 'to creep' };

/** Engine speed against road speed in every gear, and what a change asks of the revs. */
export function EngineBench() {
    const { rules, say, state, set, differs, vehicle, field } = useBench('engine');
    const range = speedRange(rules.speed_unit);
    const said = (value: number) => saidSpeed(value, rules.speed_unit);
    const [many, setMany] = useState(1);
    const gear = (wanted: number) => Math.min(many, Math.max(1, wanted));
    // Timed by a watch it is what the watch said; otherwise as it is set.
    const falls: Pick<EngineAsked, 'rev_fall_s' | 'rev_fall_measured'> =
        state.watch > 0
            ? { rev_fall_measured: { from_rpm: Math.max(state.watchFrom, state.watchTo + 100), to_rpm: state.watchTo, time_s: state.watch } }
            : { rev_fall_s: state.falls };
    const inputs = {
        pack: rules.pack,
        vehicle,
        gradient: state.slope / 100,
        ...falls,
        ...(many > 1 ? { from_gear: gear(state.from), to_gear: gear(state.to) } : {}),
    };
    const { data, error, isPlaceholderData } = useSwept(
        'engine',
        inputs,
        { field: speedField(rules.speed_unit), from: range.step, to: range.to, step: range.step },
        state.speed,
    );
    // How many gears there are, the answer knows: only then is a change asked for.
    if (data && !isPlaceholderData && data.gears.length !== many) setMany(data.gears.length);
    const run = useCompute('engine', {
        pack: rules.pack,
        vehicle,
        gradient: state.slope / 100,
        [field('speed')]: state.speed,
        [field('to_speed')]: Math.max(state.upTo, state.speed + range.step),
    });
    const gears = Array.from({ length: many }, (_, i) => i + 1);
    const choose = (label: string, value: number, change: (gear: number) => void) => (
        <Field label={label}>
            <select value={gear(value)} onChange={(event) => change(Number(event.target.value))}>
                {gears.map((one) => (
                    <option key={one}>{one}</option>
                ))}
            </select>
        </Field>
    );
    return (
        <BenchPage
            verdict={data && { head: headline(data), says: data.changes.find(({ to_gear: to }) => to === gear(state.to))?.message }}
            asked={{ tool: 'engine', inputs: { ...inputs, [field('speed')]: state.speed } }}
            answer={data}
            error={error}
            controls={
                <>
                    <VehicleChoice
                        value={state.vehicle}
                        onChange={(next) => {
                            setMany(1);
                            set({ vehicle: next });
                        }}
                    />
                    <Slider
                        label="Speed"
                        value={state.speed}
                        min={range.step}
                        max={range.to}
                        step={range.step}
                        words={said}
                        onChange={(speed) => set({ speed })}
                    />
                    <Slider
                        label="Slope"
                        value={state.slope}
                        min={-15}
                        max={15}
                        step={1}
                        words={(value) => (value === 0 ? 'level' : `${Math.abs(value)} % ${value > 0 ? 'uphill' : 'downhill'}`)}
                        onChange={(slope) => set({ slope })}
                    />
                    {many > 1 && choose('From', state.from, (from) => set({ from }))}
                    {many > 1 && choose('To', state.to, (to) => set({ to }))}
                </>
            }
            {...(data && data.changes.length > 0
                ? {
                      rarely: {
                          said: differs('falls', 'watch'),
                          controls: <RevFall falls={state.falls} from={state.watchFrom} to={state.watchTo} watch={state.watch} onChange={set} />,
                      },
                  }
                : {})}
        >
            {data && (
                <div className="grid gap-6 lg:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
                    <GearChart answer={data} from={many > 1 ? gear(state.from) : 1} to={many > 1 ? gear(state.to) : null} unit={rules.speed_unit} />
                    <div className="grid content-start gap-4">
                        <dl className="grid grid-cols-2 gap-3">
                            <Big label={`In ${data.gear}`} value={Math.round(data.rpm).toLocaleString('en-GB')} unit="rpm" />
                            {data.rpm_after_shift !== null && (
                                <Big label={`In ${gear(state.to)}`} value={Math.round(data.rpm_after_shift).toLocaleString('en-GB')} unit="rpm" />
                            )}
                        </dl>
                        {data.rule_of_thumb && <p className="border-line border-l-4 pl-3">{data.rule_of_thumb.message}</p>}
                        <div className="grid gap-2">
                            <Slider
                                label={say('{Accelerator} right down, up to')}
                                value={Math.max(state.upTo, state.speed + range.step)}
                                min={2 * range.step}
                                max={range.to + 10}
                                step={range.step}
                                words={said}
                                onChange={(upTo) => set({ upTo })}
                            />
                            {run.data?.run && <Run run={run.data.run} unit={rules.speed_unit} />}
                        </div>
                        <ul className="grid gap-2">
                            {data.choices.map((choice) => (
                                <li key={choice.purpose}>
                                    <span className="font-semibold">
                                        {say(PURPOSES[choice.purpose] ?? '')}: {choice.gear}
                                    </span>{' '}
                                    <span className="text-quiet text-sm">{choice.reason}</span>
                                </li>
                            ))}
                        </ul>
                    </div>
                    {data.changes.length > 0 && <FootTable answer={data} />}
                    <GearTable answer={data} />
                </div>
            )}
        </BenchPage>
    );
}

/** What the left foot waits for; without a change what the engine does. */
function headline({ rev_change: change, rpm, gear }: EngineAnswer): string {
    if (change === null || change === 0) return `${Math.round(rpm).toLocaleString('en-GB')} rpm in ${gear}`;
    return `Match the revs: about ${Math.round(Math.abs(change) / 50) * 50} ${change > 0 ? 'more' : 'fewer'} before the clutch comes up.`;
}

/** How fast the revs of this car fall: set, or timed while parked with the clutch down. */
function RevFall({ falls, from, to, watch, onChange }: RevFallProps) {
    const say = useSay();
    const rpm = (label: string, value: number, change: (value: number) => void) => (
        <Slider label={label} value={value} min={1000} max={5000} step={100} words={(revs) => `${revs.toLocaleString('en-GB')} rpm`} onChange={change} />
    );
    return (
        <>
            {watch === 0 && (
                <Slider
                    label="Two thirds of the revs are gone in"
                    value={falls}
                    min={0.2}
                    max={5}
                    step={0.1}
                    words={(seconds) => `${seconds.toFixed(1)} s`}
                    onChange={(next) => onChange({ falls: next })}
                />
            )}
            {rpm('Timed from', from, (watchFrom) => onChange({ watchFrom }))}
            {rpm('to', to, (watchTo) => onChange({ watchTo }))}
            <TwoPresses first="Revs at the first: foot off" second="At the second" onCounted={(seconds) => onChange({ watch: Math.max(0.1, seconds) })} />
            {watch > 0 && (
                <button type="button" className="key" data-tone="bare" onClick={() => onChange({ watch: 0 })}>
                    Forget the {watch.toFixed(1)} s
                </button>
            )}
            <p className="text-quiet w-full text-sm">{say('Timed parked, in neutral with the clutch down. A cold {gearbox} wants a slower change.')}</p>
        </>
    );
}

interface RevFallProps {
    falls: number;
    from: number;
    to: number;
    /** Taken by two presses, s; 0 where it was not. */
    watch: number;
    onChange: (said: { falls?: number; watchFrom?: number; watchTo?: number; watch?: number }) => void;
}

const FEET: Record<string, string> = { nothing: 'foot off', hold: 'hold a little', add: 'add some', blip: 'blip' };

/** From this gear to every other: what the right foot does. */
function FootTable({ answer }: { answer: EngineAnswer }) {
    return (
        <div className="grid min-w-0 gap-2 lg:col-span-2">
            <h2 className="text-xl">From {answer.gear}: what the right foot does</h2>
            <DataTable
                label={`From ${answer.gear}: what the right foot does`}
                least={30}
                heads={['To', 'Right foot', 'Wait', 'Asks for, rpm', 'They fall to, rpm']}
                rows={answer.changes.map((change) => ({
                    key: change.to_gear,
                    quiet: change.foot === null,
                    head: change.to_gear,
                    cells: [
                        change.foot === null ? (change.wait_s === null ? 'too high a gear' : 'brake first') : FEET[change.foot],
                        change.wait_s ? `${change.wait_s.toFixed(1)} s` : '',
                        Math.round(change.rpm_after).toLocaleString('en-GB'),
                        Math.round(change.falls_to_rpm).toLocaleString('en-GB'),
                    ],
                }))}
            />
        </div>
    );
}

/** What gaining speed takes, changes of gear and all. */
function Run({ run, unit }: { run: NonNullable<EngineAnswer['run']>; unit: Rules['speed_unit'] }) {
    if (!run.reached) return <p className="font-semibold">Does not get there: {speedWords(run.speed_mps, unit)} is all this hill leaves.</p>;
    return (
        <p>
            <span className="font-display text-2xl font-bold">
                {run.time_s.toFixed(1)} s, {Math.round(run.distance_m)} m
            </span>{' '}
            <span className="text-quiet">
                {run.changes.length === 0
                    ? `all of it in ${run.gear}`
                    : `changing ${run.changes.map((change) => `${change.from_gear} to ${change.to_gear}`).join(', ')}`}
            </span>
        </p>
    );
}

function GearTable({ answer }: { answer: EngineAnswer }) {
    const say = useSay();
    return (
        <div className="min-w-0 lg:col-span-2">
            <DataTable
                label="Gear by gear"
                least={34}
                heads={['Gear', 'rpm', 'm/s for 1000 rpm', say('{Accelerator} down, m/s²'), 'released, m/s²', 'To know']}
                rows={answer.gears.map((gear) => ({
                    key: gear.gear,
                    head: gear.gear,
                    cells: [
                        Math.round(gear.rpm),
                        gear.speed_per_1000_rpm_mps.toFixed(1),
                        gear.over_revs ? '–' : gear.accel_available_mps2.toFixed(2),
                        gear.engine_braking_mps2.toFixed(2),
                        gear.over_revs ? 'above the red line' : gear.labours ? 'labours' : gear.accel_available_mps2 < 0 ? 'loses speed' : '',
                    ],
                }))}
            />
        </div>
    );
}
