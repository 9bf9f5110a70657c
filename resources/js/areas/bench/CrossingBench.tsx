import { useRef } from 'react';
import type { CrossingAnswer, CrossingAsked } from '@/api/types';
import { useCompute, useSwept } from '@/compute/useCompute';
import { MomentKeys } from '@/road/MomentKeys';
import { useMoment } from '@/road/useMoment';
import { useWidth } from '@/strip/useWidth';
import { Check } from '@/ui/Check';
import { DataTable } from '@/ui/DataTable';
import { Slider } from '@/ui/Slider';
import { Big, BenchPage } from './BenchPage';
import { usePage } from './useBench';

const metres = (value: number) => `${value.toFixed(1)} m`;
/** Nobody is let go a moment too soon for a rounder number. */
const whole = (seconds: number) => Math.ceil(seconds - 1e-9);

/** Somebody on foot in the road we turn into: wait or go under the rule of the place, and for how long. */
export function CrossingBench() {
    const { rules, say, state, set, differs } = usePage('crossing');
    // A narrower road ends sooner.
    const walked = Math.min(state.at, state.width);
    const anywhere: Omit<CrossingAsked, 'person_at_m'> = {
        pack: rules.pack,
        practice: rules.practice,
        road_width_m: state.width,
        towards_us: state.towards,
        ...(state.island > 0 && state.island < state.width ? { island_at_m: state.island } : {}),
        ...(state.waiting ? { waiting: true } : {}),
        ...(state.walking > 0 ? { walking_mps: state.walking } : {}),
    };
    const inputs: CrossingAsked = { ...anywhere, person_at_m: walked };
    const { data, error } = useCompute('crossing', inputs);
    // Who stands at the kerb is nowhere else.
    const { all } = useSwept(
        'crossing',
        anywhere as CrossingAsked,
        { field: 'person_at_m', from: 0, to: state.waiting ? 0 : Math.floor(state.width), step: 1 },
        walked,
    );
    const longest = Math.max(2, Math.ceil(data?.seconds_until_over ?? 6));
    const moment = useMoment(longest);
    const at = data ? walked + ((state.width - walked) * Math.min(moment.seconds, data.seconds_until_over)) / Math.max(0.1, data.seconds_until_over) : walked;
    return (
        <BenchPage
            verdict={
                data && {
                    head: data.verdict === 'go' ? 'Go' : `Wait ${whole(data.wait_s)} s`,
                    says: say(data.reason),
                }
            }
            asked={{ tool: 'crossing', inputs }}
            answer={data}
            error={error}
            controls={
                <>
                    <Slider label="Road, wide" value={state.width} min={3} max={30} step={0.5} fine={0.1} words={metres} onChange={(width) => set({ width })} />
                    <Slider
                        label="Walked"
                        value={walked}
                        min={0}
                        max={state.width}
                        step={0.5}
                        fine={0.1}
                        words={metres}
                        onChange={(next) => set({ at: next })}
                    />
                    <Check label="Coming towards our path" checked={state.towards} onChange={(towards) => set({ towards })} />
                    <Check
                        label={say('At the {kerb}, not begun')}
                        checked={state.waiting}
                        onChange={(waiting) => set({ waiting, ...(waiting ? { at: 0 } : {}) })}
                    />
                    <Slider
                        label="Island, after"
                        value={state.island}
                        min={0}
                        max={Math.max(1, state.width - 0.5)}
                        step={0.5}
                        fine={0.1}
                        words={(value) => (value === 0 ? 'none' : metres(value))}
                        onChange={(island) => set({ island })}
                    />
                </>
            }
            rarely={{
                said: differs('walking'),
                controls: (
                    <Slider
                        label="They walk"
                        value={state.walking}
                        min={0}
                        max={3}
                        step={0.1}
                        fine={0.1}
                        words={(mps) => (mps === 0 ? 'as most do' : `${mps.toFixed(1)} m/s`)}
                        onChange={(walking) => set({ walking: walking > 0 && walking < 0.2 ? 0.2 : Number(walking.toFixed(1)) })}
                    />
                ),
            }}
        >
            {data && (
                <div className="grid gap-4">
                    <CrossingPicture
                        answer={data}
                        width={state.width}
                        island={inputs.island_at_m ?? null}
                        at={at}
                        towards={state.towards}
                        keeps={rules.keeps}
                    />
                    <MomentKeys moment={moment} longest={longest} play="Let them walk" label="From now" />
                    <dl className="grid grid-cols-2 gap-3 sm:grid-cols-4">
                        <Big label="Until over" value={data.seconds_until_over.toFixed(1)} unit="s" />
                        <Big
                            label="Past the island"
                            value={data.seconds_until_island === null ? '–' : data.seconds_until_island.toFixed(1)}
                            unit={data.seconds_until_island === null ? '' : 's'}
                        />
                        <Big
                            label="In our way in"
                            value={data.seconds_until_in_our_way === null ? 'past' : data.seconds_until_in_our_way.toFixed(1)}
                            unit={data.seconds_until_in_our_way === null ? '' : 's'}
                        />
                        <Big label="Out of our way in" value={data.seconds_until_out_of_our_way.toFixed(1)} unit="s" />
                    </dl>
                    {!state.waiting && (
                        <DataTable
                            label="Wherever they are"
                            heads={['Walked', 'We', 'Until over', 'Clear in']}
                            least={20}
                            rows={(all ?? []).map((one) => ({
                                key: one.at,
                                strong: one.at === walked,
                                head: metres(one.at),
                                cells: [
                                    one.verdict === 'go' ? 'go' : `wait ${whole(one.wait_s)} s`,
                                    `${one.seconds_until_over.toFixed(1)} s`,
                                    `${one.seconds_until_out_of_our_way.toFixed(1)} s`,
                                ],
                            }))}
                        />
                    )}
                    <p className="text-quiet">People first, always: a wave through is not theirs to be hurried by. Where they hesitate, wait.</p>
                </div>
            )}
        </BenchPage>
    );
}

const TALL = 210;

/** The road we enter from above: the half we drive over, the island, and where they walk. */
function CrossingPicture({
    answer,
    width,
    island,
    at,
    towards,
    keeps,
}: {
    answer: CrossingAnswer;
    width: number;
    island: number | null;
    at: number;
    towards: boolean;
    keeps: 'left' | 'right';
}) {
    // Across the road is up and down; they begin at the kerb they left. The half we enter is the second they walk where they come towards us.
    const top = 24;
    const across = (TALL - 2 * top) / width;
    const flips = towards === (keeps === 'left');
    const y = (walked: number) => (flips ? TALL - top - walked * across : top + walked * across);
    const [from, to] = towards ? [width / 2, width] : [0, width / 2];
    const frame = useRef<HTMLDivElement>(null);
    const wide = useWidth(frame);
    const x = wide * 0.62;
    return (
        <div ref={frame} className="bg-raised border-hair w-full min-w-0 overflow-hidden rounded-xl border-2">
            {wide > 0 && (
                <svg
                    width={wide}
                    height={TALL}
                    viewBox={`0 0 ${wide} ${TALL}`}
                    className="block"
                    role="img"
                    aria-label={answer.verdict === 'go' ? `Go: ${answer.reason}` : `Wait ${whole(answer.wait_s)} s: ${answer.reason}`}
                >
                    <rect x={0} y={top} width={wide} height={TALL - 2 * top} fill="var(--road)" />
                    <rect x={0} y={Math.min(y(from), y(to))} width={wide} height={Math.abs(y(to) - y(from))} fill="var(--now-fill)" opacity={0.3} />
                    <line x1={0} x2={wide} y1={TALL / 2} y2={TALL / 2} stroke="var(--paper)" strokeWidth={3} strokeDasharray="16 12" />
                    {island !== null && (
                        <rect x={x - 26} y={y(island) - 9} width={52} height={18} rx={9} fill="var(--raised)" stroke="var(--ink)" strokeWidth={3} />
                    )}
                    <line x1={x} x2={x} y1={y(0)} y2={y(width)} stroke="var(--ink)" strokeWidth={2} strokeDasharray="4 5" />
                    <rect x={16} y={(y(from) + y(to)) / 2 - 18} width={86} height={36} rx={8} fill="var(--paper)" stroke="var(--ink)" strokeWidth={3} />
                    <text x={112} y={(y(from) + y(to)) / 2 + 6} fontSize={17} fill="var(--ink)">
                        our way
                    </text>
                    <circle cx={x} cy={y(Math.min(width, at))} r={12} fill="var(--now)" stroke="var(--ink)" strokeWidth={3} />
                </svg>
            )}
        </div>
    );
}
