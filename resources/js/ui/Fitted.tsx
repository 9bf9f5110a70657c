/** What a letter takes of its size, and a little more. */
const LETTER = 0.55;

/** Words of a key that has its place in a row: as large as the text around them, smaller where the longest would leave the key. */
export function Fitted({ children }: { children: string }) {
    const longest = Math.max(...children.split(' ').map((word) => word.length));
    return (
        <span className="@container block w-full">
            <span className="block leading-tight" style={{ fontSize: `min(1em, ${(100 / (LETTER * longest)).toFixed(1)}cqi)` }}>
                {children}
            </span>
        </span>
    );
}
