import type { Stretch } from '@/api/types';
import type { Drawable } from './plan';
import type { StripLayout } from './layout';
import { readAt } from '@/ui/columns';
import { Hidden } from './Hidden';
import { Round } from './Round';

/** Where the road lies, on which scale. */
export type RoadLayout = Pick<StripLayout, 'road' | 'scale'>;

/** What governs a line behind which another road is met. */
const CROSSES = new Set(['give-way', 'stop', 'signals', 'all-way-stop']);

/** The road from above on the strip's own axis: kerbs, openings, parked cars, our path, the view that opens, the road we meet. */
export function RoadBand({ plan, layout, at }: { plan: Drawable; layout: RoadLayout; at: number }) {
    const { road, scale } = layout;
    const { place } = plan;
    const footway = 9;
    const lineX = road.lineX;
    const meets = CROSSES.has(plan.place.control) && plan.axis === 'distance';
    const upper = (stretch: Stretch) => stretch.side === 'left';
    return (
        <g>
            <rect x={4} y={road.top - footway} width={lineX - 4} height={road.bottom - road.top + 2 * footway} fill="var(--verge)" />
            <rect x={4} y={road.top} width={lineX - 4} height={road.bottom - road.top} fill="var(--road)" />
            {place.island ? (
                <Round plan={plan} layout={layout} />
            ) : !meets && !place.turns_off ? (
                <rect x={lineX} y={road.top - footway} width={scale.width - lineX} height={road.bottom - road.top + 2 * footway} fill="var(--road)" />
            ) : meets ? (
                <rect x={lineX} y={road.top - footway - 6} width={scale.width - lineX} height={road.bottom - road.top + 2 * footway + 12} fill="var(--road)" />
            ) : (
                <SideRoad plan={plan} layout={layout} />
            )}
            {place.openings.map((opening) => (
                <rect
                    key={`${opening.side}${opening.from_m}`}
                    x={scale.x(Math.min(opening.from_m, scale.from))}
                    y={upper(opening) ? road.top - footway : road.bottom - 1}
                    width={Math.max(0, scale.x(opening.to_m) - scale.x(Math.min(opening.from_m, scale.from)))}
                    height={footway + 1}
                    fill="var(--road)"
                />
            ))}
            {plan.axis === 'distance' && !place.island && <View plan={plan} layout={layout} />}
            <g stroke="var(--line)" strokeWidth={1.5}>
                <line x1={4} x2={lineX} y1={road.top} y2={road.top} />
                <line x1={4} x2={lineX} y1={road.bottom} y2={road.bottom} />
            </g>
            {!place.one_way && (
                <line
                    x1={4}
                    x2={lineX - 4}
                    y1={road.y(place.road_width_m / 2)}
                    y2={road.y(place.road_width_m / 2)}
                    stroke="var(--paper)"
                    strokeWidth={2}
                    strokeDasharray="14 9"
                />
            )}
            {place.parked.map((cars) => (
                <rect
                    key={`${cars.side}${cars.from_m}`}
                    x={scale.x(Math.min(cars.from_m, scale.from))}
                    y={upper(cars) ? road.top + 2 : road.bottom - 2 - 1.9 * road.pixelsPerMetre}
                    width={Math.max(4, scale.x(cars.to_m) - scale.x(Math.min(cars.from_m, scale.from)))}
                    height={1.9 * road.pixelsPerMetre}
                    rx={3}
                    fill="var(--line)"
                    stroke="var(--ink)"
                />
            ))}
            <Hidden plan={plan} layout={layout} />
            {meets && <Line plan={plan} layout={layout} />}
            {place.path_before_m !== null && <PathAcross metres={place.path_before_m} layout={layout} />}
            {plan.point_of_no_return_m !== null && <NoReturn metres={plan.point_of_no_return_m} layout={layout} />}
            {plan.sign && <Sign sign={plan.sign} layout={layout} />}
            <path d={road.path} fill="none" stroke="var(--ink)" strokeWidth={2.5} strokeDasharray="1 0" />
            <Car plan={plan} layout={layout} here={at} />
        </g>
    );
}

/** Off the main road: the mouth of the side road beyond the point where steering starts. */
function SideRoad({ plan, layout }: { plan: Drawable; layout: RoadLayout }) {
    const { road, scale } = layout;
    const up = plan.turn_side === 'left';
    const mouth = Math.max(14, scale.width - road.lineX - 8);
    return (
        <g>
            <rect x={road.lineX} y={road.top} width={scale.width - road.lineX} height={road.bottom - road.top} fill="var(--road)" />
            <rect x={road.lineX + 6} y={up ? road.top - 16 : road.bottom - 1} width={mouth} height={17} fill="var(--road)" />
            <line x1={road.lineX} x2={road.lineX} y1={road.top} y2={road.bottom} stroke="var(--ink)" strokeWidth={1.5} strokeDasharray="3 3" />
        </g>
    );
}

/** Give-way or stop line across our half. */
function Line({ plan, layout }: { plan: Drawable; layout: RoadLayout }) {
    const { road } = layout;
    const { place } = plan;
    const from = road.y(0);
    const to = road.y(place.one_way ? place.road_width_m : place.road_width_m / 2);
    const stop = place.control === 'stop';
    return (
        <g stroke="var(--paper)" strokeWidth={stop ? 5 : 2.5} strokeDasharray={stop ? undefined : '6 4'}>
            <line x1={road.lineX - 2} x2={road.lineX - 2} y1={from} y2={to} />
            {!stop && <line x1={road.lineX - 7} x2={road.lineX - 7} y1={from} y2={to} />}
        </g>
    );
}

/** A path for people or cycles across our way, over both footways. */
function PathAcross({ metres, layout }: { metres: number; layout: RoadLayout }) {
    const { road, scale } = layout;
    if (metres > scale.from) return null;
    const x = scale.x(metres);
    return (
        <g stroke="var(--ink)" strokeWidth={1.5} strokeDasharray="3 3">
            <line x1={x - 5} x2={x - 5} y1={road.top - 9} y2={road.bottom + 9} />
            <line x1={x + 5} x2={x + 5} y1={road.top - 9} y2={road.bottom + 9} />
        </g>
    );
}

/** From here on we go even if the lights change: a bracket towards the line on both edges of the road. */
function NoReturn({ metres, layout }: { metres: number; layout: RoadLayout }) {
    const { road, scale } = layout;
    if (metres > scale.from) return null;
    const x = scale.x(metres);
    return (
        <g stroke="var(--ink)" strokeWidth={2} fill="none">
            <path d={`M${x + 7},${road.top - 6} h-7 v8`} />
            <path d={`M${x + 7},${road.bottom + 6} h-7 v-8`} />
        </g>
    );
}

/** The sign that tells the way, on the nearside footway, and the stretch from which it can be read before the mirrors are due. */
function Sign({ sign, layout }: { sign: NonNullable<Drawable['sign']>; layout: RoadLayout }) {
    const { road, scale } = layout;
    const x = (metres: number) => scale.x(Math.min(metres, scale.from));
    const y = road.nearIsTop ? road.top - 5 : road.bottom + 5;
    return (
        <g stroke="var(--ink)">
            <line x1={x(sign.from_m)} x2={x(Math.min(sign.from_m, Math.max(sign.by_m, sign.at_m)))} y1={y} y2={y} strokeWidth={3} strokeDasharray="2 3" />
            <path d={`M${x(sign.at_m) - 5},${y - 6} h10 v8 h-10 Z m5,8 v5`} fill="var(--paper)" strokeWidth={1.5} />
        </g>
    );
}

/** From the driver's place where the view opens, both ways along the road we meet. */
function View({ plan, layout }: { plan: Drawable; layout: RoadLayout }) {
    const { road, scale } = layout;
    // A view that opens beyond the line opens at it as far as the picture goes.
    const from = scale.x(Math.min(Math.max(0, plan.place.view_from_m), scale.from));
    const y = road.y(plan.place.lateral_target_m);
    const spread = (road.bottom - road.top) / 2 + 14;
    const middle = (road.top + road.bottom) / 2;
    return <polygon points={`${from},${y} ${scale.width},${middle - spread} ${scale.width},${middle + spread}`} fill="var(--ink)" opacity={0.1} />;
}

/** Our car where the current step belongs, its indicator on once the signal is given, its brake lights once it brakes. */
function Car({ plan, layout, here }: { plan: Drawable; layout: RoadLayout; here: number }) {
    const { road, scale } = layout;
    const { along, lateral_m } = plan.profile;
    // A standing car waits at the end of its axis, which is time.
    const stands = plan.axis === 'time';
    const at = stands ? 0 : Math.min(here, scale.from);
    const length = Math.max(14, plan.place.car_length_m * (stands ? road.pixelsPerMetre : scale.pixelsPerMetre));
    const width = Math.max(7, plan.place.car_width_m * road.pixelsPerMetre);
    const x = scale.x(at) - length;
    const y = road.y(readAt(along, lateral_m, at)) - width / 2;
    const signalling = here <= (plan.steps.find((step) => step.step === 'signal')?.best ?? -1);
    const braking = plan.phases.some((phase) => phase.brake && here <= phase.from_m && here > phase.to_m);
    const indicatorY = plan.turn_side === 'left' ? y + 1 : y + width - 1;
    return (
        <g>
            <rect x={x} y={y} width={length} height={width} rx={3.5} fill="var(--paper)" stroke="var(--ink)" strokeWidth={2} />
            <line x1={x + length * 0.68} x2={x + length * 0.68} y1={y + 2} y2={y + width - 2} stroke="var(--ink)" strokeWidth={1.5} />
            {braking && <path d={`M${x},${y + 2} v${width - 4}`} stroke="var(--ink)" strokeWidth={5} />}
            {signalling && (
                <g fill="var(--now-fill)" stroke="var(--ink)" strokeWidth={1}>
                    <circle cx={x + 2} cy={indicatorY} r={3.6} />
                    <circle cx={x + length - 2} cy={indicatorY} r={3.6} />
                </g>
            )}
        </g>
    );
}
