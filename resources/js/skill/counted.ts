import type { Counted, Decision, Mark } from '@/api/types';

/** A count in words, as it stands in a list. */
export function countWords({ what, number, seconds }: Pick<Mark, 'what' | 'number' | 'seconds'>): string {
    const s = seconds ?? 0;
    switch (what) {
        case 'rear-looks':
            return `${number} rear looks in ${Math.round(s)} s: ${((60 * (number ?? 0)) / s).toFixed(1)} a minute`;
        case 'counted-gap':
            return `${s.toFixed(1)} s to the car ahead (${number} wanted)`;
        case 'gap-taken':
            return `took a gap of ${s.toFixed(1)} s`;
        case 'gaps-let-go':
            return number === 1 ? `let a gap of ${s.toFixed(1)} s go` : `let ${number} gaps of ${s.toFixed(1)} s go`;
        case 'wait':
            return `waited ${s.toFixed(1)} s`;
        case 'length':
            return `${number} m by ${s.toFixed(1)} s`;
        default:
            return '';
    }
}

/** Counts of one kind in one line: "took a gap of 7.8 s", "let gaps of 3.1, 4.4 s go". */
function together(what: Counted, counts: readonly Mark[]): string {
    const [only] = counts;
    if (counts.length === 1 && only) return countWords(only);
    const seconds = counts.map((count) => (count.seconds ?? 0).toFixed(1)).join(', ');
    switch (what) {
        case 'counted-gap':
            return `${seconds} s to the car ahead (${only?.number} wanted)`;
        case 'gap-taken':
            return `took gaps of ${seconds} s`;
        case 'gaps-let-go':
            return `let gaps of ${seconds} s go`;
        case 'wait':
            return `waited ${seconds} s`;
        default:
            return counts.map(countWords).join(', ');
    }
}

/** What was decided rightly and what was counted in a round, in words. */
export function alsoSaid(
    { decisions, counts }: { decisions: Partial<Record<Decision, Mark>>; counts: Mark[] },
    words: Readonly<Record<string, string>>,
): string[] {
    const kinds = [...new Set(counts.map((count) => count.what))].flatMap((what) => what ?? []);
    return [
        ...Object.keys(decisions).map((decision) => words[decision] ?? decision),
        ...kinds.map((what) =>
            together(
                what,
                counts.filter((count) => count.what === what),
            ),
        ),
    ];
}
