import type { RoadFacts, Side, Stretch } from '@/api/types';
import { FORMS } from './sketch/forms';
import { HALF, Line, MID } from './sketch/parts';

/**
 * The kind of place from above, drawn for traffic that keeps left and mirrored where it keeps right: we come from
 * below. Road by its surface, our way as a line with an arrow, what matters in outline.
 */
export function Sketch({ form, side, keeps, title, place = {}, size = 220 }: Props) {
    // The way out of a place says more than the routine, which may have none of its own.
    const to = place.exit === undefined ? side : place.exit === 'ahead' ? null : place.exit === 'back' ? (keeps === 'left' ? 'right' : 'left') : place.exit;
    const near = to === null ? null : to === keeps;
    const drawing = FORMS[form] ?? FORMS.road!;
    return (
        <svg
            viewBox="0 0 200 200"
            width={size}
            height={size}
            role="img"
            aria-label={`Sketch: ${title}`}
            className="border-hair max-w-full shrink-0 rounded-xl border-2"
        >
            <rect width={200} height={200} fill="var(--verge)" />
            <g transform={keeps === 'left' ? undefined : 'translate(200,0) scale(-1,1)'}>
                {drawing(near)}
                {APPROACHED.has(form) && <AlongTheWay place={place} keeps={keeps} />}
            </g>
        </svg>
    );
}

interface Props {
    form: string;
    side: Side | null;
    keeps: Side;
    title: string;
    /** The same description the strip is drawn from: its line, openings, parked cars and way out show here too. */
    place?: Partial<RoadFacts>;
    size?: number;
}

/** Forms whose lower half is the road we come along. */
const APPROACHED = new Set(['t-junction', 'crossroads', 'lights', 'side-road']);

/** Metres before the line that the lower half shows. */
const SHOWN = 80;

/** What stands and opens along our road, and a stop line where the place has one. */
function AlongTheWay({ place, keeps }: { place: Partial<RoadFacts>; keeps: Side }) {
    const y = (metres: number) => 108 + (Math.min(SHOWN, metres) / SHOWN) * 84;
    const onLeft = (stretch: Stretch) => (stretch.side === 'left') === (keeps === 'left');
    return (
        <g>
            {(place.openings ?? []).map((opening) => (
                <rect
                    key={`o${opening.side}${opening.from_m}`}
                    x={onLeft(opening) ? 0 : MID + HALF}
                    y={y(opening.to_m)}
                    width={MID - HALF}
                    height={Math.max(6, y(opening.from_m) - y(opening.to_m))}
                    fill="var(--road)"
                />
            ))}
            {(place.parked ?? []).map((cars) => (
                <rect
                    key={`p${cars.side}${cars.from_m}`}
                    x={onLeft(cars) ? MID - HALF + 2 : MID + HALF - 14}
                    y={y(cars.to_m)}
                    width={12}
                    height={Math.max(12, y(cars.from_m) - y(cars.to_m))}
                    rx={3}
                    fill="var(--line)"
                    stroke="var(--ink)"
                />
            ))}
            {place.control === 'stop' && <Line d={`M${MID - HALF},104 H${place.one_way ? MID + HALF : MID}`} />}
        </g>
    );
}
