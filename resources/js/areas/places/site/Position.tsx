import { useState } from 'react';
import type { Draft } from '@/site/draft';
import { Field } from '@/ui/Field';

type Where = Pick<Draft, 'latitude_deg' | 'longitude_deg'>;

/** How finely a position is kept: a tenth of a metre, degrees. */
const FINE = 6;

/** Longer than this nobody waits at a line for a receiver, ms (assumed). */
const PATIENCE = 15_000;

const REFUSED: Record<number, string> = {
    1: 'This device may not tell where it is: allow it, or type the position.',
    2: 'The receiver finds no position here: try again under the open sky, or type it.',
    3: 'The receiver took too long: try again, or type the position.',
};

/** Where the site lies: by standing there, or typed. */
export function Position({ draft, errors, onChange }: { draft: Draft; errors: Record<string, string[]>; onChange: (where: Where) => void }) {
    const [said, setSaid] = useState<string | null>(null);
    const [waiting, setWaiting] = useState(false);
    const here = () => {
        setWaiting(true);
        setSaid(null);
        navigator.geolocation.getCurrentPosition(
            ({ coords }) => {
                setWaiting(false);
                setSaid(`Taken here, give or take ${Math.round(coords.accuracy)} m.`);
                onChange({ latitude_deg: Number(coords.latitude.toFixed(FINE)), longitude_deg: Number(coords.longitude.toFixed(FINE)) });
            },
            ({ code }) => {
                setWaiting(false);
                setSaid(REFUSED[code] ?? REFUSED[2]!);
            },
            { enableHighAccuracy: true, timeout: PATIENCE, maximumAge: 0 },
        );
    };
    const degrees = (name: keyof Where, label: string, most: number) => (
        <Field label={label} errors={errors[name] ?? []}>
            <input
                type="number"
                min={-most}
                max={most}
                step="any"
                value={draft[name] ?? ''}
                onChange={(event) =>
                    onChange({
                        latitude_deg: draft.latitude_deg,
                        longitude_deg: draft.longitude_deg,
                        [name]: event.target.value === '' ? null : event.target.valueAsNumber,
                    })
                }
            />
        </Field>
    );
    return (
        <details>
            <summary className="link min-h-12 cursor-pointer content-center font-semibold">
                Where it lies{draft.latitude_deg === null && ': not known yet'}
            </summary>
            <div className="grid gap-3 py-2 sm:grid-cols-2">
                {degrees('latitude_deg', 'Latitude, degrees north', 90)}
                {degrees('longitude_deg', 'Longitude, degrees east', 180)}
                {'geolocation' in navigator && (
                    <button type="button" className="key justify-self-start" disabled={waiting} onClick={here}>
                        {waiting ? 'Asking the receiver…' : 'I am at the site now'}
                    </button>
                )}
                {said && (
                    <p role="status" className="self-center">
                        {said}
                    </p>
                )}
            </div>
        </details>
    );
}
