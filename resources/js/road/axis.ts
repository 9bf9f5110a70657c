import { ticks } from '@/strip/scale';

export interface AxisTick {
    metres: number;
    /** Where its label stands on the screen; none where another one would run into it. */
    label: { x: number; words: string } | null;
}

interface Axis {
    from: number;
    to: number;
    width: number;
    x: (metres: number) => number;
    zero: string;
    unit: 'm' | 'ft';
    /** Metres in one of the unit. */
    metresInAUnit: number;
}

const LETTER = 8;
const APART = 8;

/** Ticks of an axis in one step to both sides of its zero. Zero and the ends are labelled, and between them whatever runs into no other label. */
export function axisTicks({ from, to, width, x, zero, unit, metresInAUnit }: Axis): AxisTick[] {
    const far = Math.max(0, from, to);
    const beyond = Math.max(0, -from, -to);
    const step = ticks(far + beyond, width < 500 ? 5 : 10, metresInAUnit)[1]!.metres;
    const many = (metres: number) => Array.from({ length: Math.floor(metres / step) }, (_, i) => step * (i + 1));
    const all = [
        ...many(beyond)
            .map((metres) => -metres)
            .reverse(),
        0,
        ...many(far),
    ];
    const last = far >= beyond ? all[all.length - 1]! : all[0]!;
    const round = (metres: number) => Math.round(Math.abs(metres) / metresInAUnit);
    const words = (metres: number) => (metres === 0 ? zero : metres === last ? `${round(metres)} ${unit}` : `${round(metres)}`);
    const first = [...new Set([0, last, ...all])];
    const placed: { from: number; to: number }[] = [];
    const labels = new Map<number, AxisTick['label']>();
    for (const metres of first) {
        const half = (words(metres).length * LETTER) / 2;
        const at = Math.min(width - half - 2, Math.max(half + 2, x(metres)));
        const isFree = placed.every((other) => at + half + APART <= other.from || at - half - APART >= other.to);
        if (isFree) placed.push({ from: at - half, to: at + half });
        labels.set(metres, isFree ? { x: at, words: words(metres) } : null);
    }
    return all.map((metres) => ({ metres, label: labels.get(metres) ?? null }));
}
