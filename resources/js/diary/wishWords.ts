import type { WaitingLearner } from '@/api/types';

export const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** When somebody can, as one says it: days in a row are said from the first to the last. */
export function wishWords({ days, from, until }: WaitingLearner['wishes'][number]): string {
    const runs: number[][] = [];
    for (const day of [...days].sort()) {
        const last = runs.at(-1);
        if (last?.at(-1) === day - 1) last.push(day);
        else runs.push([day]);
    }
    const name = (day: number | undefined) => DAYS[(day ?? 1) - 1]!;
    const said = runs.map((run) => (run.length < 3 ? run.map(name).join(', ') : `${name(run[0])} to ${name(run.at(-1))}`));
    return `${said.length === 1 && runs[0]!.length === 7 ? 'Every day' : said.join(', ')}, ${from} to ${until === '23:59' ? 'the end of the day' : until}`;
}
