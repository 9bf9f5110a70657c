import { useRef } from 'react';
import { layRoad, scaleOf } from '@/strip/layout';
import type { Drawable, DrawnStep } from '@/strip/plan';
import { RoadBand } from '@/strip/RoadBand';
import { useWidth } from '@/strip/useWidth';

/** As wide as it is drawn; the screen makes it larger or smaller as a whole. */
const WIDE = 1200;
const NARROW = 420;

/** The road before us with the car where the step belongs, and how far it is from there. */
export function KerbPicture({ plan, step }: { plan: Drawable; step: DrawnStep }) {
    const frame = useRef<HTMLDivElement>(null);
    const measured = useWidth(frame);
    const width = measured > 0 && measured < 700 ? NARROW : WIDE;
    const from = plan.axis === 'time' ? Math.max(5, step.best * 1.35) : Math.max(40, Math.ceil((step.best * 1.35) / 5) * 5);
    const scale = scaleOf(plan, width, from, width === WIDE ? 150 : 80);
    const across = Math.min(Math.max(scale.pixelsPerMetre, width === WIDE ? 20 : 9), width === WIDE ? 26 : 13);
    const road = layRoad(plan, scale, 26, across);
    const height = road.bottom + (plan.axis === 'time' ? 26 : 62);
    const [near, far] = [road.lineX, scale.x(Math.min(step.best, from))];
    const y = road.bottom + 38;
    return (
        <div ref={frame} className="h-full min-h-0 w-full">
            {measured > 0 && (
                <svg viewBox={`0 0 ${width} ${height}`} className="block h-full w-full" aria-hidden="true">
                    <RoadBand plan={plan} layout={{ road, scale }} at={step.best} />
                    {plan.axis === 'distance' && near - far > 6 && (
                        <path
                            d={`M${far},${y - 11} v22 M${near},${y - 11} v22 M${far},${y} H${near}`}
                            fill="none"
                            stroke="var(--ink)"
                            strokeWidth={width === WIDE ? 4 : 2.5}
                        />
                    )}
                </svg>
            )}
        </div>
    );
}
