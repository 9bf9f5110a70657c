import { useId } from 'react';
import type { Believed } from '@/api/types';

const SIDE = 22;
/** Ranges narrower than this are drawn without hatching. */
const SURE = 0.2;

/**
 * One step of one routine in ink: the darker, the more does it alone, reliably; hatched, the wider the range; its right edge runs out in
 * dots where it fades for want of practice. An empty dashed square was never done.
 */
export function InkCell({ believed, fading = false, size = 40 }: { believed: Believed | null; fading?: boolean; size?: number }) {
    const id = useId();
    if (!believed) {
        return (
            <svg width={size} height={size} viewBox="0 0 22 22" aria-hidden="true" className="shrink-0">
                <rect x="2" y="2" width="18" height="18" rx="2" fill="none" stroke="var(--line)" strokeWidth="1.5" strokeDasharray="3 2.5" />
            </svg>
        );
    }
    const width = Math.max(0, believed.high - believed.low - SURE);
    const right = fading ? 13.5 : 20;
    return (
        <svg width={size} height={size} viewBox={`0 0 ${SIDE} ${SIDE}`} aria-hidden="true" className="shrink-0">
            <pattern id={id} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <line x1="2.5" x2="2.5" y1="0" y2="5" stroke="var(--paper)" strokeWidth={Math.min(3.4, 0.6 + width * 5)} />
                <line x1="2.5" x2="2.5" y1="0" y2="5" stroke="var(--ink)" strokeWidth="0.5" />
            </pattern>
            <rect x="2" y="2" width={right - 2} height="18" fill="var(--ink)" fillOpacity={0.06 + 0.94 * believed.estimate} />
            {width > 0 && <rect x="2" y="2" width={right - 2} height="18" fill={`url(#${id})`} />}
            <path d={fading ? `M${right},2 H2 V20 H${right}` : 'M2,2 H20 V20 H2 Z'} fill="none" stroke="var(--ink)" strokeWidth="1.4" />
            {fading &&
                [4, 8.6, 13.2, 17.8].flatMap((y, row) =>
                    [16, 19.4].map((x, column) => <circle key={`${x}${y}`} cx={x + (row % 2) * 0.8} cy={y} r={column === 0 ? 1.2 : 0.8} fill="var(--ink)" />),
                )}
        </svg>
    );
}
