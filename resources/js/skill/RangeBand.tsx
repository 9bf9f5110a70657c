import type { Believed } from '@/api/types';

/** A chance on a scale from never to always: the band is its range, the bar the estimate; a hollow bar is where it was before. */
export function RangeBand({ believed, before = null }: { believed: Believed; before?: Believed | null }) {
    const at = (chance: number) => 2 + chance * 196;
    return (
        <svg viewBox="0 0 200 18" className="h-5 w-full" preserveAspectRatio="none" aria-hidden="true">
            <line x1="2" x2="198" y1="9" y2="9" stroke="var(--line)" strokeWidth="1" vectorEffect="non-scaling-stroke" />
            <rect x={at(believed.low)} width={at(believed.high) - at(believed.low)} y="4" height="10" fill="var(--ink)" fillOpacity="0.22" />
            {before && (
                <rect
                    x={at(before.estimate) - 1.5}
                    width="3"
                    y="2"
                    height="14"
                    fill="var(--paper)"
                    stroke="var(--ink)"
                    strokeWidth="1.5"
                    vectorEffect="non-scaling-stroke"
                />
            )}
            <rect x={at(believed.estimate) - 1.5} width="3" y="1" height="16" fill="var(--ink)" />
        </svg>
    );
}
