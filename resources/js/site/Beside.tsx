import { line, beside } from './geometry';
import { Held, type OnChange } from './Held';
import { aside, rowHandle, type Drawn } from './handles';

interface Props extends Pick<Drawn, 'draft' | 'out' | 'keeps'> {
    k: number;
    onChange: OnChange;
}

/** Openings and parked cars of all roads: held by hand or moved by key along their road. */
export function BesideRoads({ k, onChange, ...drawn }: Props) {
    const { draft, out, keeps } = drawn;
    return draft.arms.flatMap((arm) =>
        (['openings', 'parked'] as const).flatMap((what) =>
            (arm[what] ?? []).map(({ side = keeps, from_m: far = 0, to_m: near = 0 }, i) => {
                const d = line([far, near].map((metres) => beside(arm, metres, side, out, keeps, aside(what))));
                return (
                    <Held key={`${arm.id} ${what} ${i}`} handle={rowHandle(arm, what, i, drawn)} {...{ k, onChange }}>
                        <path d={d} stroke="transparent" strokeWidth={7} />
                        <path
                            d={d}
                            stroke={what === 'openings' ? 'var(--road)' : 'var(--line)'}
                            strokeWidth={what === 'openings' ? 3.4 : 1.8}
                            data-beside={what}
                        />
                    </Held>
                );
            }),
        ),
    );
}
