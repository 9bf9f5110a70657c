import type { Lesson } from '@/api/types';
import { STEP_WORDS } from '@/strip/words';

/** What a lesson works on: "Position, emerge right". */
export function aimWords(aim: Lesson['works_on'], name: (code: string) => string): string {
    const step = aim?.step ? STEP_WORDS[aim.step] : 'Every step';
    return aim?.routine ? `${step}, ${name(aim.routine).toLowerCase()}` : `${step}, on any routine`;
}
