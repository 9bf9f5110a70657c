import { ARROWS, SHOWN, type Arrow, type Head, type Shows } from '@/bench/heads';

interface Props {
    heads: Head[];
    /** The place of ours among them. */
    ours: number | null;
    say: (words: string) => string;
}

/** Which of the three lamps are lit, from above. */
const LIT: Record<Shows, boolean[]> = {
    red: [true, false, false],
    'red-amber': [true, true, false],
    amber: [false, true, false],
    green: [false, false, true],
    off: [false, false, false],
};
const TURNED: Record<Exclude<Arrow, 'full'>, number> = { left: -90, ahead: 0, right: 90, back: 180 };

/** The heads in view side by side: which lamp is lit, where its arrow points, and which is ours. */
export function HeadsPicture({ heads, ours, say }: Props) {
    return (
        <ol className="flex flex-wrap gap-3" aria-label="Lights in view">
            {heads.map((head, i) => (
                <li
                    key={i}
                    className={`bg-raised grid w-32 justify-items-center gap-1 rounded-xl border-2 p-2 text-center ${i === ours ? 'border-now' : 'border-hair'}`}
                >
                    <svg width={44} height={104} viewBox="0 0 44 104" aria-hidden>
                        <rect x={2} y={2} width={40} height={100} rx={12} fill="var(--ink)" />
                        {LIT[head.shows].map((lit, lamp) => (
                            <g key={lamp} transform={`translate(22 ${20 + lamp * 32})`}>
                                <circle r={12} fill={lit ? 'var(--now-fill)' : 'none'} stroke="var(--paper)" strokeWidth={2} />
                                {lit && head.arrow !== 'full' && (
                                    <path
                                        d="M0,8 V-7 M-5,-2 L0,-8 L5,-2"
                                        transform={`rotate(${TURNED[head.arrow]})`}
                                        stroke="var(--on-now)"
                                        strokeWidth={3}
                                        fill="none"
                                    />
                                )}
                            </g>
                        ))}
                    </svg>
                    <span className="text-sm leading-tight">
                        {ARROWS[head.arrow]}, {say(SHOWN[head.shows])}
                        {head.other && ', another lane'}
                    </span>
                    <span className={i === ours ? 'font-semibold' : 'text-quiet'}>{i === ours ? '▸ ours' : 'not ours'}</span>
                </li>
            ))}
        </ol>
    );
}
