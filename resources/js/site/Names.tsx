import { labelled, spot, type Lying } from './map';
import type { Drawn } from './MapFrame';

/** On which side of its mark a name stands. */
export type NameSide = 'left' | 'right';

/** How wide a letter is and how high a line, px. */
const LETTER = 7.5;
const LINE = 16;

/** On which side the names fit that fit; told while the map is still, kept while it is dragged. */
export const namesOn = ({ still, width, height }: Drawn, all: readonly (Lying & { id: string; name: string; used: number })[]): Map<string, NameSide> =>
    labelled(
        all.map((one) => {
            const [x, y] = spot(one, still, width, height);
            return { id: one.id, name: one.name, used: one.used, x, y };
        }),
        width,
        LETTER,
        LINE,
    );

/** A name beside what it names. */
export function Name({ at: [x, y], side, strong = false, children }: { at: [number, number]; side: NameSide; strong?: boolean; children: string }) {
    return (
        <text
            x={side === 'left' ? x - 10 : x + 10}
            textAnchor={side === 'left' ? 'end' : 'start'}
            y={y + 4.5}
            fontSize={strong ? 15 : 13}
            fontWeight={strong ? 700 : 400}
            fill="var(--ink)"
            stroke="var(--raised)"
            strokeWidth={4}
            paintOrder="stroke"
        >
            {children}
        </text>
    );
}
