import { simulated } from '@/device/receiver';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { useNoticed } from '@/ui/useNoticed';
import { useSession } from '@/session/session';

/** What a simulated receiver is told first where the school lies nowhere: open sea off invented Skerrivane. */
const SOMEWHERE = { latitude_deg: 49.2, longitude_deg: -8.1 };

/** Which receiver says where one is: the device's own, or one that only plays it, to try things out without driving there. */
export function Receiver() {
    const { school } = useSession();
    const played = useNoticed(simulated);
    const begin = () => ({
        latitude_deg: school.latitude_deg ?? SOMEWHERE.latitude_deg,
        longitude_deg: school.longitude_deg ?? SOMEWHERE.longitude_deg,
        accuracy_m: 8,
    });
    const number = (name: 'latitude_deg' | 'longitude_deg' | 'accuracy_m', label: string, least: number, most: number) => (
        <Field label={label}>
            <input
                type="number"
                min={least}
                max={most}
                step="any"
                value={played?.[name] ?? ''}
                onChange={(event) => {
                    const said = event.target.valueAsNumber;
                    if (played && said >= least && said <= most) simulated.set({ ...played, [name]: said });
                }}
            />
        </Field>
    );
    return (
        <div className="grid gap-2">
            <Check
                label="A simulated receiver, to try things out without driving there"
                checked={played !== null}
                onChange={(on) => simulated.set(on ? begin() : null)}
            />
            {played && (
                <div className="grid gap-3 sm:grid-cols-3" role="group" aria-label="Where it finds itself">
                    {number('latitude_deg', 'Degrees north', -90, 90)}
                    {number('longitude_deg', 'Degrees east', -180, 180)}
                    {number('accuracy_m', 'Give or take, m', 0, 500)}
                </div>
            )}
        </div>
    );
}
