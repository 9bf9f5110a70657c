import { useState } from 'react';
import type { SiteLine } from '@/api/types';
import { useRoutineName, useRoutineText } from '@/rules/rules';
import { isSameWay, wayName, type Taken } from '@/site/circuit';
import { lies } from '@/site/map';
import { isMeant } from '@/ui/search';
import { Sheet } from '@/ui/Sheet';

/** So many are shown at once: a word more finds the others. */
const SHOWN = 30;

interface Props {
    /** The nearest first. */
    sites: readonly SiteLine[];
    taken: readonly Taken[];
    onAdd: (way: Omit<Taken, 'rounds'>) => void;
    onClose: () => void;
}

/** Ways of sites that lie somewhere, found by site, road or routine. */
export function AddWay({ sites, taken, onAdd, onClose }: Props) {
    const text = useRoutineText();
    const routineName = useRoutineName();
    const [find, setFind] = useState('');
    const ways = sites.filter(lies).flatMap((site) => site.ways.map((way) => ({ site, way, name: wayName(site, way) })));
    const found = ways.filter(
        ({ site, way, name }) =>
            isMeant([name, site.name, text(way.routine), way.words].join(' '), find) && !taken.some((one) => isSameWay({ ...way, site: site.id }, one)),
    );
    return (
        <Sheet title="Add a way" about="Nearest first; by site, road, routine, or how hard." open onOpenChange={onClose}>
            <label className="grid gap-1 font-semibold">
                Search ways
                <input className="entry" value={find} onChange={(event) => setFind(event.target.value)} />
            </label>
            <ul className="grid gap-2">
                {found.slice(0, SHOWN).map(({ site, way, name }) => (
                    <li key={`${site.id} ${way.from} ${way.to} ${way.routine}`}>
                        <button
                            type="button"
                            className="key min-h-14 w-full justify-start text-left"
                            onClick={() => onAdd({ site: site.id, from: way.from, to: way.to, routine: way.routine })}
                        >
                            <span>
                                {name}
                                <span className="text-quiet block text-sm font-normal">
                                    {routineName(way.routine)} · {way.words}
                                </span>
                            </span>
                        </button>
                    </li>
                ))}
            </ul>
            {found.length > SHOWN && <p className="text-quiet">And {found.length - SHOWN} more: search for them.</p>}
            {found.length === 0 && <p>No way is like that.</p>}
        </Sheet>
    );
}
