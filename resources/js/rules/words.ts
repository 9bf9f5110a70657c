import type { Rules } from '@/api/types';
import { useRules } from './rules';

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/** Exact. */
const KMH_IN_A_MPH = 1.609344;

/**
 * A text of the interface in the words of the place, written as the core writes its own: `{slip road}` is the pack's word or itself,
 * with a capital where it begins a sentence, `{near}` and `{off}` are sides, `{mph:20}` a speed as it is spoken there.
 */
export function inWords(text: string, rules: Pick<Rules, 'words' | 'keeps' | 'speed_unit'>): string {
    return text.replace(/\{([^{}]+)\}/g, (_, name: string) => {
        if (name === 'near') return rules.keeps;
        if (name === 'off') return rules.keeps === 'left' ? 'right' : 'left';
        if (name.startsWith('mph:')) {
            const mph = Number(name.slice(4));
            return rules.speed_unit === 'mph' ? `${mph} mph` : `${Math.round(mph * KMH_IN_A_MPH)} km/h`;
        }
        const small = name.charAt(0).toLowerCase() + name.slice(1);
        return rules.words[name] ?? (small === name ? name : capital(rules.words[small] ?? small));
    });
}

export function useSay(): (text: string) => string {
    const rules = useRules();
    return (text) => inWords(text, rules);
}
