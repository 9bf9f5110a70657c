import type { KeyboardEvent, PointerEvent } from 'react';
import type { Side } from '@/api/types';
import { armWords, type Arm, type Draft } from './draft';
import { beside, line } from './geometry';

/** What stands or opens beside a road: of its openings or its parked cars, the one at this place of the list. */
export interface BesideOne {
    arm: string;
    what: 'openings' | 'parked';
    at: number;
}

interface Props {
    draft: Draft;
    out: number;
    keeps: Side;
    onHold: (one: BesideOne, event: PointerEvent) => void;
    onMove: (one: BesideOne, metres: number) => void;
}

const WORDS = { openings: 'An opening', parked: 'Parked cars' } as const;
/** By how much a key moves it, m; with Shift by one. */
const STEP = 5;

/** Openings and parked cars of all roads: held by hand or moved by key along their road. */
export function BesideRoads({ draft, out, keeps, onHold, onMove }: Props) {
    return draft.arms.flatMap((arm) =>
        (['openings', 'parked'] as const).flatMap((what) =>
            (arm[what] ?? []).map((_, at) => <One key={`${arm.id} ${what} ${at}`} {...{ draft, arm, what, at, out, keeps, onHold, onMove }} />),
        ),
    );
}

function One({ draft, arm, what, at, out, keeps, onHold, onMove }: Props & { arm: Arm; what: BesideOne['what']; at: number }) {
    const { side = keeps, from_m: far = 0, to_m: near = 0 } = arm[what]![at]!;
    const d = line([far, near].map((metres) => beside(arm, metres, side, out, keeps, what === 'openings' ? 1.5 : -1)));
    const one = { arm: arm.id, what, at };
    const key = (event: KeyboardEvent) => {
        const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        onMove(one, by * (event.shiftKey ? 1 : STEP));
    };
    return (
        <g
            role="button"
            tabIndex={0}
            aria-label={`${WORDS[what]} on the ${side} of ${armWords(arm, draft.arms)}, ${far} to ${near} m before`}
            className="cursor-grab touch-none"
            onKeyDown={key}
            onPointerDown={(event) => onHold(one, event)}
            data-beside={what}
        >
            <path d={d} stroke="transparent" strokeWidth={7} />
            <path d={d} stroke={what === 'openings' ? 'var(--road)' : 'var(--line)'} strokeWidth={what === 'openings' ? 3.4 : 1.8} />
        </g>
    );
}
