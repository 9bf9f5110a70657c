import type { VehicleUnit } from '@/api/types';

const COLUMNS: [keyof VehicleUnit, string, number, number][] = [
    ['wheelbase_m', 'Wheelbase', 0.5, 20],
    ['width_m', 'Width', 0.5, 5],
    ['front_overhang_m', 'Front overhang', 0, 10],
    ['rear_overhang_m', 'Rear overhang', 0, 15],
    ['hitch_offset_m', 'Coupling', -15, 15],
];
const MOST = 5;

/** The rigid parts of a vehicle, typed: the driving one first. */
export function UnitsTable({
    units,
    own,
    onChange,
    onForget,
}: {
    units: VehicleUnit[];
    own: boolean;
    onChange: (units: VehicleUnit[]) => void;
    onForget: () => void;
}) {
    const change = (at: number, field: keyof VehicleUnit, value: number) =>
        Number.isFinite(value) && onChange(units.map((unit, i) => (i === at ? { ...unit, [field]: value } : unit)));
    const last = units[units.length - 1];
    return (
        <details className="lg:col-span-2" open={own}>
            <summary className="link min-h-12 cursor-pointer content-center font-semibold">Its units, in metres{own && ': as you typed them'}</summary>
            <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Units">
                <table className="w-full min-w-[40rem] text-left">
                    <thead>
                        <tr>
                            <th scope="col" className="pr-3">
                                Unit
                            </th>
                            {COLUMNS.map(([field, label]) => (
                                <th key={field} scope="col" className="pr-3 font-semibold">
                                    {label}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {units.map((unit, i) => (
                            <tr key={i}>
                                <th scope="row" className="pr-3 font-normal whitespace-nowrap">
                                    {i === 0 ? 'Driving' : `Trailer ${i}`}
                                </th>
                                {COLUMNS.map(([field, label, min, max]) => (
                                    <td key={field} className="pr-3 py-1">
                                        <input
                                            className="entry w-full"
                                            type="number"
                                            aria-label={`${label}, ${i === 0 ? 'driving unit' : `trailer ${i}`}`}
                                            min={min}
                                            max={max}
                                            step={0.05}
                                            value={unit[field]}
                                            onChange={(event) => change(i, field, event.target.valueAsNumber)}
                                        />
                                    </td>
                                ))}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
            <p className="text-quiet text-sm">
                A trailer’s wheelbase runs from its coupling to its axle. The coupling of the next unit: behind the rear axle +, ahead of it −.
            </p>
            <div className="flex flex-wrap gap-3 py-2">
                <button
                    type="button"
                    className="key"
                    disabled={units.length >= MOST}
                    onClick={() =>
                        last && onChange([...units, { wheelbase_m: 5, width_m: last.width_m, front_overhang_m: 1, rear_overhang_m: 1.5, hitch_offset_m: 0 }])
                    }
                >
                    Add a trailer
                </button>
                <button type="button" className="key" disabled={units.length <= 1} onClick={() => onChange(units.slice(0, -1))}>
                    Uncouple the last
                </button>
                {own && (
                    <button type="button" className="key" data-tone="bare" onClick={onForget}>
                        Back to the vehicle chosen
                    </button>
                )}
            </div>
        </details>
    );
}
