import { Problem } from '@/api/client';
import { useRules, useSay } from '@/rules/rules';
import { fromMps, saidSpeed, speedField, unitWords, usual } from '@/rules/speed';
import { useCompute } from '@/compute/useCompute';
import type { CoreVehicle } from './vehicle';

/** What the figures mean, as they are typed: the revs in town, the top speed of each gear, how tightly it turns. */
export function Consequences({ vehicle }: { vehicle: CoreVehicle }) {
    const say = useSay();
    const { pack, speed_unit: unit } = useRules();
    const [slow, fast] = [usual(30, unit), usual(50, unit)];
    const engine = useCompute('engine', { pack, vehicle, [speedField(unit)]: slow });
    const steering = useCompute('steering', { pack, vehicle, radius_m: 15 });
    const pull = useCompute('engine', { pack, vehicle, [speedField(unit)]: slow, [`to_${speedField(unit)}`]: fast });
    const errors = [engine.error, steering.error].flatMap((error) => (error instanceof Problem ? Object.entries(error.errors) : []));
    return (
        <section aria-label="What these figures mean" aria-live="polite" className="bg-raised border-hair grid gap-2 rounded-xl border-2 p-4">
            <h3 className="text-lg">What this means</h3>
            {errors.length > 0 ? (
                <ul>
                    {[...new Map(errors).entries()].map(([field, sentences]) => (
                        <li key={field} className="font-semibold">
                            ▸ {field.replace('vehicle.', '').replaceAll('_', ' ')} {sentences.join(' ')}
                        </li>
                    ))}
                </ul>
            ) : (
                <>
                    {engine.data && (
                        <table className="w-full text-left">
                            <tbody>
                                <tr>
                                    <th scope="row" className="text-quiet font-normal">
                                        Gear
                                    </th>
                                    {engine.data.gears.map((gear) => (
                                        <td key={gear.gear} className="font-semibold">
                                            {gear.gear}
                                        </td>
                                    ))}
                                </tr>
                                <tr>
                                    <th scope="row" className="text-quiet font-normal">
                                        rpm at {saidSpeed(slow, unit)}
                                    </th>
                                    {engine.data.gears.map((gear) => (
                                        <td key={gear.gear}>{Math.round(gear.rpm)}</td>
                                    ))}
                                </tr>
                                <tr>
                                    <th scope="row" className="text-quiet font-normal">
                                        Red line at, {unitWords(unit)}
                                    </th>
                                    {engine.data.gears.map((gear) => (
                                        <td key={gear.gear}>{fromMps(gear.top_speed_mps, unit).toFixed(0)}</td>
                                    ))}
                                </tr>
                            </tbody>
                        </table>
                    )}
                    {pull.data?.run?.reached && (
                        <p>
                            From {slow} to {saidSpeed(fast, unit)} {say('with the {accelerator} right down')} on the level: {pull.data.run.time_s.toFixed(1)} s,{' '}
                            {Math.round(pull.data.run.distance_m)} m.
                        </p>
                    )}
                    {steering.data && (
                        <p>
                            Turning circle {steering.data.turning_circle_m.toFixed(1)} m {say('{kerb} to {kerb}')}; the rear axle’s middle turns on{' '}
                            {steering.data.minimum_radius_m.toFixed(1)} m at the least. A 15 m radius takes {steering.data.turns.toFixed(2)} of a turn.
                        </p>
                    )}
                </>
            )}
        </section>
    );
}
