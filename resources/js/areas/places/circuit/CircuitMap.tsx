import type { SiteLine } from '@/api/types';
import type { Mark, Taken } from '@/site/circuit';
import { lies, town } from '@/site/map';
import { MapFrame } from '@/site/MapFrame';
import { Name, namesOn, type NameSide } from '@/site/Names';

interface Props {
    sites: readonly SiteLine[];
    start: Mark;
    /** Null: where it starts. */
    end: Mark | null;
    driven: readonly Taken[];
}

/** The ways in the order driven, numbered, and what else lies around. Lines join what follows each other; the roads between are not known. */
export function CircuitMap({ sites, start, end, driven }: Props) {
    const placed = sites.filter(lies);
    const stops = driven.flatMap(({ site }) => placed.find(({ id }) => id === site) ?? []);
    const home = stops.length > 0 ? [start, ...stops] : town([...placed, start]);
    return (
        <MapFrame
            label="Map of the circuit, north up: arrows move it, plus and minus zoom"
            home={home}
            all={[...placed, start, ...(end ? [end] : [])]}
            beside={() => <p className="text-quiet text-sm">The lines only join; how far the roads are is estimated where nobody measured it.</p>}
        >
            {(drawn) => {
                const numbers = new Map<string, string>();
                stops.forEach(({ id }, i) => numbers.set(id, numbers.has(id) ? `${numbers.get(id)}, ${i + 1}` : String(i + 1)));
                const there = placed.filter(({ id }) => numbers.has(id));
                const names = namesOn(drawn, [
                    ...[start, ...(end ? [end] : [])].map((mark) => ({ ...mark, used: Infinity })),
                    ...there.map((site) => ({ ...site, name: `${numbers.get(site.id)} ${site.name}` })),
                ]);
                const line = [start, ...stops, end ?? start].map((one) =>
                    drawn
                        .at(one)
                        .map((value) => value.toFixed(1))
                        .join(','),
                );
                return (
                    <>
                        {placed.map((site) => {
                            const [cx, cy] = drawn.at(site);
                            return <circle key={site.id} cx={cx} cy={cy} r={3} fill="var(--line)" />;
                        })}
                        {stops.length > 0 && (
                            <polyline points={line.join(' ')} fill="none" stroke="var(--now)" strokeWidth={3} strokeLinejoin="round" strokeDasharray="8 5" />
                        )}
                        {there.map((site) => (
                            <g key={site.id} role="img" aria-label={`${numbers.get(site.id)}: ${site.name}`}>
                                <circle cx={drawn.at(site)[0]} cy={drawn.at(site)[1]} r={7} fill="var(--ink)" stroke="var(--raised)" strokeWidth={2} />
                                <Name at={drawn.at(site)} side={names.get(site.id) ?? 'right'}>
                                    {names.has(site.id) ? `${numbers.get(site.id)} ${site.name}` : numbers.get(site.id)!}
                                </Name>
                            </g>
                        ))}
                        {end && <Mark at={drawn.at(end)} of={end} what="End" side={names.get(end.id)} />}
                        <Mark at={drawn.at(start)} of={start} what={end ? 'Start' : 'Start and end'} side={names.get(start.id)} />
                    </>
                );
            }}
        </MapFrame>
    );
}

function Mark({ at: [x, y], of, what, side }: { at: [number, number]; of: Mark; what: string; side: NameSide | undefined }) {
    return (
        <g role="img" aria-label={`${what}: ${of.name}`}>
            <rect x={x - 7} y={y - 7} width={14} height={14} fill="var(--now-fill)" stroke="var(--ink)" strokeWidth={2} />
            <Name at={[x, y]} side={side ?? 'right'} strong>
                {of.name}
            </Name>
        </g>
    );
}
