/** How hard a text is to read: Flesch and Kincaid's grade (Kincaid et al. 1975: 0.39 words a sentence + 11.8 syllables a word - 15.59), as an age. */
export function readingAge(text: string): number {
    const sentences = text.split(/[.!?;:\n]+/).filter((one) => /\p{L}/u.test(one));
    const words = text.match(/[\p{L}’']+/gu) ?? [];
    return 0.39 * (words.length / sentences.length) + 11.8 * (words.reduce((sum, word) => sum + syllables(word), 0) / words.length) - 15.59 + 5;
}

/** Groups of vowels, a silent e left out. */
function syllables(word: string): number {
    const said = word.toLowerCase().replace(/(?:[^laeiouy]e|ed|es)$/, '');
    return Math.max(1, (said.match(/[aeiouy]+/g) ?? []).length);
}
