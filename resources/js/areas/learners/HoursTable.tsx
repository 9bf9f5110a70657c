import type { Hours } from '@/api/types';
import { CONDITIONS, KINDS } from '@/skill/words';

const spoken = (minutes: number) => (minutes < 60 ? `${Math.round(minutes)} min` : `${(minutes / 60).toFixed(minutes % 60 < 3 ? 0 : 1)} h`);

/** Time at the wheel by what it was driven in; what nobody noted is said. */
export function HoursTable({ hours }: { hours: Hours }) {
    if (hours.total === 0) return null;
    return (
        <section aria-labelledby="hours" className="grid content-start gap-2">
            <h2 id="hours" className="border-hair border-b-2 pb-1 text-lg">
                {spoken(hours.total)} at the wheel in lessons
            </h2>
            <dl className="grid grid-cols-[7rem_minmax(0,1fr)] gap-x-3 gap-y-2">
                {KINDS.map((kind) => {
                    const parts = Object.entries(hours.minutes[kind]).filter(([, minutes]) => minutes > 0);
                    return (
                        <div key={kind} className="contents">
                            <dt className="text-quiet">{CONDITIONS[kind].title}</dt>
                            <dd className="grid gap-1">
                                <span className="border-ink flex h-3 overflow-hidden rounded-sm border" aria-hidden="true">
                                    {parts.map(([name, minutes], i) => (
                                        <span
                                            key={name}
                                            className={`border-ink not-first:border-l ${name === 'not-noted' ? '' : ['bg-ink', 'ink-dense', 'ink-thin', 'ink-cross', 'bg-wash'][i % 5]}`}
                                            style={{ flexGrow: minutes }}
                                        />
                                    ))}
                                </span>
                                <span className="text-sm">
                                    {parts.map(([name, minutes]) => `${CONDITIONS[kind].names[name] ?? 'not noted'} ${spoken(minutes)}`).join(' · ')}
                                </span>
                            </dd>
                        </div>
                    );
                })}
            </dl>
        </section>
    );
}
