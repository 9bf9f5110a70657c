import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { FitAsked } from '@/api/types';
import { fitWords } from './fitWords';

/** What a time would mean for a lesson, said before it is written. */
export function FitWords({ asked }: { asked: FitAsked }) {
    const fit = useQuery({ ...questions.fit(asked), placeholderData: (before) => before });
    if (!fit.data) return fit.error ? <p role="alert">▸ {fit.error.message}</p> : null;
    return (
        <ul aria-live="polite" aria-label="What this time means" className="grid gap-1">
            {fitWords(fit.data).map(({ text, tone }) => (
                <li key={text} className={tone === 'plain' ? 'text-quiet' : 'font-semibold'}>
                    {tone !== 'plain' && '▸ '}
                    {text}
                </li>
            ))}
        </ul>
    );
}
