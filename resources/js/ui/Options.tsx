/** The options of a select: value by value with its words. */
export function Options({ of }: { of: Readonly<Record<string, string>> }) {
    return Object.entries(of).map(([value, words]) => (
        <option key={value} value={value}>
            {words}
        </option>
    ));
}
