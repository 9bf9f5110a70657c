import type { Mark, Round } from '@/api/types';
import { standing } from '@/queue/standing';

export interface OpenMoment {
    moment: Mark;
    round: Round;
}

/** The moments of a lesson that nobody has said yet what they were, oldest first. */
export const openMoments = (rounds: Round[]): OpenMoment[] => rounds.flatMap((round) => standing(round.marks).moments.map((moment) => ({ moment, round })));
