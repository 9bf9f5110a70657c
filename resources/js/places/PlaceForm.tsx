import { api, at } from '@/api/client';
import type { Light, Place, RoadFacts, Stretch, WayOut } from '@/api/types';
import { limitOf, usePlanned, useRoutine, useRules, useSay, withLimit } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { RoutineSelect } from '@/routines/RoutineSelect';
import { LIGHTS, WAYS_OUT } from '@/routines/words';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { FormFoot } from '@/ui/FormFoot';
import { Rarely } from '@/ui/Rarely';
import { useForm } from '@/ui/useForm';
import { alsoOf, withView } from './also';
import { AlsoThere } from './AlsoThere';
import { RoadMetFields, roadMetOf, typed } from './RoadMetFields';
import { slipFrom, slipOf } from './slip';
import { SlipFields } from './SlipFields';
import { StretchList } from './StretchList';

const JUNCTIONS = { '': 'A {crossroads}', 't-stem': 'A T, and ours ends there', 't-bar': 'A T, and ours goes on' };

interface Props {
    place?: Place;
    onKept: (place: Place) => unknown;
}

/** Describes a junction by what can be seen and paced out there. What is left empty takes the named default. */
export function PlaceForm({ place, onKept }: Props) {
    const rules = useRules();
    const say = useSay();
    const kept: RoadFacts = place?.road ?? {};
    const form = useForm({
        name: place?.name ?? '',
        routine: place?.routine ?? 'emerge-right',
        limit: limitOf(kept, rules),
        exit: kept.exit ?? 'ahead',
        light: kept.light ?? 'green',
        junction: kept.junction ?? '',
        control: kept.control ?? '',
        view: kept.view_from_m !== undefined ? 'measured' : (kept.view ?? 'open'),
        view_from_m: kept.view_from_m ?? 10,
        slope: Math.round((kept.gradient ?? 0) * 100),
        one_way: kept.one_way ?? false,
        road_width_m: kept.road_width_m?.toString() ?? '',
        room_m: kept.room_m?.toString() ?? '',
        sign_m: kept.sign?.at_m.toString() ?? '',
        sign_legible_m: kept.sign?.legible_m?.toString() ?? '',
        slip: slipFrom(kept, rules),
        met: typed(kept, rules),
        also: alsoOf(kept, Object.keys(kept)),
        openings: kept.openings ?? ([] as Stretch[]),
        parked: kept.parked ?? ([] as Stretch[]),
        note: place?.note ?? '',
    });
    const { values, errors, set } = form;
    const { by: planned } = usePlanned()(values.routine);
    const asks = useRoutine(values.routine)?.asks ?? [];
    const road: RoadFacts =
        planned !== 'approach'
            ? slipOf(planned, values.slip, values, rules)
            : withView({
                  ...withLimit({}, values.limit, rules),
                  ...(asks.includes('exit') ? { exit: values.exit } : {}),
                  ...(asks.includes('light') ? { light: values.light } : {}),
                  ...(asks.includes('junction') && values.junction ? { junction: values.junction as RoadFacts['junction'] } : {}),
                  ...(kept.then ? { then: kept.then } : {}),
                  ...(asks.includes('road_met') ? roadMetOf(values.met, rules) : {}),
                  ...(asks.includes('control') && values.control ? { control: values.control as RoadFacts['control'] } : {}),
                  ...(values.view === 'measured' ? { view_from_m: values.view_from_m } : { view: values.view as RoadFacts['view'] }),
                  ...(values.slope ? { gradient: values.slope / 100 } : {}),
                  ...(values.one_way ? { one_way: true } : {}),
                  ...(values.road_width_m ? { road_width_m: Number(values.road_width_m) } : {}),
                  ...(values.room_m ? { room_m: Number(values.room_m) } : {}),
                  ...(values.sign_m
                      ? { sign: { at_m: Number(values.sign_m), ...(values.sign_legible_m ? { legible_m: Number(values.sign_legible_m) } : {}) } }
                      : {}),
                  ...(values.openings.length ? { openings: values.openings } : {}),
                  ...(values.parked.length ? { parked: values.parked } : {}),
                  ...(asks.includes('turn_radius_m') && kept.turn_radius_m ? { turn_radius_m: kept.turn_radius_m } : {}),
                  ...alsoOf(values.also, asks),
              });
    const keep = () =>
        form.submit(async () => {
            const body = { name: values.name, routine: values.routine, note: values.note, road };
            await onKept(place ? await api.PUT('/places/{place}', { ...at({ place: place.id }), body }) : await api.POST('/places', { body }));
        });
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void keep();
            }}
        >
            <Field label="Name" hint="From which road into which." errors={errors.name}>
                <input required maxLength={160} value={values.name} onChange={(event) => set('name', event.target.value)} />
            </Field>
            <Field label="Routine" errors={errors.routine}>
                <RoutineSelect value={values.routine} onChange={(routine) => set('routine', routine)} />
            </Field>
            <div className="grid gap-4 sm:grid-cols-2">
                {planned !== 'join' && planned !== 'leave' && (
                    <Field label={`Limit, ${unitWords(rules.speed_unit)}`} errors={errors['road.limit_mph'] ?? errors['road.limit_kmh']}>
                        <input type="number" required min={5} max={100} value={values.limit} onChange={(event) => set('limit', event.target.valueAsNumber)} />
                    </Field>
                )}
                <Field label="Slope, %" hint="Uphill +, downhill −" errors={errors['road.gradient']}>
                    <input type="number" min={-30} max={30} value={values.slope} onChange={(event) => set('slope', event.target.valueAsNumber || 0)} />
                </Field>
                {planned === 'join' || planned === 'leave' ? (
                    <SlipFields kind={planned} value={values.slip} errors={errors} onChange={(slip) => set('slip', slip)} />
                ) : null}
                {planned === 'approach' && (
                    <>
                        {asks.includes('exit') && (
                            <Field label="Way out" errors={errors['road.exit']}>
                                <select value={values.exit} onChange={(event) => set('exit', event.target.value as WayOut)}>
                                    <Options of={WAYS_OUT} />
                                </select>
                            </Field>
                        )}
                        {asks.includes('light') && (
                            <Field label="Lights, as they usually are" errors={errors['road.light']}>
                                <select value={values.light} onChange={(event) => set('light', event.target.value as Light)}>
                                    <Options of={LIGHTS} />
                                </select>
                            </Field>
                        )}
                        {asks.includes('junction') && (
                            <Field label="The roads make" errors={errors['road.junction']}>
                                <select value={values.junction} onChange={(event) => set('junction', event.target.value)}>
                                    <Options of={JUNCTIONS} say={say} />
                                </select>
                            </Field>
                        )}
                        {asks.includes('control') && (
                            <Field label="Line" errors={errors['road.control']}>
                                <select value={values.control} onChange={(event) => set('control', event.target.value)}>
                                    <option value="">{say('{Give way}')}</option>
                                    <option value="stop">Stop</option>
                                </select>
                            </Field>
                        )}
                        {asks.includes('road_met') && <RoadMetFields value={values.met} errors={errors} onChange={(met) => set('met', met)} />}
                        <Field label="View into the other road" errors={errors['road.view']}>
                            <select value={values.view} onChange={(event) => set('view', event.target.value)}>
                                <option value="open">Open: from 20 m or more</option>
                                <option value="restricted">Restricted</option>
                                <option value="closed">Closed: only from the line</option>
                                <option value="measured">Measured</option>
                            </select>
                        </Field>
                        {values.view === 'measured' && (
                            <Field label="View opens at, m" errors={errors['road.view_from_m']}>
                                <input
                                    type="number"
                                    min={0}
                                    max={200}
                                    value={values.view_from_m}
                                    onChange={(event) => set('view_from_m', event.target.valueAsNumber)}
                                />
                            </Field>
                        )}
                        <Field label={say('Road, {kerb} to {kerb}, m')} hint="Leave blank for 7.3 m" errors={errors['road.road_width_m']}>
                            <input inputMode="decimal" value={values.road_width_m} onChange={(event) => set('road_width_m', event.target.value)} />
                        </Field>
                        <Field label="Room before the line, m" hint="Only where it is short" errors={errors['road.room_m']}>
                            <input inputMode="decimal" value={values.room_m} onChange={(event) => set('room_m', event.target.value)} />
                        </Field>
                        <Field label="Direction sign before the line, m" hint="For driving by the signs" errors={errors['road.sign.at_m']}>
                            <input inputMode="decimal" value={values.sign_m} onChange={(event) => set('sign_m', event.target.value)} />
                        </Field>
                        {values.sign_m && (
                            <Field label="Sign legible from, m" hint="Leave blank for 50 m" errors={errors['road.sign.legible_m']}>
                                <input inputMode="decimal" value={values.sign_legible_m} onChange={(event) => set('sign_legible_m', event.target.value)} />
                            </Field>
                        )}
                    </>
                )}
            </div>
            {planned === 'approach' && (
                <>
                    <Rarely said={Object.keys(values.also).length > 0}>
                        <div className="grid gap-4 py-2 sm:grid-cols-2">
                            <AlsoThere value={values.also} asks={asks} errors={errors} onChange={(also) => set('also', also)} />
                        </div>
                    </Rarely>
                    <label className="flex min-h-12 items-center gap-3">
                        <input type="checkbox" className="size-6" checked={values.one_way} onChange={(event) => set('one_way', event.target.checked)} />
                        Our road is one-way
                    </label>
                    <StretchList
                        title="Side roads or driveways before the turn"
                        value={values.openings}
                        onChange={(openings) => set('openings', openings)}
                        errors={errors}
                        field="openings"
                    />
                    <StretchList title="Parked cars" value={values.parked} onChange={(parked) => set('parked', parked)} errors={errors} field="parked" />
                </>
            )}
            <Field label="Note" errors={errors.note}>
                <input maxLength={500} value={values.note} onChange={(event) => set('note', event.target.value)} />
            </Field>
            <FormFoot message={form.message} busy={form.busy}>
                Keep the place
            </FormFoot>
        </form>
    );
}
