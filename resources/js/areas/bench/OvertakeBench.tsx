import type { OvertakeAsked } from '@/api/types';
import { useCompute } from '@/compute/useCompute';
import { spoken } from '@/strip/words';
import { Check } from '@/ui/Check';
import { VehicleChoice } from '@/vehicles/VehicleChoice';
import { Big, BenchPage } from './BenchPage';
import { GearSlider, MetresSlider, SlopeSlider, SpeedSlider, SurfaceSelect } from './sliders';
import { useBench } from './useBench';
import { MomentKeys } from '@/road/MomentKeys';
import { CAR_M, LORRY_M } from '@/bench/others';
import { OvertakePicture } from '@/road/OvertakePicture';
import { useMoment } from '@/road/useMoment';
import { fromMps, inMps, speedWords } from '@/rules/speed';

const HEADS = { go: 'Long enough', marginal: 'Hardly any left: wait', 'drop-back': 'Drop back: that is right', unknown: 'Needs this much' };

/** Is the view long enough to pass, and from when on is there no going back. */
export function OvertakeBench() {
    const { rules, say, state, set, vehicle, field } = useBench('overtake');
    const inputs: OvertakeAsked = {
        pack: rules.pack,
        practice: rules.practice,
        surface: state.surface as OvertakeAsked['surface'],
        vehicle,
        [field('limit')]: state.limit,
        ...(state.other > 0 ? { [field('other_speed')]: state.other } : {}),
        [field('oncoming_speed')]: state.oncoming,
        other_length_m: state.long ? LORRY_M : CAR_M,
        gradient: state.slope / 100,
        ...(state.rehearsal ? { rehearsal: true } : { sight_m: state.sight }),
        ...(state.gear > 0 ? { gear: state.gear } : {}),
        ...(state.hold ? { hold_gear: true } : {}),
        ...(state.alone ? { followed: false } : {}),
    };
    const { data, error } = useCompute('overtake', inputs);
    const longest = data ? Math.ceil((data.time_s ?? 10) + 1) : 10;
    const moment = useMoment(longest);
    const now = data ? Math.min(data.profile.time_s.length - 1, Math.round(moment.seconds / 0.25)) : 0;
    return (
        <BenchPage
            verdict={data && { head: HEADS[data.verdict], says: data.message }}
            asked={{ tool: 'overtake', inputs }}
            answer={data}
            error={error}
            controls={
                <>
                    <VehicleChoice value={state.vehicle} onChange={(next) => set({ vehicle: next })} />
                    <SpeedSlider label="Limit" value={state.limit} onChange={(limit) => set({ limit })} />
                    <SpeedSlider
                        label="They drive"
                        value={state.other || Math.round(fromMps(data?.other_speed_mps ?? 0, rules.speed_unit))}
                        onChange={(other) => set({ other })}
                    />
                    <SpeedSlider label="Somebody comes at" value={state.oncoming} onChange={(oncoming) => set({ oncoming })} />
                    <MetresSlider label="Seen" value={state.sight} min={50} max={1000} onChange={(sight) => set({ sight })} />
                    <SlopeSlider value={state.slope} onChange={(slope) => set({ slope })} />
                    <GearSlider value={state.gear} onChange={(gear) => set({ gear })} />
                    <Check label={say('A {lorry}')} checked={state.long} onChange={(long) => set({ long })} />
                    <Check label="Stay in the gear" checked={state.hold} onChange={(hold) => set({ hold })} />
                    <Check label={say('Rehearsed on a {dual carriageway}')} checked={state.rehearsal} onChange={(rehearsal) => set({ rehearsal })} />
                    <Check label="Nobody behind us" checked={state.alone} onChange={(alone) => set({ alone })} />
                    <SurfaceSelect value={state.surface} onChange={(surface) => set({ surface })} />
                </>
            }
        >
            {data && (
                <div className="grid gap-4">
                    <OvertakePicture
                        answer={data}
                        keeps={rules.keeps}
                        unit={rules.length_unit}
                        seconds={moment.seconds}
                        sight={state.rehearsal ? null : state.sight}
                        oncoming={state.rehearsal ? null : inMps(state.oncoming, rules.speed_unit)}
                    />
                    <MomentKeys moment={moment} longest={longest} play="If we went" label="Since leaving the lane" />
                    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)]">
                        <div className="grid content-start gap-3">
                            <p className="text-quiet">
                                Now: {speedWords(data.profile.speed_mps[now] ?? 0, rules.speed_unit)}, gear {data.profile.gear[now]}, {data.profile.rpm[now]}{' '}
                                rpm
                                {data.point_of_no_return_s !== null &&
                                    (moment.seconds < data.point_of_no_return_s ? '; giving up is still the shorter way' : '; going on is now the shorter way')}
                            </p>
                            <ol className="grid gap-1" aria-label="Steps">
                                {data.steps.map((step, i) => (
                                    <li key={i}>
                                        <span className="tabular text-quiet inline-block w-16">{step.time_s.toFixed(1)} s</span> <strong>{step.step}</strong>{' '}
                                        {step.text}
                                    </li>
                                ))}
                            </ol>
                        </div>
                        <div className="grid content-start gap-3">
                            <dl className="grid grid-cols-2 gap-3">
                                <Big label="Out and back in" value={data.time_s?.toFixed(1) ?? 'never'} unit={data.time_s === null ? '' : 's'} />
                                <Big label="Our way" value={data.distance_m === null ? '–' : spoken(data.distance_m, rules.length_unit)} />
                                <Big label="View needed" value={data.sight_needed_m === null ? '–' : spoken(data.sight_needed_m, rules.length_unit)} />
                                <Big label="No return after" value={data.point_of_no_return_s?.toFixed(1) ?? '–'} unit="s" />
                                <Big label="At its end" value={data.speed_at_end_mps === null ? '–' : speedWords(data.speed_at_end_mps, rules.speed_unit)} />
                                <Big label="Turning at" value={data.rpm_at_end?.toFixed(0) ?? '–'} unit="rpm" />
                            </dl>
                            <p className="text-quiet text-sm">
                                Road design gives {spoken(data.sight_published_m, rules.length_unit)} at this limit. {data.difference}
                            </p>
                            <p className="text-quiet text-sm">Dropping back when it is not safe is a right decision, and is marked as one.</p>
                        </div>
                    </div>
                </div>
            )}
        </BenchPage>
    );
}
