import type { FollowingAnswer, FollowingAsked } from '@/api/types';
import { useCompute, useSwept } from '@/compute/useCompute';
import { Body, Mark, RoadFrame } from '@/road/RoadFrame';
import { saidSpeed, speedField } from '@/rules/speed';
import { spoken } from '@/strip/words';
import { DataTable } from '@/ui/DataTable';
import { Slider } from '@/ui/Slider';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { SpeedSlider, SurfaceSelect } from './sliders';
import { TwoPresses } from './TwoPresses';
import { useBench } from './useBench';

/** The speeds of the table, as signed. */
const SPEEDS = { mph: { from: 20, to: 70, step: 10 }, kmh: { from: 30, to: 120, step: 10 } };

/** Is the gap long enough: counted by two presses, or typed, against the one wanted on this surface; and how long easing off takes. */
export function FollowingBench() {
    const { rules, state, set, differs, vehicle, field } = useBench('following');
    const unit = rules.length_unit;
    const atAnySpeed = {
        pack: rules.pack,
        vehicle,
        surface: state.surface as NonNullable<FollowingAsked['surface']>,
        gap_s: state.gap,
        ...(state.theirs > 0 ? { [field('leader_speed')]: state.theirs } : {}),
    };
    const inputs = { ...atAnySpeed, [field('speed')]: state.speed } as FollowingAsked;
    const { data, error } = useCompute('following', inputs);
    const { all } = useSwept('following', atAnySpeed as FollowingAsked, { field: speedField(rules.speed_unit), ...SPEEDS[rules.speed_unit] }, state.speed);
    return (
        <BenchPage
            verdict={data && { head: head(data), says: says(data, unit) }}
            asked={{ tool: 'following', inputs }}
            answer={data}
            error={error}
            controls={
                <>
                    <TwoPresses first="They pass the mark" second="We pass it" onCounted={(gap) => set({ gap })} />
                    <Slider
                        label="Counted"
                        value={state.gap}
                        min={0}
                        max={10}
                        step={0.2}
                        fine={0.1}
                        words={(seconds) => `${seconds.toFixed(1)} s`}
                        onChange={(gap) => set({ gap: Number(gap.toFixed(1)) })}
                    />
                    <SpeedSlider label="We drive" value={state.speed} onChange={(speed) => set({ speed })} />
                    <SurfaceSelect value={state.surface} onChange={(surface) => set({ surface })} />
                </>
            }
            rarely={{
                said: differs('theirs', 'vehicle'),
                controls: (
                    <>
                        <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} />
                        <Slider
                            label="They drive"
                            value={state.theirs}
                            min={0}
                            max={rules.speed_unit === 'mph' ? 70 : 120}
                            step={1}
                            words={(speed) => (speed === 0 ? 'as we do' : saidSpeed(speed, rules.speed_unit))}
                            onChange={(theirs) => set({ theirs })}
                        />
                    </>
                ),
            }}
        >
            {data && (
                <div className="grid gap-4">
                    <FollowPicture answer={data} unit={unit} message={says(data, unit)} />
                    <dl className="grid grid-cols-2 gap-3 sm:grid-cols-4">
                        <Big label="Between you" value={spoken(data.gap_m, unit)} />
                        <Big label="Wanted" value={inSeconds(data.wanted_s)} unit={spoken(data.wanted_m, unit)} />
                        <Big label="Car lengths" value={data.car_lengths.toFixed(0)} />
                        <Big
                            label="Ease off for"
                            value={data.seconds_to_open_gap === null ? 'brake' : data.seconds_to_open_gap.toFixed(1)}
                            unit={data.seconds_to_open_gap === null ? '' : 's'}
                        />
                    </dl>
                    <p className="text-quiet">The one who sits beside counts: press as their back passes a mark on the road, and again as our front does.</p>
                    <DataTable
                        label="Other speeds"
                        heads={['We drive', 'Wanted', 'That is', 'Counted is']}
                        least={24}
                        rows={(all ?? []).map((one) => ({
                            key: one.at,
                            strong: one.at === state.speed,
                            head: saidSpeed(one.at, rules.speed_unit),
                            cells: [inSeconds(one.wanted_s), spoken(one.wanted_m, unit), spoken(one.gap_m, unit)],
                        }))}
                    />
                </div>
            )}
        </BenchPage>
    );
}

/** A rule of thumb as it is said; what a long vehicle wants more to the tenth. */
const inSeconds = (seconds: number) => `${Number(seconds.toFixed(1))} s`;

function head({ gap_s: gap, short_by_s: short }: FollowingAnswer): string {
    return short > 0 ? `Too close: ${short.toFixed(1)} s short` : `Far enough: ${gap.toFixed(1)} s`;
}

function says({ gap_m: gap, wanted_m: wanted, short_by_s: short, seconds_to_open_gap: opens }: FollowingAnswer, unit: 'm' | 'ft'): string {
    const between = `${spoken(gap, unit)} between you, ${spoken(wanted, unit)} wanted`;
    if (short <= 0) return `${between}.`;
    return opens === null ? `${between}: easing off alone does not open it. Brake, mirror first.` : `${between}: ease off for about ${opens.toFixed(1)} s.`;
}

/** Both cars from above, the gap there is and the one wanted. */
function FollowPicture({ answer, unit, message }: { answer: FollowingAnswer; unit: 'm' | 'ft'; message: string }) {
    const far = Math.max(answer.gap_m, answer.wanted_m) * 1.1 + 12;
    return (
        <RoadFrame from={-Math.max(8, answer.our_length_m + 2)} to={far} height={112} unit={unit} zero="our front" label={message}>
            {({ x, perMetre, width }) => (
                <>
                    <rect x={0} y={38} width={width} height={44} fill="var(--road)" />
                    <rect
                        x={x(0)}
                        y={52}
                        width={x(answer.gap_m) - x(0)}
                        height={16}
                        fill={answer.short_by_s > 0 ? 'none' : 'var(--now-fill)'}
                        stroke="var(--ink)"
                        strokeWidth={3}
                        strokeDasharray={answer.short_by_s > 0 ? '6 4' : undefined}
                    />
                    <Mark x={x(answer.wanted_m)} top={8} bottom={98} text={inSeconds(answer.wanted_s)} strong end={x(answer.wanted_m) > width - 50} />
                    <Body x={x(0)} y={60} long={Math.max(14, answer.our_length_m * perMetre)} ours />
                    <Body x={x(answer.gap_m) + Math.max(14, 4.5 * perMetre)} y={60} long={Math.max(14, 4.5 * perMetre)} />
                </>
            )}
        </RoadFrame>
    );
}
