import type { RoadScale } from './RoadFrame';

export const LANE = 24;
/** Turned over where traffic keeps right: the slip lies on the other side, its words stay upright. */
export const turned = (keeps: 'left' | 'right') => (value: number) => (keeps === 'left' ? value : 210 - value);

/** Two lanes of a main road across the whole picture. */
export function MainRoad({ scale, top, y }: { scale: RoadScale; top: number; y: (value: number) => number }) {
    return (
        <>
            <rect x={0} y={Math.min(y(top), y(top + 2 * LANE))} width={scale.width} height={2 * LANE} fill="var(--road)" />
            <line x1={0} x2={scale.width} y1={y(top + LANE)} y2={y(top + LANE)} stroke="var(--paper)" strokeWidth={1.5} strokeDasharray="12 10" />
        </>
    );
}
