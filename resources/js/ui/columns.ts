/** Reads a column at a place, between its rows, from columns whose places only grow or only fall; beyond an end it is the end's. */
export function readAt(places: number[], column: number[], place: number): number {
    const last = places.length - 1;
    if (last < 0) return 0;
    const falls = places[0]! > places[last]!;
    const isBefore = (one: number, other: number) => (falls ? one > other : one < other);
    if (!isBefore(places[0]!, place)) return column[0]!;
    if (!isBefore(place, places[last]!)) return column[last]!;
    const i = places.findIndex((one) => !isBefore(one, place));
    const [from, to] = [places[i - 1]!, places[i]!];
    const share = from === to ? 1 : (place - from) / (to - from);
    return column[i - 1]! + share * (column[i]! - column[i - 1]!);
}
