import type { CircuitAnswer, SiteLine } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { isSameWay, minutesOf, MOST_ROUNDS, wayName, written, type Taken } from '@/site/circuit';

interface Props {
    data: CircuitAnswer;
    sites: SiteLine[];
    taken: Taken[];
    driven: { id: string; way: Taken }[];
    onChange: (taken: Taken[]) => void;
}

/** The ways as they are driven, then what does not fit and by how much. */
export function InOrder({ data, sites, taken, driven, onChange }: Props) {
    const name = useRoutineName();
    const site = (way: Taken) => sites.find(({ id }) => id === way.site)!;
    const minutes = minutesOf(data.parts, data.order);
    const talking = data.parts.find(({ kind }) => kind === 'debrief');
    const whole = (seconds: number) => Math.round(seconds / 60);
    const without = (way: Taken) => onChange(taken.filter((one) => !isSameWay(one, way)));
    const row = (way: Taken, title: string, about: string) => (
        <li key={written(way)} className="border-hair flex flex-wrap items-center gap-3 border-b py-2">
            <div className="min-w-[min(14rem,100%)] flex-1">
                <h2 className="text-base">{title}</h2>
                <p className="text-quiet text-sm">{about}</p>
            </div>
            <label className="flex items-center gap-2">
                <span className="text-quiet text-sm">rounds</span>
                <select
                    className="entry !w-auto"
                    aria-label={`Rounds of ${wayName(site(way), way)}`}
                    value={way.rounds}
                    onChange={(event) => onChange(taken.map((one) => (isSameWay(one, way) ? { ...one, rounds: Number(event.target.value) } : one)))}
                >
                    {Array.from({ length: MOST_ROUNDS }, (_, i) => (
                        <option key={i} value={i + 1}>
                            {i + 1}
                        </option>
                    ))}
                </select>
            </label>
            <button type="button" className="key min-w-12" data-tone="bare" aria-label={`Leave out ${wayName(site(way), way)}`} onClick={() => without(way)}>
                ✕
            </button>
        </li>
    );
    const out = data.left_out.filter(({ way }) => !data.order.includes(way)).map(({ way, message }) => ({ way: taken[Number(way)]!, message }));
    return (
        <div className="grid gap-3">
            <p role="status">
                <strong className="text-xl">{data.message}</strong>
                <span className="text-quiet block">
                    {whole(data.driving_s)} min driving between, {whole(data.at_ways_s)} min at the ways
                    {talking && `, ${whole(talking.until_s - talking.from_s)} min debrief`}
                    {!data.exact && ' · the best that was found among so many'}
                </span>
            </p>
            <ol aria-label="In the order driven">
                {driven.map(({ id, way }, i) => {
                    const cut = data.left_out.find((left) => left.way === id);
                    return row(
                        way,
                        `${i + 1}. ${wayName(site(way), way)}`,
                        [name(way.routine), `${minutes[i]} min with the drive there`, cut?.message].filter(Boolean).join(' · '),
                    );
                })}
            </ol>
            {out.length > 0 && <ul aria-label="Left out">{out.map(({ way, message }) => row(way, wayName(site(way), way), message))}</ul>}
        </div>
    );
}
