import type { SweptPathAnswer, SweptPathAsked, WayOut } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { Slider } from '@/ui/Slider';
import { DEFAULT_KIND, useCars, useKinds, useVehicle, VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import type { StateOf } from '@/bench/pages';
import { useSay } from '@/rules/rules';
import { usePage } from './useBench';
import { BendPicture } from './long/BendPicture';
import { UnitsTable } from './long/UnitsTable';
import { LanePicture, WayPicture } from './long/WayPicture';
import { readUnits, writeUnits } from './long/ways';

type State = StateOf<'swept-path'>;

const WAYS = { bend: 'A corner', 's-bend': 'An S-bend', roundabout: 'A roundabout' };
const EXIT_WORDS: Record<WayOut, string> = { left: 'To the left', ahead: 'Straight over', right: 'To the right', back: 'Back where it came from' };
const metres = (value: number) => `${value} m`;

/** What the core is asked: the best line is looked for round a corner, and elsewhere where that is wanted; otherwise a way is followed as it is. */
function asked(state: State): SweptPathAsked {
    const between = state.best ? { lane_width_m: state.lane } : { kerbs: { left_m: state.left, right_m: state.right } };
    if (state.way === 's-bend')
        return {
            path: { s_bend: { radius_m: state.radius, angle_deg: Math.min(80, state.angle), between_m: state.between } },
            ...between,
        };
    if (state.way === 'roundabout')
        return {
            path: { roundabout: { radius_m: state.radius, exit: state.out in EXIT_WORDS ? (state.out as WayOut) : 'ahead' } },
            ...between,
        };
    return { bend: { kerb_radius_m: state.kerb, entry_width_m: state.entry, exit_width_m: state.exit, angle_deg: state.angle } };
}

/** Does it get round: a corner with its best line, an S-bend or a roundabout, to scale, with what is left at the kerbs. */
export function SweptPathBench() {
    const { rules, say, state, set } = usePage('swept-path');
    const vehicle = useVehicle(state.vehicle);
    const [kinds, cars] = [useKinds(), useCars()];
    const like = cars.data?.find((car) => car.id === state.vehicle)?.figures.like ?? state.vehicle;
    const kind = kinds.data?.find((one) => one.id === like) ?? kinds.data?.find((one) => one.id === DEFAULT_KIND);
    const own = readUnits(state.units);
    const inputs: SweptPathAsked = { pack: rules.pack, ...(own.length > 0 ? { units: own } : { vehicle }), ...asked(state) };
    const { data, error, isPlaceholderData } = useCompute('swept-path', inputs);
    const spares = data ? [data.spare_inside_m, data.spare_outside_m, data.spare_left_m, data.spare_right_m].filter((spare) => spare !== null) : [];
    const spare = Math.min(...spares);
    const to = (step: number, least: number, most: number, value: number) => Math.min(most, Math.max(least, Math.round(value / step) * step));
    return (
        <BenchPage
            verdict={
                data && {
                    head:
                        spare >= 0 ? `Fits with ${spare.toFixed(2)} m to spare` : `Does not fit: ${(data.cover_two?.missing_m ?? -spare).toFixed(2)} m missing`,
                }
            }
            asked={{ tool: 'swept-path', inputs }}
            answer={data}
            error={error}
            controls={
                <>
                    <Field label="Way">
                        <select value={state.way} onChange={(event) => set({ way: event.target.value })}>
                            <Options of={WAYS} />
                        </select>
                    </Field>
                    <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next, units: '' })} />
                    {state.way === 'roundabout' && (
                        <Field label="Way out">
                            <select value={state.out} onChange={(event) => set({ out: event.target.value })}>
                                <Options of={EXIT_WORDS} />
                            </select>
                        </Field>
                    )}
                    {state.way === 'bend' ? (
                        <>
                            <Slider
                                label={say('{Kerb} radius')}
                                value={state.kerb}
                                min={1}
                                max={30}
                                step={0.5}
                                words={metres}
                                onChange={(kerb) => set({ kerb })}
                            />
                            <Slider
                                label="Lane before"
                                value={state.entry}
                                min={2.75}
                                max={12}
                                step={0.25}
                                words={metres}
                                onChange={(entry) => set({ entry })}
                            />
                            <Slider label="Lane after" value={state.exit} min={2.75} max={12} step={0.25} words={metres} onChange={(exit) => set({ exit })} />
                        </>
                    ) : (
                        <>
                            <Slider
                                label={state.best ? 'Radius of the lane’s middle' : 'Radius of its line'}
                                value={state.radius}
                                min={8}
                                max={60}
                                step={0.5}
                                words={metres}
                                onChange={(radius) => set({ radius })}
                            />
                            {state.way === 's-bend' && (
                                <Slider
                                    label="Straight between"
                                    value={state.between}
                                    min={0}
                                    max={40}
                                    step={1}
                                    words={metres}
                                    onChange={(between) => set({ between })}
                                />
                            )}
                            <Check label="Look for the best line in a lane" checked={state.best} onChange={(best) => set({ best })} />
                            {state.best ? (
                                <Slider
                                    label="Lane, wide"
                                    value={state.lane}
                                    min={2.5}
                                    max={14}
                                    step={0.25}
                                    words={metres}
                                    onChange={(lane) => set({ lane })}
                                />
                            ) : (
                                <>
                                    <Slider
                                        label={say('{Kerb} on the left')}
                                        value={state.left}
                                        min={1.5}
                                        max={12}
                                        step={0.1}
                                        words={metres}
                                        onChange={(left) => set({ left })}
                                    />
                                    <Slider
                                        label={say('{Kerb} on the right')}
                                        value={state.right}
                                        min={1.5}
                                        max={12}
                                        step={0.1}
                                        words={metres}
                                        onChange={(right) => set({ right })}
                                    />
                                </>
                            )}
                        </>
                    )}
                    {state.way !== 'roundabout' && (
                        <Slider
                            label="Turns"
                            value={state.way === 's-bend' ? Math.min(80, state.angle) : state.angle}
                            min={state.way === 's-bend' ? 10 : 30}
                            max={state.way === 's-bend' ? 80 : 150}
                            step={5}
                            words={(value) => `${value}°`}
                            onChange={(angle) => set({ angle })}
                        />
                    )}
                </>
            }
        >
            {data && (
                <div
                    className={`grid gap-6 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] ${isPlaceholderData ? 'opacity-60' : ''}`}
                    aria-busy={isPlaceholderData}
                >
                    {data.line ? (
                        <BendPicture
                            answer={data}
                            kerb={state.kerb}
                            entry={state.entry}
                            exit={state.exit}
                            angle={state.angle}
                            onKerb={(kerb) => set({ kerb: to(0.5, 1, 30, kerb) })}
                            onEntry={(entry) => set({ entry: to(0.25, 2.75, 12, entry) })}
                            onExit={(exit) => set({ exit: to(0.25, 2.75, 12, exit) })}
                        />
                    ) : data.lane ? (
                        <LanePicture answer={data} lane={data.lane} />
                    ) : (
                        <WayPicture
                            answer={data}
                            left={state.left}
                            right={state.right}
                            onLeft={(left) => set({ left: Number(to(0.1, 1.5, 12, left).toFixed(1)) })}
                            onRight={(right) => set({ right: Number(to(0.1, 1.5, 12, right).toFixed(1)) })}
                        />
                    )}
                    <div className="grid content-start gap-4">
                        {data.cover_two && <p className="font-semibold">{data.cover_two.message}</p>}
                        {data.aim.length > 0 && (
                            <section aria-label="Where to aim" className="grid gap-1">
                                <h2 className="text-xl">Where to aim</h2>
                                <ol className="grid gap-1">
                                    {data.aim.map((one) => (
                                        <li key={one.where}>{one.message}</li>
                                    ))}
                                </ol>
                            </section>
                        )}
                        <Numbers answer={data} />
                        <p className="text-quiet">
                            {data.line
                                ? say('“From the {kerb}” is the middle of the front axle. Places along the way count from where the {kerb} begins to curve. ')
                                : data.lane
                                  ? say('Measured from the sides of the first unit at its front axle. The dashed line is the middle of that axle. ')
                                  : say('The dashed line is the middle of the front axle; the {kerb}s run beside it. ')}
                            Mirrors, signal and a look along the inside before and all the way round.
                        </p>
                    </div>
                    <UnitsTable
                        units={own.length > 0 ? own : (kind?.units ?? [])}
                        own={own.length > 0}
                        onChange={(units) => set({ units: writeUnits(units) })}
                        onForget={() => set({ units: '' })}
                    />
                </div>
            )}
        </BenchPage>
    );
}

function Numbers({ answer }: { answer: SweptPathAnswer }) {
    const say = useSay();
    const m = (value: number | null) => (value ?? 0).toFixed(2);
    return (
        <dl className="grid grid-cols-2 gap-3">
            {answer.line && (
                <>
                    <Big label={say('From the {kerb} before')} value={m(answer.line.entry_from_kerb_m)} unit="m" />
                    <Big label={say('From the {kerb} after')} value={m(answer.line.exit_from_kerb_m)} unit="m" />
                    <Big
                        label={answer.line.begin_at_m < 0 ? 'Begin before the curve' : 'Begin past the curve’s start'}
                        value={Math.abs(answer.line.begin_at_m).toFixed(1)}
                        unit="m"
                    />
                    <Big label="Radius of the front" value={answer.line.radius_m.toFixed(1)} unit="m" />
                </>
            )}
            <Big label="Last axle cuts in" value={m(answer.off_tracking_m.most)} unit="m" />
            <Big label="Tail swings out" value={m(answer.tail_swing_m)} unit="m" />
            {answer.line ? (
                <>
                    <Big label={say('Left at the {kerb}')} value={m(answer.spare_inside_m)} unit="m" />
                    <Big label="Left at the outer edge" value={m(answer.spare_outside_m)} unit="m" />
                </>
            ) : (
                <>
                    <Big label="Spare on the left" value={m(answer.spare_left_m)} unit="m" />
                    <Big label="Spare on the right" value={m(answer.spare_right_m)} unit="m" />
                </>
            )}
        </dl>
    );
}
