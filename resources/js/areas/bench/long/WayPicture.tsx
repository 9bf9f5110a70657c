import { useSay } from '@/rules/rules';
import type { SweptPathAnswer } from '@/api/types';
import { Drawn, points } from './Drawn';
import { beside, type Point } from './ways';

interface Props {
    answer: SweptPathAnswer;
    left: number;
    right: number;
    onLeft: (metres: number) => void;
    onRight: (metres: number) => void;
}

/** Any way between two kerbs that run beside it. */
export function WayPicture({ answer, left, right, onLeft, onRight }: Props) {
    const say = useSay();
    const { path } = answer.traces;
    const [leftKerb, rightKerb] = [beside(path, left), beside(path, -right)];
    const at = Math.floor(path.length * 0.42);
    const point: Point = path[at] ?? [0, 0];
    const next: Point = path[at + 1] ?? [1, 0];
    const length = Math.hypot(next[0] - point[0], next[1] - point[1]) || 1;
    const aside = ([x, y]: Point) => ((next[0] - point[0]) * (y - point[1]) - (next[1] - point[1]) * (x - point[0])) / length;
    return (
        <Drawn
            answer={answer}
            label={answer.fits ? 'The vehicle stays within the road' : 'The vehicle leaves the road'}
            frame={[...leftKerb, ...rightKerb]}
            grips={[
                { label: say('{Kerb} on the left'), at: leftKerb[at] ?? [0, 0], onMove: (to) => onLeft(aside(to)) },
                { label: say('{Kerb} on the right'), at: rightKerb[at] ?? [0, 0], onMove: (to) => onRight(-aside(to)) },
            ]}
        >
            <Road left={leftKerb} right={rightKerb} />
        </Drawn>
    );
}

/** A lane with the best line through it. */
export function LanePicture({ answer, lane }: { answer: SweptPathAnswer; lane: NonNullable<SweptPathAnswer['lane']> }) {
    const [left, right] = [lane.left as Point[], lane.right as Point[]];
    return (
        <Drawn answer={answer} label={answer.fits ? 'The vehicle stays within its lane' : 'The vehicle leaves its lane'} frame={[...left, ...right]} grips={[]}>
            <Road left={left} right={right} />
        </Drawn>
    );
}

function Road({ left, right }: { left: Point[]; right: Point[] }) {
    return (
        <>
            <polygon points={`${points(left)} ${points([...right].reverse())}`} fill="var(--road)" />
            {[left, right].map((kerb, i) => (
                <polyline key={i} points={points(kerb)} fill="none" stroke="var(--ink)" strokeWidth={0.22} />
            ))}
        </>
    );
}
