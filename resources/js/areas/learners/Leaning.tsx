import type { Skill } from '@/api/types';

const WIDE = 300;

/** Timid or bold, apart from how well they drive: where on the line between the two, how surely, and by what. */
export function Leaning({ skill }: { skill: Skill }) {
    const { leaning } = skill;
    if (!leaning) return null;
    const x = (at: number) => 10 + ((at + 1) / 2) * (WIDE - 20);
    const { estimate, low, high, timid, bold } = leaning;
    return (
        <section aria-labelledby="leaning" className="grid content-start gap-2">
            <h2 id="leaning" className="text-xl">
                Timid or bold
            </h2>
            <p className="font-semibold">{leaning.message}</p>
            <svg
                viewBox={`0 0 ${WIDE} 40`}
                className="w-full max-w-md"
                role="img"
                aria-label={`Between ${spoken(low)} and ${spoken(high)}, likeliest ${spoken(estimate)}.`}
            >
                <line x1={x(-1)} x2={x(1)} y1="14" y2="14" stroke="var(--line)" />
                <line x1={x(0)} x2={x(0)} y1="6" y2="22" stroke="var(--line)" />
                <rect x={x(low)} width={x(high) - x(low)} y="5" height="18" fill="var(--ink)" fillOpacity="0.22" />
                <rect x={x(estimate) - 2} width="4" y="2" height="24" fill="var(--ink)" />
                <text x={x(-1)} y="38" fontSize="10" fill="var(--quiet)">
                    timid
                </text>
                <text x={x(1)} y="38" fontSize="10" textAnchor="end" fill="var(--quiet)">
                    bold
                </text>
            </svg>
            <p className="text-quiet text-sm">
                By {timid === 1 ? 'one time' : `${timid} times`} too careful and {bold === 1 ? 'one' : bold} too daring: faults you named, and gaps counted by
                the key. Older ones count less.
            </p>
        </section>
    );
}

/** Where on the line, as one would say it. */
function spoken(at: number): string {
    if (Math.abs(at) < 0.15) return 'even';
    const much = Math.abs(at) < 0.5 ? 'a little' : Math.abs(at) < 0.8 ? 'clearly' : 'wholly';
    return `${much} ${at < 0 ? 'timid' : 'bold'}`;
}
