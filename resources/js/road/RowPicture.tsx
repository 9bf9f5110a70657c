import type { SeriesAnswer, Side } from '@/api/types';
import { spoken } from '@/strip/words';
import { RoadFrame } from './RoadFrame';

/** Above the road what is said, on it what is met, below it its number. */
const [TOP, ROAD, DEEP] = [56, 76, 34];

/** Numbers that would lie on each other go down a line, on the screen. */
const APART = { numbers: 26, said: 96 };

/** The whole row along one road, each in its place. */
export function RowPicture({ answer, names, unit, keeps }: { answer: SeriesAnswer; names: string[]; unit: 'm' | 'ft'; keeps: Side }) {
    // We drive to the right: what lies to the left lies above.
    const [edge, beside] = keeps === 'left' ? [ROAD, ROAD - 12] : [ROAD + DEEP, ROAD + DEEP + 12];
    const from = Math.min(0, ...answer.directions.map(({ at_m }) => at_m)) - 20;
    const to = answer.length_m + 30;
    return (
        <RoadFrame
            from={from}
            to={to}
            height={ROAD + DEEP + 66}
            unit={unit}
            zero="first"
            label={`${names.length} in a row over ${spoken(answer.length_m, unit)}: ${names.join(', then ')}`}
        >
            {({ x, width }) => {
                const lines = linesOf(
                    answer.plans.map(({ at_m }) => x(at_m)),
                    APART.numbers,
                );
                const said = linesOf(
                    answer.directions.map(({ at_m }) => x(at_m)),
                    APART.said,
                );
                return (
                    <>
                        <rect x={0} y={ROAD} width={width} height={DEEP} fill="var(--road)" />
                        {answer.plans.map((one, i) => (
                            <g key={i}>
                                {one.length_m > 0 ? (
                                    <path
                                        d={
                                            one.tool === 'join'
                                                ? `M${x(one.at_m)},${beside} L${x(one.at_m + one.length_m)},${edge}`
                                                : `M${x(one.at_m)},${edge} L${x(one.at_m + one.length_m)},${beside}`
                                        }
                                        stroke="var(--road)"
                                        strokeWidth={10}
                                        strokeLinecap="round"
                                    />
                                ) : (
                                    <line
                                        x1={x(one.at_m)}
                                        x2={x(one.at_m)}
                                        y1={ROAD}
                                        y2={ROAD + DEEP}
                                        stroke={one.fits ? 'var(--paper)' : 'var(--now)'}
                                        strokeWidth={one.fits ? 4 : 7}
                                    />
                                )}
                                <line x1={x(one.at_m)} x2={x(one.at_m)} y1={ROAD + DEEP} y2={ROAD + DEEP + 18 + 14 * lines[i]!} stroke="var(--line)" />
                                <text
                                    x={Math.min(width - 10, Math.max(10, x(one.at_m)))}
                                    y={ROAD + DEEP + 32 + 14 * lines[i]!}
                                    fontSize={15}
                                    fontWeight={800}
                                    textAnchor="middle"
                                    fill={one.fits ? 'var(--ink)' : 'var(--now)'}
                                    stroke="var(--raised)"
                                    strokeWidth={4}
                                    paintOrder="stroke"
                                >
                                    {i + 1}
                                </text>
                            </g>
                        ))}
                        {answer.directions.map((one, i) => (
                            <g key={one.parts.join()}>
                                <line x1={x(one.at_m)} x2={x(one.at_m)} y1={TOP - 18 - 15 * said[i]!} y2={ROAD + DEEP} stroke="var(--now)" strokeWidth={3} />
                                <text
                                    x={x(one.at_m) + (x(one.at_m) > width - 80 ? -5 : 5)}
                                    y={TOP - 8 - 15 * said[i]!}
                                    fontSize={13}
                                    fontWeight={700}
                                    textAnchor={x(one.at_m) > width - 80 ? 'end' : 'start'}
                                    fill="var(--ink)"
                                    stroke="var(--raised)"
                                    strokeWidth={4}
                                    paintOrder="stroke"
                                >
                                    say {one.parts.map((part) => part + 1).join('+')}
                                </text>
                            </g>
                        ))}
                    </>
                );
            }}
        </RoadFrame>
    );
}

/** Each on the first of three lines where it is clear of the one before on that line. */
export function linesOf(places: number[], apart: number): number[] {
    const last = [-Infinity, -Infinity, -Infinity];
    return places.map((place) => {
        const free = last.findIndex((before) => place - before >= apart);
        const line = free < 0 ? last.indexOf(Math.min(...last)) : free;
        last[line] = place;
        return line;
    });
}
