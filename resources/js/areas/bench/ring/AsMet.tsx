import type { LanesAnswer, Side, Step } from '@/api/types';
import { Glyph } from '@/strip/glyphs';
import { spoken } from '@/strip/words';
import { Sign } from './Sign';
import type { Met, RingState } from '@/bench/ring';

const NAMES: Record<Met['kind'], string> = {
    'direction-sign': 'Direction sign',
    'lane-sign': 'Lane sign',
    markings: 'Arrows on the road',
    'change-lane': 'Change lane',
    mirrors: 'Mirrors',
    signal: 'Signal',
    line: 'The line',
    move: 'Move over',
    spiral: 'Follow the paint',
    leave: 'Leave',
};

/** The step it belongs to, as a sign. */
export const glyph = (met: Met): Step => (met.kind === 'signal' ? 'signal' : met.mirrors.length > 0 ? 'mirrors' : 'position');

interface Props {
    state: RingState;
    answer: LanesAnswer;
    keeps: Side;
    unit: 'm' | 'ft';
}

/** Signs as a learner meets them, and what is due between them, in the order of time. */
export function AsMet({ state, answer, keeps, unit }: Props) {
    return (
        <section aria-label="As it is met" className="grid gap-2">
            <h2 className="text-lg">As it is met</h2>
            <p className="text-quiet text-sm">
                For this lane the way must be known by {spoken(answer.decide_by_m, unit)} before the line, and the lane taken by{' '}
                {spoken(answer.lane_by_m, unit)}.
            </p>
            <ol className="relative flex gap-2 overflow-x-auto pb-2 print:flex-wrap" tabIndex={0} aria-label="Signs and steps in the order of time">
                {answer.met.map((met, i) => (
                    <li key={i} className="border-hair grid w-36 shrink-0 content-start justify-items-center gap-1 rounded-xl border-2 p-2 text-center">
                        <span className="tabular text-sm font-semibold">
                            {met.kind === 'line' ? 'line' : `${spoken(Math.abs(met.at_m), unit)} ${met.at_m > 0 ? 'to go' : 'on'}`}
                        </span>
                        <Picture met={met} state={state} answer={answer} keeps={keeps} />
                        <span className="font-semibold">{NAMES[met.kind]}</span>
                        <span className="text-quiet text-sm break-words">
                            {met.text}
                            {met.mirrors.length > 0 && ` · ${met.mirrors.map((look) => look.replaceAll('-', ' ')).join(', ')}`}
                        </span>
                        <span className="text-quiet tabular text-sm">{met.kind !== 'line' && `${Math.abs(met.time_s).toFixed(1)} s`}</span>
                    </li>
                ))}
            </ol>
        </section>
    );
}

function Picture({ met, state, answer, keeps }: { met: Met; state: RingState; answer: LanesAnswer; keeps: Side }) {
    if (met.kind === 'direction-sign' || met.kind === 'lane-sign' || met.kind === 'markings' || met.kind === 'line') {
        return <Sign kind={met.kind} state={state} lane={answer.approach_lane} keeps={keeps} />;
    }
    return (
        <svg viewBox="-16 -16 32 32" width={72} height={72} aria-hidden="true" color="var(--ink)">
            <Glyph step={glyph(met)} side={met.side ?? 'right'} />
        </svg>
    );
}
