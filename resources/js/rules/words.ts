import type { Rules } from '@/api/types';
import { converted, saidSpeed } from './speed';

const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

/**
 * A text of the interface in the words of the place, written as the core writes its own: `{slip road}` is the pack's word or itself,
 * with a capital where it begins a sentence, `{near}` and `{off}` are sides, `{mph:20}` a speed as it is spoken there.
 */
export function inWords(text: string, rules: Pick<Rules, 'words' | 'keeps' | 'speed_unit'>): string {
    return text.replace(/\{([^{}]+)\}/g, (_, name: string) => {
        if (name === 'near') return rules.keeps;
        if (name === 'off') return rules.keeps === 'left' ? 'right' : 'left';
        if (name.startsWith('mph:')) return saidSpeed(converted(Number(name.slice(4)), 'mph', rules.speed_unit), rules.speed_unit);
        const small = name.charAt(0).toLowerCase() + name.slice(1);
        return rules.words[name] ?? (small === name ? name : capital(rules.words[small] ?? small));
    });
}
