import type { LearnerHours } from '@/api/types';
import type { Part } from './parts';

/** What the law asks, how much of it there is, and how sure the figure is. */
export function Asked({ hours, onShow }: { hours: LearnerHours; onShow: (part: Part) => void }) {
    return (
        <section aria-labelledby="asked" className="grid gap-3">
            <h2 id="asked" className="border-hair border-b-2 pb-1 text-lg">
                Asked by law
            </h2>
            {hours.asked.length === 0 && (
                <p className="text-quiet">
                    {hours.asks_of_minors
                        ? `${hours.pack} asks for hours of learners who are under age only.`
                        : `${hours.pack} asks for no hours: the figures below are for the learner and you.`}
                </p>
            )}
            <ul className="grid gap-4">
                {hours.asked.map(({ code, title, have, wanted, light, is_met, message, source }) => (
                    <li key={code} className="grid gap-1">
                        <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                            <strong>{title}</strong>
                            {light && (
                                <button type="button" className="link screen-only min-h-12" onClick={() => onShow({ kind: 'light', condition: light })}>
                                    Drives behind it
                                </button>
                            )}
                        </p>
                        <span className="border-ink h-3 overflow-hidden rounded-sm border" aria-hidden="true">
                            <span className="bg-ink block h-full" style={{ width: `${Math.min(100, (100 * have) / wanted)}%` }} />
                        </span>
                        <p>
                            {is_met ? '✓ ' : ''}
                            {message} <span className="text-quiet text-sm">({source})</span>
                        </p>
                    </li>
                ))}
            </ul>
            {hours.asked.length > 0 && (
                <p className="text-quiet text-sm">
                    With an instructor and accompanied are counted together unless it says lessons; dusk is not counted as night (assumed). Ask the licensing
                    authority what it accepts, and in which form.
                </p>
            )}
        </section>
    );
}
