import type { ReactNode } from 'react';
import { api, at } from '@/api/client';
import type { Vehicle, VehicleFigures } from '@/api/types';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useForm } from '@/ui/useForm';
import { Consequences } from '@/vehicles/Consequences';
import { DEFAULT_KIND, useKinds } from '@/vehicles/VehicleChoice';
import { useSay } from '@/rules/rules';
import { FIGURES, forCore, read, typed } from '@/vehicles/vehicle';

/** A car of the school: what plans, briefs and marks need to know of it. */
export function CarForm({ car, onKept, children }: { car?: Vehicle; onKept: (car: Vehicle) => unknown; children?: ReactNode }) {
    const say = useSay();
    const { values, setValues, errors, set, busy, message, submit } = useForm({
        name: car?.name ?? '',
        transmission: car?.transmission ?? 'manual',
        controls: car?.controls ?? 'standard',
        length_m: car?.length_m ?? 4.5,
        width_m: car?.width_m ?? 1.8,
        like: car?.figures.like ?? DEFAULT_KIND,
        figures: typed(car?.figures ?? {}),
    });
    const kinds = useKinds();
    const kind = kinds.data?.find((one) => one.id === values.like);
    const { like, ...rest } = values;
    const facts = { ...rest, figures: { ...read(values.figures), ...(like === DEFAULT_KIND ? {} : { like }) } };
    /** Another kind brings its own gearbox, controls and size; what was typed of the data sheet stays. */
    const choose = (id: NonNullable<VehicleFigures['like']>) => {
        const next = kinds.data?.find((one) => one.id === id);
        if (next) setValues({ ...values, like: id, transmission: next.transmission, controls: next.controls, length_m: next.length_m, width_m: next.width_m });
    };
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void submit(
                    async () =>
                        await onKept(
                            car
                                ? await api.PUT('/vehicles/{vehicle}', { ...at({ vehicle: car.id }), body: facts })
                                : await api.POST('/vehicles', { body: facts }),
                        ),
                );
            }}
        >
            <Field label="What you call it" errors={errors.name}>
                <input required maxLength={120} autoFocus value={values.name} onChange={(event) => set('name', event.target.value)} />
            </Field>
            <Field label="Most like" hint="Fills in what you do not know of it." errors={errors['figures.like']}>
                <select value={values.like} onChange={(event) => choose(event.target.value as NonNullable<VehicleFigures['like']>)}>
                    {kinds.data?.map((one) => (
                        <option key={one.id} value={one.id}>
                            {one.name}
                        </option>
                    ))}
                </select>
            </Field>
            <Field label="Gearbox" errors={errors.transmission}>
                <select value={values.transmission} onChange={(event) => set('transmission', event.target.value as Vehicle['transmission'])}>
                    {!kind?.electric && <option value="manual">Manual</option>}
                    <option value="automatic">{kind?.electric ? 'None: electric' : 'Automatic'}</option>
                </select>
            </Field>
            <Field label="Controls" errors={errors.controls}>
                <select value={values.controls} onChange={(event) => set('controls', event.target.value as Vehicle['controls'])}>
                    <option value="standard">Pedals</option>
                    <option value="hand">Hand controls</option>
                </select>
            </Field>
            <div className="grid gap-4 sm:grid-cols-2">
                <Field label="Length, m" errors={errors.length_m}>
                    <input
                        type="number"
                        required
                        min={2}
                        max={25}
                        step={0.01}
                        value={values.length_m}
                        onChange={(event) => set('length_m', event.target.valueAsNumber)}
                    />
                </Field>
                <Field label="Width, m" hint="Without mirrors" errors={errors.width_m}>
                    <input
                        type="number"
                        required
                        min={1.2}
                        max={3}
                        step={0.01}
                        value={values.width_m}
                        onChange={(event) => set('width_m', event.target.valueAsNumber)}
                    />
                </Field>
            </div>
            <details open={car !== undefined && Object.keys(car.figures).length > 0}>
                <summary className="link min-h-12 cursor-pointer content-center font-semibold">From its data sheet, where you know it</summary>
                <div className="grid gap-4 py-2">
                    <div className="grid gap-4 sm:grid-cols-2">
                        {FIGURES.filter(([key]) => !kind || key in kind.figures).map(([key, label]) => (
                            <Field
                                key={key}
                                label={say(label)}
                                errors={Object.entries(errors).flatMap(([field, said]) =>
                                    field === `figures.${key}` || field.startsWith(`figures.${key}.`) ? said : [],
                                )}
                            >
                                <input
                                    maxLength={80}
                                    placeholder={kind && `${typed(kind.figures)[key]}, assumed`}
                                    value={values.figures[key] ?? ''}
                                    onChange={(event) => set('figures', { ...values.figures, [key]: event.target.value })}
                                />
                            </Field>
                        ))}
                    </div>
                    <Consequences vehicle={forCore({ ...facts, name: '' })} />
                </div>
            </details>
            <FormFoot message={message} busy={busy} beside={children}>
                Keep the car
            </FormFoot>
        </form>
    );
}
