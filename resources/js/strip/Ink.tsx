import { useId } from 'react';
import type { Outcome } from '@/api/types';

/** How much ink an outcome carries: full for unaided, thinner with more support, an empty square when missed, a hand's bar when the instructor stepped in. */
export function Ink({ outcome, size = 22 }: { outcome: Outcome; size?: number }) {
    const id = useId();
    const gap = outcome === 'reminded' ? 4 : 7;
    return (
        <svg width={size} height={size} viewBox="0 0 22 22" aria-hidden="true" className="shrink-0">
            {(outcome === 'reminded' || outcome === 'prompted') && (
                <pattern id={id} width={gap} height={gap} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                    <line x1="0" x2="0" y1="0" y2={gap} stroke="currentColor" strokeWidth={outcome === 'reminded' ? 4.4 : 3} />
                </pattern>
            )}
            <rect
                x="2"
                y="2"
                width="18"
                height="18"
                rx="2"
                fill={outcome === 'unaided' ? 'currentColor' : outcome === 'reminded' || outcome === 'prompted' ? `url(#${id})` : 'none'}
                stroke="currentColor"
                strokeWidth="2"
            />
            {outcome === 'intervened' && <path d="M5,17 L17,5 M5,5 L17,17" stroke="currentColor" strokeWidth="2.6" />}
        </svg>
    );
}
