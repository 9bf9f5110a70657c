import type { RingState } from '@/bench/ring';
import type { geometry } from './geometry';

export interface ChosenLane {
    arm: string;
    lane: number;
}

interface Props {
    state: RingState;
    place: Pick<ReturnType<typeof geometry>, 'along' | 'dividers' | 'arrows' | 'laneArea'>;
    chosen: ChosenLane | null;
    onChoose: (chosen: ChosenLane | null) => void;
}

/** Lines and arrows on the arms. A lane is taken up by a press, so that arms can be painted on it. */
export function Paint({ state, place, chosen, onChoose }: Props) {
    return state.arms.map((arm) => (
        <g key={arm.name} fill="none" stroke="var(--paper)">
            <path d={place.along(arm.angle, 0)} strokeWidth={1.4} />
            {place.dividers(arm).map((aside) => (
                <path key={aside} d={place.along(arm.angle, aside)} strokeWidth={0.8} strokeDasharray="5 4" />
            ))}
            {arm.lanes.map((_, i) => {
                const lane = i + 1;
                const taken = chosen?.arm === arm.name && chosen.lane === lane;
                return (
                    <g key={lane}>
                        {place.arrows(arm, lane).map((d) => (
                            <path key={d} d={d} stroke="var(--ink)" strokeWidth={1} strokeLinecap="round" />
                        ))}
                        <path
                            data-lane={`${arm.name} ${lane}`}
                            className="cursor-pointer"
                            d={place.laneArea(arm, lane)}
                            stroke={taken ? 'var(--now)' : 'none'}
                            strokeWidth={2}
                            fill="transparent"
                            onClick={() => onChoose(taken ? null : { arm: arm.name, lane })}
                        />
                    </g>
                );
            })}
        </g>
    ));
}
