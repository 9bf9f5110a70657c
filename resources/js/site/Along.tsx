import type { Side } from '@/api/types';
import type { Arm } from './draft';
import { halves, inLane, lie, line } from './geometry';

type Feature = NonNullable<Arm['holds']>[number];

/** Where what lies along a road is drawn, before the middle, m. */
const HERE = 8;
const CAR = 4.4;

/** What lies along an arm, as met by who comes in by it: drawn so that it is known again, not measured. */
export function Along({ arm, keeps }: { arm: Arm; keeps: Side }) {
    const ours = keeps === 'left' ? 1 : -1;
    const half = halves(arm);
    /** Over the whole road, so far out. */
    const across = (out: number) => line([lie(arm, out, ours * half.in), lie(arm, out, -ours * half.out)]);
    /** A row of cars at a kerb: of our side, or of the other. */
    const cars = (side: 1 | -1, key: string) =>
        [0, 1, 2].map((i) => {
            const aside = side === 1 ? ours * (half.in - 1) : -ours * (half.out - 1);
            const from = HERE + i * (CAR + 1.4);
            return <path key={`${key} ${i}`} d={line([lie(arm, from, aside), lie(arm, from + CAR, aside)])} stroke="var(--line)" strokeWidth={1.8} />;
        });
    const stripes = (outs: number[], width: number, colour: string, dash?: string) =>
        outs.map((out) => <path key={out} d={across(out)} stroke={colour} strokeWidth={width} strokeDasharray={dash} />);
    const box = (from: number, to: number, near: number, far: number) =>
        line([lie(arm, from, ours * near), lie(arm, to, ours * near), lie(arm, to, ours * far), lie(arm, from, ours * far)]) + ' Z';
    const drawn: Record<Feature, () => React.ReactNode> = {
        parked: () => cars(1, 'p'),
        narrow: () => [...cars(1, 'n'), ...cars(-1, 'm')],
        'bus-stop': () => (
            <path d={box(HERE, HERE + 12, half.in - 3, half.in - 0.3)} fill="none" stroke="var(--paper)" strokeWidth={0.5} strokeDasharray="1.6 1" />
        ),
        crossing: () => stripes([HERE - 6], 2.6, 'var(--paper)', '0.8 0.8'),
        school: () => stripes([HERE - 5, HERE + 15], 0.5, 'var(--paper)', '1 1'),
        humps: () => stripes([HERE, HERE + 9, HERE + 18], 1.4, 'var(--verge)'),
        queue: () =>
            [0, 1].map((i) => {
                const [[x, y], [toX, toY]] = [inLane(arm, 'in', 3 + i * 6, keeps), inLane(arm, 'in', 3 + i * 6 + CAR, keeps)];
                return <path key={i} d={`M${x},${y} L${toX},${toY}`} stroke="var(--line)" strokeWidth={1.8} />;
            }),
        railway: () => stripes([-0.9, 0.9], 0.35, 'var(--ink)'),
        'long-view': () => null,
        'free-kerb': () => <path d={line([lie(arm, 2, ours * half.in), lie(arm, 26, ours * half.in)])} stroke="var(--now-fill)" strokeWidth={0.9} />,
        'kerb-space': () => [
            cars(1, 's')[0],
            <path key="space" d={box(HERE + 6, HERE + 14, half.in - 2, half.in)} fill="none" stroke="var(--now-fill)" strokeWidth={0.5} />,
            <path
                key="end"
                d={line([lie(arm, HERE + 15, ours * (half.in - 1)), lie(arm, HERE + 15 + CAR, ours * (half.in - 1))])}
                stroke="var(--line)"
                strokeWidth={1.8}
            />,
        ],
        bay: () =>
            [0, 1, 2, 3].map((i) => (
                <path key={i} d={box(4 + i * 3, 7 + i * 3, half.in, half.in + 5)} fill="var(--road)" stroke="var(--paper)" strokeWidth={0.4} />
            )),
        ramp: () => stripes([3, 6, 9], 0.4, 'var(--paper)', '3 0.6'),
    };
    return (
        <g aria-hidden="true" fill="none">
            {arm.holds?.map((feature) => (
                <g key={feature} data-holds={feature}>
                    {drawn[feature]()}
                </g>
            ))}
        </g>
    );
}
