import type { StoppingAsked } from '@/api/types';
import { useSwept } from '@/compute/useCompute';
import { Body, Mark, RoadFrame } from '@/road/RoadFrame';
import { saidSpeed, speedField, speedRange, speedWords } from '@/rules/speed';
import { spoken } from '@/strip/words';
import { DataTable } from '@/ui/DataTable';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { Slider } from '@/ui/Slider';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { MetresSlider, SlopeSlider, SpeedSlider, SurfaceSelect } from './sliders';
import { useBench } from './useBench';

const MODELS = { '': 'As taught here', 'highway-code': '0.7 s and 6.6 m/s²', aashto: '2.5 s and 3.4 m/s², as roads are designed', own: 'Our own' };
type Model = keyof typeof MODELS;

/** Thinking and braking, what surface and hill make of it, and how fast one would still be where it had to be over. */
export function StoppingBench() {
    const { rules, state, set, differs, vehicle, field } = useBench('stopping');
    const unit = rules.length_unit;
    const model: Model = state.model in MODELS ? (state.model as Model) : '';
    const inputs = {
        pack: rules.pack,
        vehicle,
        surface: state.surface as NonNullable<StoppingAsked['surface']>,
        gradient: state.slope / 100,
        seen_m: state.seen,
        ...(model ? { model } : {}),
        ...(model === 'own' ? { reaction_s: state.reaction, decel_mps2: state.brake } : {}),
    };
    const range = speedRange(rules.speed_unit);
    const sweep = { field: speedField(rules.speed_unit), from: range.from, to: range.to, step: range.step };
    const { data, all, error } = useSwept('stopping', inputs as Omit<StoppingAsked, 'sweep'>, sweep, state.speed);
    const { data: dry } = useSwept('stopping', { ...inputs, surface: 'dry', gradient: 0 }, sweep, state.speed);
    const total = data?.total_m ?? null;
    const usual = dry?.total_m ?? null;
    return (
        <BenchPage
            verdict={
                data && {
                    head: total === null ? 'The brakes do not hold' : `${spoken(total, unit)} to stop`,
                    says:
                        total === null
                            ? 'On this hill and surface one does not stop: another road.'
                            : `${spoken(data.thinking_m, unit)} before the brakes act, ${spoken(data.braking_m ?? 0, unit)} braking, ${(data.total_s ?? 0).toFixed(1)} s in all.`,
                }
            }
            asked={{ tool: 'stopping', inputs: { ...inputs, [field('speed')]: state.speed } }}
            answer={data}
            error={error}
            controls={
                <>
                    <SpeedSlider label="Speed" value={state.speed} onChange={(speed) => set({ speed })} />
                    <SurfaceSelect value={state.surface} onChange={(surface) => set({ surface })} />
                    <SlopeSlider value={state.slope} onChange={(slope) => set({ slope })} />
                    <MetresSlider label="Somebody steps out at" value={state.seen} min={0} max={150} onChange={(seen) => set({ seen })} />
                </>
            }
            rarely={{
                said: differs('vehicle', 'model', 'reaction', 'brake'),
                controls: (
                    <>
                        <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} />
                        <Field label="Figures of">
                            <select value={model} onChange={(event) => set({ model: event.target.value })}>
                                <Options of={MODELS} />
                            </select>
                        </Field>
                        {model === 'own' && (
                            <>
                                <Slider
                                    label="Reaction"
                                    value={state.reaction}
                                    min={0.3}
                                    max={4}
                                    step={0.1}
                                    fine={0.1}
                                    words={(seconds) => `${seconds.toFixed(1)} s`}
                                    onChange={(reaction) => set({ reaction })}
                                />
                                <Slider
                                    label="Brakes, dry"
                                    value={state.brake}
                                    min={1}
                                    max={10}
                                    step={0.5}
                                    fine={0.1}
                                    words={(mps2) => `${mps2.toFixed(1)} m/s²`}
                                    onChange={(brake) => set({ brake })}
                                />
                            </>
                        )}
                    </>
                ),
            }}
        >
            {data && total !== null && (
                <div className="grid gap-4">
                    <StopPicture
                        thinking={data.thinking_m}
                        total={total}
                        usual={usual}
                        long={data.our_length_m}
                        unit={unit}
                        message={`${spoken(total, unit)} to stop`}
                    />
                    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)]">
                        <div className="grid content-start gap-3">
                            <dl className="grid grid-cols-2 gap-3">
                                <Big label="Before the brakes act" value={spoken(data.thinking_m, unit)} />
                                <Big label="Braking" value={spoken(data.braking_m ?? 0, unit)} />
                            </dl>
                            {data.reached_at_mps !== null && (
                                <p>
                                    Somebody who steps out {spoken(state.seen, unit)} ahead{' '}
                                    {data.reached_at_mps === 0 ? (
                                        <strong>is not reached: the car stands before them.</strong>
                                    ) : (
                                        <>
                                            is reached at <strong>{speedWords(data.reached_at_mps, rules.speed_unit)}</strong>
                                            {data.thinking_m >= state.seen ? ', before the brakes have acted.' : ', while braking.'}
                                        </>
                                    )}
                                </p>
                            )}
                        </div>
                        <DataTable
                            label="Other speeds"
                            heads={['Speed', 'Thinking', 'Braking', 'In all']}
                            least={22}
                            rows={(all ?? [])
                                .filter(({ at }) => at % 10 === 0 && at >= 20 && at <= range.to)
                                .map((one) => ({
                                    key: one.at,
                                    strong: one.at === state.speed,
                                    head: saidSpeed(one.at, rules.speed_unit),
                                    cells: [
                                        spoken(one.thinking_m, unit),
                                        one.braking_m === null ? '–' : spoken(one.braking_m, unit),
                                        one.total_m === null ? 'does not stop' : spoken(one.total_m, unit),
                                    ],
                                }))}
                        />
                    </div>
                </div>
            )}
        </BenchPage>
    );
}

interface Stop {
    thinking: number;
    total: number;
    usual: number | null;
    /** Of our vehicle, m. */
    long: number;
    unit: 'm' | 'ft';
    message: string;
}

/** The way to a stop in its two parts, and where it would end on a dry level road. */
function StopPicture({ thinking, total, usual, long, unit, message }: Stop) {
    const far = Math.max(total, usual ?? 0) * 1.12 + 4;
    return (
        <RoadFrame from={-long - 2} to={far} height={110} unit={unit} zero="seen" label={message}>
            {({ x, perMetre, width }) => (
                <>
                    <rect x={0} y={40} width={width} height={44} fill="var(--road)" />
                    <rect x={x(0)} y={54} width={x(thinking) - x(0)} height={16} fill="none" stroke="var(--ink)" strokeWidth={3} strokeDasharray="6 4" />
                    <rect x={x(thinking)} y={54} width={x(total) - x(thinking)} height={16} fill="var(--now-fill)" stroke="var(--ink)" strokeWidth={3} />
                    <Mark x={x(thinking)} top={8} bottom={84} text="brake" end={x(thinking) > width - 70} />
                    <Mark x={x(total)} top={22} bottom={84} text="stands" strong end={x(total) > width - 90} />
                    {usual !== null && Math.abs(usual - total) > 0.5 && (
                        <Mark x={x(usual)} top={84} bottom={104} text="dry and level" end={x(usual) > width - 110} />
                    )}
                    <Body x={x(0)} y={62} long={Math.max(12, long * perMetre)} ours />
                </>
            )}
        </RoadFrame>
    );
}
