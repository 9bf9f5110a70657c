/** A car's name in the middle of a sentence: “the blue hatch”; one that is called by its make or its plate stays as it is. */
export const inSentence = (name: string): string => name.replace(/^The /, 'the ');
