import type { Side } from '@/api/types';
import type { Arm } from './draft';
import { bow, fallStrokes, hedge, line, type Point } from './geometry';

/** What of a road ends the view on the way in: a bend, a hedge along the inside of it, a crest, a dip. */
export function Hides({ arm, out, keeps }: { arm: Arm; out: number; keeps: Side }) {
    return (
        <>
            {arm.bend && <path d={bent(bow(arm, out, keeps))} fill="none" stroke="var(--line)" strokeWidth={0.8} data-bend="" />}
            {arm.bend?.offset_m !== undefined && (
                <path d={bent(hedge(arm, out, keeps))} fill="none" stroke="var(--ink)" strokeWidth={1.4} strokeDasharray="1.6 0.7" data-hedge="" />
            )}
            {(['crest', 'dip'] as const).map(
                (kind) =>
                    arm[kind] && (
                        <g key={kind} fill="var(--paper)" {...{ [`data-${kind}`]: '' }}>
                            {fallStrokes(arm, kind, out, keeps).map((stroke, i) => (
                                <path key={i} d={line(stroke)} />
                            ))}
                        </g>
                    ),
            )}
        </>
    );
}

/** A bend's bow through its three points. */
const bent = ([begins, top, ends]: [Point, Point, Point]): string => {
    // Where the middle of a curve is to lie, its control point lies twice as far from the chord.
    const [x, y] = [2 * top[0] - (begins[0] + ends[0]) / 2, 2 * top[1] - (begins[1] + ends[1]) / 2];
    return `M${begins.join()} Q${x},${y} ${ends.join()}`;
};
