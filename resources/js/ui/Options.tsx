interface Props {
    of: Readonly<Record<string, string>>;
    /** How the place says them, where they are written with words of a place. */
    say?: (words: string) => string;
}

/** The options of a select: value by value with its words. */
export function Options({ of, say = (words) => words }: Props) {
    return Object.entries(of).map(([value, words]) => (
        <option key={value} value={value}>
            {say(words)}
        </option>
    ));
}
