import type { Drawable } from './plan';
import type { RoadLayout } from './RoadBand';
import { spoken } from './words';

/** So many strokes of a hedge, and of the fall beside a crest or into a dip, lie so many pixels apart. */
const APART = 7;

/** How wide the words are, px. */
const LABEL = 76;

interface Stretch {
    kind: 'bend' | 'crest' | 'dip';
    from: number;
    to: number;
    seen: number | null;
}

/** What of the road itself ends the view on the way, and how much is seen there at the least; the farther first. */
export function hiddenOn({ bend, crest, dip }: Pick<Drawable['place'], 'bend' | 'crest' | 'dip'>): Stretch[] {
    return [
        ...(bend ? [{ kind: 'bend' as const, from: bend.from_m, to: bend.to_m, seen: bend.seen_m }] : []),
        ...(crest ? [{ kind: 'crest' as const, from: crest.from_m, to: crest.to_m, seen: crest.seen_m }] : []),
        ...(dip ? [{ kind: 'dip' as const, from: dip.from_m, to: dip.to_m, seen: dip.seen_m }] : []),
    ].sort((one, other) => other.from - one.from);
}

/**
 * A bend as a bow beside the road, bushy where a hedge hides it; a crest as strokes that fall away to both sides of its top, a dip as strokes
 * that fall from both sides to its middle.
 */
export function Hidden({ plan, layout }: { plan: Drawable; layout: RoadLayout }) {
    const { road, scale } = layout;
    if (plan.axis !== 'distance') return null;
    return hiddenOn(plan.place).flatMap(({ kind, from, to, seen }) => {
        const [left, right] = [scale.x(Math.min(from, scale.from)), scale.x(to)];
        if (to >= scale.from) return [];
        const y = road.nearIsTop ? road.top - 5 : road.bottom + 5;
        const middle = Math.max((left + right) / 2, scale.x(scale.from) + LABEL / 2);
        // Of the whole of it, however much of that is on the strip.
        const top = scale.x((from + to) / 2);
        const lean = (x: number) => (x < top === (kind === 'crest') ? -3 : 3);
        const strokes = Array.from({ length: Math.max(1, Math.floor((right - left) / APART)) }, (_, i) => left + (i + 0.5) * APART);
        return (
            <g key={kind} stroke="var(--ink)" fill="none" strokeWidth={2} data-hidden={kind}>
                {kind === 'bend' ? (
                    <path d={`M${left},${y} Q${(left + right) / 2},${y + (road.nearIsTop ? -8 : 8)} ${right},${y}`} strokeWidth={seen === null ? 2 : 5} />
                ) : (
                    strokes.map((x) => <path key={x} d={`M${x},${road.top - 1} l${lean(x)},-7 M${x},${road.bottom + 1} l${lean(x)},7`} strokeWidth={1.5} />)
                )}
                {seen !== null && (
                    <text
                        x={middle}
                        y={road.nearIsTop ? road.bottom - 6 : road.top + 15}
                        textAnchor="middle"
                        fontSize={13}
                        fill="var(--ink)"
                        stroke="var(--road)"
                        strokeWidth={4}
                        paintOrder="stroke"
                    >
                        {spoken(seen, plan.unit)} seen
                    </text>
                )}
            </g>
        );
    });
}
