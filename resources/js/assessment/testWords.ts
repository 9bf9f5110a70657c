import type { Assessment } from '@/api/types';

export const KIND_WORDS: Record<Assessment['kind'], string> = { 'mock-test': 'Mock test', test: 'Test' };

/** The rule that decided; and, of a test, that the examiner saw it otherwise where they did. */
export const decided = ({ kind, result, by_scheme: scheme }: Assessment): string =>
    kind === 'test' && scheme.result !== result ? `${scheme.message} The examiner saw it otherwise.` : scheme.message;

/** How grave a fault is, as the scheme calls it: "Serious", "Grade 2". */
export const severityWords = (severity: string): string => severity.charAt(0).toUpperCase() + severity.slice(1).replace('-', ' ');
