import type { Assessment } from '@/api/types';

export const KIND_WORDS: Record<Assessment['kind'], string> = { 'mock-test': 'Mock test', test: 'Test' };

/** How grave a fault is, as the scheme calls it: "Serious", "Grade 2". */
export const severityWords = (severity: string): string => severity.charAt(0).toUpperCase() + severity.slice(1).replace('-', ' ');
