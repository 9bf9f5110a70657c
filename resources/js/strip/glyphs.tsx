import type { StripStep } from './plan';

/**
 * One shape for each step, drawn around its middle in a square of 20. A mirror with its two halves, a flashing
 * arrow tip, a car finding its lane, a pedal, an eye: told apart without colour.
 */
export function Glyph({ step, side = 'right' }: { step: StripStep; side?: 'left' | 'right' }) {
    const flip = side === 'left' ? 'scale(1,-1)' : undefined;
    switch (step) {
        case 'mirrors':
            return (
                <g fill="var(--paper)" stroke="currentColor" strokeWidth="2.2" strokeLinejoin="round">
                    <path d="M-10,-5 L7,-7 Q10,-7 10,-4 L8,5 Q7,7 4,7 L-8,5 Q-10,5 -10,3 Z" />
                    <path d="M-5,2 L3,-3" />
                </g>
            );
        case 'signal':
            return (
                <g
                    fill="none"
                    stroke="currentColor"
                    strokeWidth="2.6"
                    strokeLinejoin="round"
                    strokeLinecap="round"
                    transform={side === 'left' ? 'scale(-1,1)' : undefined}
                >
                    <path d="M-9,-5 H0 V-9 L9,0 L0,9 V5 H-9 Z" fill="var(--paper)" />
                </g>
            );
        case 'position':
            return (
                <g transform={flip} fill="none" stroke="currentColor" strokeWidth="2.6" strokeLinecap="round">
                    <path d="M-10,-5 H-6 C0,-5 0,5 6,5 H10" />
                    <path d="M-10,8.5 H10" strokeWidth="1.6" strokeDasharray="4 3" />
                </g>
            );
        case 'speed':
            return (
                <g fill="currentColor" stroke="currentColor" strokeWidth="2" strokeLinejoin="round">
                    <path d="M-6,-9 H6 L8,8 H-8 Z" />
                    <path d="M-4,-3 H4 M-5,2 H5" stroke="var(--paper)" strokeWidth="1.8" />
                </g>
            );
        case 'gear':
            return (
                <g fill="none" stroke="currentColor" strokeWidth="2.6" strokeLinecap="round" strokeLinejoin="round">
                    <path d="M-8,-8 V8 M0,-8 V8 M8,-8 V0 H-8" />
                    <circle cx="0" cy="8" r="2.6" fill="currentColor" stroke="none" />
                </g>
            );
        case 'look':
            return (
                <g fill="var(--paper)" stroke="currentColor" strokeWidth="2.2" strokeLinejoin="round">
                    <path d="M-10,0 Q0,-11 10,0 Q0,11 -10,0 Z" />
                    <circle r="3" fill="currentColor" stroke="none" />
                </g>
            );
    }
}

export function StepIcon({ step, size = 28, side }: { step: StripStep; size?: number; side?: 'left' | 'right' }) {
    return (
        <svg width={size} height={size} viewBox="-13 -13 26 26" aria-hidden="true" className="shrink-0">
            <Glyph step={step} side={side} />
        </svg>
    );
}
