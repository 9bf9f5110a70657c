import { useSay } from '@/rules/rules';
import type { SweptPathAnswer } from '@/api/types';
import { Drawn, points } from './Drawn';
import type { Point } from './ways';

interface Props {
    answer: SweptPathAnswer;
    kerb: number;
    entry: number;
    exit: number;
    angle: number;
    onKerb: (radius: number) => void;
    onEntry: (width: number) => void;
    onExit: (width: number) => void;
}

/** A corner between kerbs, the middle of the inner kerb's arc at the origin. */
export function BendPicture({ answer, kerb, entry, exit, angle, onKerb, onEntry, onExit }: Props) {
    const say = useSay();
    const turn = (angle * Math.PI) / 180;
    const [before, after] = [16, 16];
    // On the straight after the bend: so far from the kerb's middle, so far along.
    const exitAt = (from: number, along: number): Point => [from * Math.sin(turn) + along * Math.cos(turn), -from * Math.cos(turn) + along * Math.sin(turn)];
    const arcAt = (share: number): Point => [kerb * Math.sin(turn * share), -kerb * Math.cos(turn * share)];
    const inner: Point[] = [[-before, -kerb], ...Array.from({ length: 25 }, (_, i) => arcAt(i / 24)), exitAt(kerb, after)];
    // The outer edges meet in a corner, as at a junction.
    const meet = (kerb + exit - (kerb + entry) * Math.cos(turn)) / Math.sin(turn);
    const outer: Point[] = [[-before, -kerb - entry], [meet, -kerb - entry], exitAt(kerb + exit, after)];
    return (
        <Drawn
            answer={answer}
            label={answer.fits ? 'The vehicle stays within the road' : 'The vehicle leaves the lane'}
            frame={[...inner, ...outer]}
            grips={[
                { label: say('{Kerb} radius'), at: arcAt(0.5), onMove: ([x, y]) => onKerb(Math.hypot(x, y)) },
                { label: 'Lane before', at: [-before * 0.6, -kerb - entry], onMove: ([, y]) => onEntry(-y - kerb) },
                { label: 'Lane after', at: exitAt(kerb + exit, after * 0.6), onMove: ([x, y]) => onExit(x * Math.sin(turn) - y * Math.cos(turn) - kerb) },
            ]}
        >
            <polygon points={`${points(outer)} ${points([...inner].reverse())}`} fill="var(--road)" />
            <polyline points={points(inner)} fill="none" stroke="var(--ink)" strokeWidth={0.22} />
            <polyline points={points(outer)} fill="none" stroke="var(--ink)" strokeWidth={0.14} strokeDasharray="1 0.6" />
        </Drawn>
    );
}
