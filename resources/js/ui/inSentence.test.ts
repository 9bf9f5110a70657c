import { expect, it } from 'vitest';
import { inSentence } from './inSentence';

it.each([
    ['The blue hatch', 'the blue hatch'],
    ['ZT 40', 'ZT 40'],
    ['Theo’s car', 'Theo’s car'],
])('%s in a sentence is %s', (name, words) => expect(inSentence(name)).toBe(words));
