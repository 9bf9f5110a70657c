import type { LanesAnswer } from '@/api/types';
import { useState } from 'react';
import { speedField } from '@/rules/speed';
import { useCompute } from '@/compute/useCompute';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { Slider } from '@/ui/Slider';
import { Big, BenchPage } from './BenchPage';
import { usePage } from './useBench';
import { SpeedSlider } from './sliders';
import { ArmsForm } from './ring/ArmsForm';
import { AsMet } from './ring/AsMet';
import { NextForm } from './ring/NextForm';
import { asked, painted, withLanes, type RingState } from '@/bench/ring';
import type { ChosenLane } from './ring/Paint';
import { RingPicture } from './ring/RingPicture';

const LAYOUTS = { roundabout: 'Roundabout', junction: '{Junction} with lanes' };
const NEXT = { '': 'Nothing', left: 'A turn left', right: 'A turn right', junction: 'A {junction} with lanes' };
const LOOKS = (look: string) => look.replaceAll('-', ' ');

/** Which lane, why, and what the others would cost: a roundabout drawn from its arms and lanes. */
export function LanesBench() {
    const { rules, say, state, set, setState } = usePage('lanes');
    const [ghost, setGhost] = useState<number | null>(null);
    const [chosen, setChosen] = useState<ChosenLane | null>(null);
    const inputs = asked(state, rules, speedField(rules.speed_unit));
    const { data, error, isPlaceholderData } = useCompute('lanes', inputs);
    const ours = state.arms.find((arm) => arm.name === state.from)?.lanes.length ?? 1;
    const names = state.arms.map((arm) => arm.name);
    const choose = (label: string, value: string, change: (name: string) => void) => (
        <Field label={label}>
            <select value={value} onChange={(event) => change(event.target.value)}>
                {names.map((name) => (
                    <option key={name}>{name}</option>
                ))}
            </select>
        </Field>
    );
    return (
        <BenchPage
            verdict={error || !data ? undefined : { head: `Approach in lane ${data.approach_lane}, leave in lane ${data.exit_lane}`, says: data.reasons[0] }}
            asked={{ tool: 'lanes', inputs }}
            // What cannot be reached is said beside the picture, which stays to be changed.
            answer={data ?? (error ? { assumptions: [], warnings: [] } : undefined)}
            error={null}
            controls={
                <>
                    <Field label="Layout">
                        <select value={state.layout} onChange={(event) => set({ layout: event.target.value as RingState['layout'] })}>
                            <Options of={LAYOUTS} say={say} />
                        </select>
                    </Field>
                    {choose('From', state.from, (from) => set({ from }))}
                    {choose('To', state.to, (to) => set({ to }))}
                    <Field label="Then soon">
                        <select value={state.next} onChange={(event) => set({ next: event.target.value as RingState['next'] })}>
                            <Options of={NEXT} say={say} />
                        </select>
                    </Field>
                    <SpeedSlider label="Approach" value={state.speed} onChange={(speed) => set({ speed })} />
                    {ours > 1 && (
                        <Slider
                            label="Coming in lane"
                            value={Math.min(state.lane, ours)}
                            min={1}
                            max={ours}
                            step={1}
                            words={String}
                            onChange={(lane) => set({ lane })}
                        />
                    )}
                    {state.layout === 'roundabout' && <Check label="Mini" checked={state.mini} onChange={(mini) => set({ mini })} />}
                </>
            }
            rarely={{
                said: state.passing || state.spirals || state.lights || state.oncoming,
                controls: (
                    <>
                        <Check label="Passing others" checked={state.passing} onChange={(passing) => set({ passing })} />
                        {state.layout === 'roundabout' && <Check label="Spirals as painted" checked={state.spirals} onChange={(spirals) => set({ spirals })} />}
                        {state.layout === 'roundabout' && <Check label="Lights at our line" checked={state.lights} onChange={(lights) => set({ lights })} />}
                        {state.layout === 'junction' && (
                            <Check label="Somebody opposite turns in too" checked={state.oncoming} onChange={(oncoming) => set({ oncoming })} />
                        )}
                    </>
                ),
            }}
        >
            <div className="grid gap-6 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
                <div className="grid content-start gap-3">
                    <RingPicture
                        state={state}
                        answer={error ? undefined : data}
                        keeps={rules.keeps}
                        ghost={ghost}
                        onTurn={(name, angle) => {
                            if (!state.arms.some((arm) => arm.name !== name && Math.abs(((arm.angle - angle + 540) % 360) - 180) < 15)) {
                                set({ arms: state.arms.map((arm) => (arm.name === name ? { ...arm, angle } : arm)) });
                            }
                        }}
                        onTo={(to) => set({ to })}
                        chosen={chosen}
                        onChoose={setChosen}
                        onPaint={(name) => chosen && setState((before) => painted(before, chosen.arm, chosen.lane, name))}
                    />
                    {chosen ? (
                        <div className="flex flex-wrap items-center gap-3">
                            <p className="font-semibold">
                                Lane {chosen.lane} of {chosen.arm}: press the end of an arm to paint it, or take it off.
                            </p>
                            <button type="button" className="key" onClick={() => setState((before) => withLanes(before, chosen.arm, 1))}>
                                A lane more
                            </button>
                            <button
                                type="button"
                                className="key"
                                onClick={() => {
                                    setState((before) => withLanes(before, chosen.arm, -1));
                                    setChosen(null);
                                }}
                            >
                                A lane fewer
                            </button>
                            <button type="button" className="key" data-tone="bare" onClick={() => setChosen(null)}>
                                Done
                            </button>
                        </div>
                    ) : (
                        <p className="text-quiet text-sm">
                            Drag an arm by its end to turn it; a double press makes it the way out. Press a lane to paint it. The form below does the same.
                        </p>
                    )}
                </div>
                <div className={`grid content-start gap-4 ${isPlaceholderData ? 'opacity-60' : ''}`}>
                    {error ? (
                        <p role="alert" className="font-semibold">
                            ▸ {error.message}
                        </p>
                    ) : (
                        data && <Answer answer={data} ghost={ghost} onGhost={setGhost} />
                    )}
                </div>
            </div>
            {!error && data && <AsMet state={state} answer={data} keeps={rules.keeps} unit={rules.length_unit} />}
            {state.next === 'junction' && <NextForm value={state.then} onChange={(then) => set({ then })} />}
            <ArmsForm state={state} onChange={setState} />
        </BenchPage>
    );
}

function Answer({ answer, ghost, onGhost }: { answer: LanesAnswer; ghost: number | null; onGhost: (lane: number | null) => void }) {
    return (
        <>
            <ul className="grid gap-1">
                {answer.reasons.slice(1).map((reason) => (
                    <li key={reason}>{reason}</li>
                ))}
            </ul>
            <dl className="grid grid-cols-2 gap-3">
                {answer.met.some((met) => met.angle_deg !== null) && <Big label="On it" value={answer.seconds_on_it.toFixed(1)} unit="s" />}
                {answer.onward && (
                    <Big
                        label={`Next junction: lane ${answer.onward.lane}, ${answer.onward.changes === 0 ? 'no change' : `${answer.onward.changes} to change`}`}
                        value={`${answer.onward.needed_m.toFixed(0)} of ${answer.onward.distance_m.toFixed(0)}`}
                        unit="m"
                    />
                )}
            </dl>
            <section aria-label="Signals">
                <h2 className="text-lg">Signals</h2>
                <ul>
                    {answer.signals.map((signal) => (
                        <li key={signal.where}>
                            {signal.where === 'approach' ? 'On the approach' : `Past ${signal.where}`}: {signal.side ?? 'none'}
                            {signal.off && <span className="text-quiet">, off {signal.off}</span>}
                        </li>
                    ))}
                </ul>
            </section>
            <section aria-label="On the way round">
                <h2 className="text-lg">On the way round</h2>
                <ol className="grid gap-1">
                    {answer.path.map((stretch) => (
                        <li key={stretch.sector}>
                            After {stretch.after}:{' '}
                            {stretch.action === 'keep'
                                ? `keep lane ${stretch.lane}`
                                : stretch.action === 'leave'
                                  ? 'leave'
                                  : `${stretch.action === 'move-out' ? 'move out' : 'move in'} to lane ${stretch.to_lane}`}
                            {stretch.mirrors.length > 0 && <span className="text-quiet"> ({stretch.mirrors.map(LOOKS).join(', ')})</span>}
                        </li>
                    ))}
                </ol>
            </section>
            {answer.acceptable_lanes.length > 1 && (
                <section aria-label="Other usable lanes">
                    <h2 className="text-lg">Other usable lanes</h2>
                    <ul className="grid gap-2">
                        {answer.acceptable_lanes.slice(1).map((lane) => (
                            <li key={lane.lane} className="flex flex-wrap items-center gap-3">
                                <button
                                    type="button"
                                    className="key"
                                    aria-pressed={ghost === lane.lane}
                                    onClick={() => onGhost(ghost === lane.lane ? null : lane.lane)}
                                >
                                    Lane {lane.lane}: {lane.extra.toFixed(1)} more
                                </button>
                                <span className="text-quiet text-sm">{lane.why.join('; ') || 'a little longer'}</span>
                            </li>
                        ))}
                    </ul>
                </section>
            )}
            <p className="text-quiet text-sm">A usable second-best lane is no fault; leaving it at the last moment is.</p>
        </>
    );
}
