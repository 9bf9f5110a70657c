import { useRef } from 'react';
import type { SightAnswer, SightAsked } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { BendView } from '@/road/sight/BendView';
import { crestHeight, dipHeight, seenAt } from '@/road/sight/geometry';
import { HillView } from '@/road/sight/HillView';
import { PastView } from '@/road/sight/PastView';
import { SeenBand } from '@/road/sight/SeenBand';
import { speedWords } from '@/rules/speed';
import { spoken } from '@/strip/words';
import { useWidth } from '@/strip/useWidth';
import { Check } from '@/ui/Check';
import { DataTable } from '@/ui/DataTable';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { Slider } from '@/ui/Slider';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { MetresSlider, SlopeSlider, SpeedSlider, SurfaceSelect } from './sliders';
import { useBench } from './useBench';

const HIDES = { bend: 'A bend', crest: 'A crest', dip: 'A dip', vehicle: 'A vehicle ahead' };
type Hides = keyof typeof HIDES;
const HEIGHT = 230;

const metres = (value: number) => `${value.toFixed(1)} m`;

/** How much of the road is seen, and how fast one may come for it. */
export function SightBench() {
    const { rules, state, set, vehicle, field, differs } = useBench('sight');
    const hides: Hides = state.hides in HIDES ? (state.hides as Hides) : 'bend';
    // As high as they are in the vehicle, until somebody says otherwise.
    const heights = { ...(state.eye > 0 ? { eye_height_m: state.eye } : {}), target_height_m: state.target };
    const inputs: SightAsked = {
        pack: rules.pack,
        practice: rules.practice,
        surface: state.surface as SightAsked['surface'],
        gradient: state.slope / 100,
        vehicle,
        [field('limit')]: state.limit,
        ...(state.narrow ? { narrow: true } : {}),
        ...{
            bend: { bend_radius_m: state.radius, offset_m: state.offset, bend_angle_deg: state.angle },
            crest: { crest: { length_m: state.rounded, gradient_change: state.change / 100 }, ...heights },
            dip: { dip: { length_m: state.length, depth_m: state.depth }, ...heights },
            vehicle: { vehicle_ahead: { distance_m: state.gap, width_m: state.wide, aside_m: state.aside } },
        }[hides],
    };
    const { data, error } = useCompute('sight', inputs);
    const metre = (label: string, name: 'offset' | 'depth' | 'wide' | 'aside' | 'target', min: number, max: number, step: number) => (
        <Slider label={label} value={state[name]} min={min} max={max} step={step} fine={step} words={metres} onChange={(value) => set({ [name]: value })} />
    );
    const long = (label: string, name: 'radius' | 'rounded' | 'length' | 'gap', min: number, max: number) => (
        <MetresSlider label={label} value={state[name]} min={min} max={max} onChange={(value) => set({ [name]: value })} />
    );
    return (
        <BenchPage
            verdict={data && { head: head(data, said(data.come_at_mps, rules.speed_unit), rules.length_unit), says: data.message }}
            asked={{ tool: 'sight', inputs }}
            answer={data}
            error={error}
            controls={
                <>
                    <Field label="What hides the road">
                        <select value={hides} onChange={(event) => set({ hides: event.target.value })}>
                            <Options of={HIDES} />
                        </select>
                    </Field>
                    <SpeedSlider label="Limit" value={state.limit} onChange={(limit) => set({ limit })} />
                    {hides === 'bend' && (
                        <>
                            {long('Its radius', 'radius', 20, 600)}
                            {metre('The hedge stands off our line', 'offset', 1, 15, 0.5)}
                            <Slider
                                label="It turns by"
                                value={state.angle}
                                min={10}
                                max={170}
                                step={5}
                                words={(degrees) => `${degrees}°`}
                                onChange={(angle) => set({ angle })}
                            />
                        </>
                    )}
                    {hides === 'crest' && (
                        <>
                            {long('Rounded over', 'rounded', 10, 400)}
                            <Slider
                                label="The slope changes by"
                                value={state.change}
                                min={1}
                                max={25}
                                step={1}
                                words={(change) => `${change} %`}
                                onChange={(change) => set({ change })}
                            />
                        </>
                    )}
                    {hides === 'dip' && (
                        <>
                            {long('From edge to edge', 'length', 20, 400)}
                            {metre('Deep', 'depth', 0.5, 10, 0.5)}
                        </>
                    )}
                    {hides === 'vehicle' && (
                        <>
                            {long('Behind it', 'gap', 5, 100)}
                            {metre('It is wide', 'wide', 0.8, 2.6, 0.1)}
                            {metre('We keep out by', 'aside', -0.6, 0.8, 0.1)}
                        </>
                    )}
                    <SurfaceSelect value={state.surface} onChange={(surface) => set({ surface })} />
                    <Check label="Too narrow for two" checked={state.narrow} onChange={(narrow) => set({ narrow })} />
                </>
            }
            rarely={{
                said: differs('eye', 'target', 'slope', 'vehicle'),
                controls: (
                    <>
                        <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} />
                        <SlopeSlider value={state.slope} onChange={(slope) => set({ slope })} />
                        {(hides === 'crest' || hides === 'dip') && (
                            <>
                                {data && (
                                    <Slider
                                        label="Our eyes"
                                        value={state.eye || data.eye_m}
                                        min={0.8}
                                        max={2.8}
                                        step={0.1}
                                        fine={0.1}
                                        words={metres}
                                        onChange={(eye) => set({ eye })}
                                    />
                                )}
                                {metre('What must be seen is high', 'target', 0, 3, 0.1)}
                            </>
                        )}
                    </>
                ),
            }}
        >
            {data && (
                <div className="grid gap-4">
                    <View answer={data} hides={hides} state={state} keeps={rules.keeps} />
                    {hides !== 'vehicle' && (
                        <>
                            <MetresSlider label="We are before it" value={state.from} min={-100} max={150} onChange={(from) => set({ from })} />
                            <SeenBand answer={data} unit={rules.length_unit} toGo={state.from} />
                        </>
                    )}
                    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
                        <dl className="grid grid-cols-2 content-start gap-3">
                            <Big label="Seen at the least" value={data.seen_m === null ? 'all' : spoken(data.seen_m, rules.length_unit)} />
                            {hides !== 'vehicle' && (
                                <>
                                    <Big label="One stops within it from" value={said(data.stop_within_mps, rules.speed_unit)} />
                                    <Big label="Within half of it from" value={said(data.meet_within_mps, rules.speed_unit)} />
                                </>
                            )}
                            {data.bend_mps !== null && <Big label="Comfortable in the bend" value={said(data.bend_mps, rules.speed_unit)} />}
                            {data.hidden && (
                                <Big
                                    label="Swallowed beyond the edge"
                                    value={`${spoken(data.hidden.from_m, rules.length_unit)} to ${spoken(data.hidden.to_m, rules.length_unit)}`}
                                />
                            )}
                        </dl>
                        <DataTable
                            label="What the view is long enough for"
                            heads={['Wanted', 'View needed', 'Too short']}
                            least={26}
                            rows={data.purposes.map((purpose) => ({
                                key: purpose.purpose,
                                strong: !purpose.enough,
                                head: purpose.words,
                                cells: [
                                    purpose.needed_m === null ? 'never done' : spoken(purpose.needed_m, rules.length_unit),
                                    where(purpose, rules.length_unit),
                                ],
                            }))}
                        />
                    </div>
                </div>
            )}
        </BenchPage>
    );
}

const said = (mps: number | null, unit: 'mph' | 'kmh') => (mps === null ? 'any speed' : speedWords(mps, unit));

/** The answer in a line. */
function head({ verdict, seen_m: seen, seen_by: by }: SightAnswer, speed: string, unit: 'm' | 'ft'): string {
    if (seen === null) return 'Nothing hides the road';
    if (by === 'vehicle' && verdict !== 'slower') return `${spoken(seen, unit)} seen past it`;
    return verdict === 'slower' ? `No faster than ${speed}` : 'Seen far enough for the limit';
}

/** Where the view is too short for something, as it is said. */
function where({ enough, short_from_m: from, short_to_m: to }: SightAnswer['purposes'][number], unit: 'm' | 'ft'): string {
    if (enough || from === null || to === null) return 'nowhere';
    const place = (toGo: number) => (toGo > 0.5 ? `${spoken(toGo, unit)} before it` : toGo < -0.5 ? `${spoken(-toGo, unit)} into it` : 'where it begins');
    return from === to ? place(from) : `${place(from)} to ${place(to)}`;
}

type Shown = Record<'radius' | 'offset' | 'angle' | 'rounded' | 'change' | 'length' | 'depth' | 'gap' | 'wide' | 'aside' | 'target' | 'from', number>;

/** What hides the road, and the view from where we are. */
function View({ answer, hides, state, keeps }: { answer: SightAnswer; hides: Hides; state: Shown; keeps: 'left' | 'right' }) {
    const frame = useRef<HTMLDivElement>(null);
    const width = useWidth(frame);
    const seen = hides === 'vehicle' ? answer.seen_m : seenAt(answer.profile, state.from);
    const shared = { width, height: HEIGHT, toGo: state.from, seen };
    return (
        <div ref={frame} className="bg-raised border-hair w-full min-w-0 overflow-hidden rounded-xl border-2">
            {width > 0 && (
                <svg width={width} height={HEIGHT} viewBox={`0 0 ${width} ${HEIGHT}`} className="block" role="img" aria-label={answer.message}>
                    {hides === 'bend' && (
                        <BendView {...shared} keeps={keeps} bend={{ radius: state.radius, angle: (state.angle * Math.PI) / 180 }} offset={state.offset} />
                    )}
                    {hides === 'crest' && (
                        <HillView
                            {...shared}
                            road={(along) => crestHeight(state.rounded, state.change / 100, along)}
                            long={state.rounded}
                            eye={answer.eye_m}
                            target={state.target}
                        />
                    )}
                    {hides === 'dip' && (
                        <HillView
                            {...shared}
                            road={(along) => dipHeight(state.length, state.depth, along)}
                            long={state.length}
                            eye={answer.eye_m}
                            target={state.target}
                        />
                    )}
                    {hides === 'vehicle' && <PastView {...shared} keeps={keeps} gap={state.gap} wide={state.wide} aside={state.aside} />}
                </svg>
            )}
        </div>
    );
}
