import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { questions } from '@/api/questions';
import { hasReceiver, NoFix, whereAmI } from '@/device/receiver';
import { useSession } from '@/session/session';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { lies, town, type Lying } from './map';
import { MapFrame } from './MapFrame';
import { Name, namesOn } from './Names';

/** Where something lies; nulls where nobody knows. */
export interface Where {
    latitude_deg: number | null;
    longitude_deg: number | null;
}

interface Props {
    where: Where;
    /** Sentences of the server about either of the two. */
    errors: { latitude: string[]; longitude: string[] };
    /** What is said by who stands there. */
    here: string;
    onChange: (where: Where) => void;
}

/** Where something lies: by standing there, by putting it on the map, or typed. */
export function Position({ where, errors, here, onChange }: Props) {
    const [said, setSaid] = useState<string | null>(null);
    const [waiting, setWaiting] = useState(false);
    const [putting, setPutting] = useState(false);
    const ask = async () => {
        setWaiting(true);
        setSaid(null);
        try {
            const { accuracy_m, ...found } = await whereAmI();
            setSaid(`Taken here, give or take ${Math.round(accuracy_m)} m.`);
            onChange(found);
        } catch (error) {
            if (!(error instanceof NoFix)) throw error;
            setSaid(error.message);
        } finally {
            setWaiting(false);
        }
    };
    const degrees = (name: keyof Where, label: string, most: number, wrong: string[]) => (
        <Field label={label} errors={wrong}>
            <input
                type="number"
                min={-most}
                max={most}
                step="any"
                value={where[name] ?? ''}
                onChange={(event) => onChange({ ...where, [name]: event.target.value === '' ? null : event.target.valueAsNumber })}
            />
        </Field>
    );
    return (
        <div className="grid gap-3 py-2 sm:grid-cols-2">
            {degrees('latitude_deg', 'Latitude, degrees north', 90, errors.latitude)}
            {degrees('longitude_deg', 'Longitude, degrees east', 180, errors.longitude)}
            <div className="flex flex-wrap gap-2 sm:col-span-2">
                {hasReceiver() && (
                    <button type="button" className="key" disabled={waiting} onClick={() => void ask()}>
                        {waiting ? 'Asking the receiver…' : here}
                    </button>
                )}
                <button type="button" className="key" onClick={() => setPutting(true)}>
                    Put it on the map
                </button>
                {where.latitude_deg !== null && (
                    <button type="button" className="key" data-tone="bare" onClick={() => onChange({ latitude_deg: null, longitude_deg: null })}>
                        Not known
                    </button>
                )}
            </div>
            {said && (
                <p role="status" className="sm:col-span-2">
                    {said}
                </p>
            )}
            <Sheet title="Where it lies" about="Move the map until the cross is there." open={putting} onOpenChange={setPutting}>
                {putting && (
                    <PutOnMap
                        where={where}
                        onPut={(there) => {
                            onChange(there);
                            setSaid('Put on the map.');
                            setPutting(false);
                        }}
                    />
                )}
            </Sheet>
        </div>
    );
}

/** The sites that are known, to find one's way by, and a cross in the middle. */
function PutOnMap({ where, onPut }: { where: Where; onPut: (where: Lying) => void }) {
    const sites = useQuery(questions.sites());
    const { school } = useSession();
    const placed = (sites.data ?? []).filter(lies);
    const known: Lying[] = [...placed, ...(isSomewhere(school) ? [school] : [])];
    const home = isSomewhere(where) ? [where] : known.length > 0 ? town(known) : [{ latitude_deg: 0, longitude_deg: 0 }];
    return (
        <>
            {known.length === 0 && <p>Nothing lies on the map yet: type the position of a first place, or stand there.</p>}
            <MapFrame label="Map to put it on, north up: arrows move it, plus and minus zoom" home={home} all={known} onHere={onPut}>
                {(drawn) => {
                    const names = namesOn(drawn, placed);
                    return placed.map((site) => {
                        const [x, y] = drawn.at(site);
                        const side = names.get(site.id);
                        return (
                            <g key={site.id}>
                                <circle cx={x} cy={y} r={4} fill="var(--ink)" />
                                {side && (
                                    <Name at={[x, y]} side={side}>
                                        {site.name}
                                    </Name>
                                )}
                            </g>
                        );
                    });
                }}
            </MapFrame>
        </>
    );
}

const isSomewhere = (one: Where): one is Lying => one.latitude_deg !== null && one.longitude_deg !== null;
