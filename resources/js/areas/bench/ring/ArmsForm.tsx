import { freshName, MOST_LANES, painted, widestGap, withLanes, type DrawnArm, type RingState } from '@/bench/ring';

const MOST_ARMS = 8;

/** The arms typed: name, angle, lanes with what is painted on them, lanes that lead out. */
export function ArmsForm({ state, onChange }: { state: RingState; onChange: (state: RingState) => void }) {
    const arm = (at: number, part: Partial<DrawnArm>) => onChange({ ...state, arms: state.arms.map((one, i) => (i === at ? { ...one, ...part } : one)) });
    const rename = (at: number, name: string) => {
        const old = state.arms[at]!.name;
        if (name === '' || state.arms.some((one) => one.name === name)) return;
        const swap = (one: string) => (one === old ? name : one);
        onChange({
            ...state,
            from: swap(state.from),
            to: swap(state.to),
            arms: state.arms.map((one) => ({ ...one, name: swap(one.name), lanes: one.lanes.map((lane) => ({ ...lane, to: lane.to.map(swap) })) })),
        });
    };
    const remove = (at: number) => {
        const gone = state.arms[at]!.name;
        const arms = state.arms
            .filter((_, i) => i !== at)
            .map((one) => ({ ...one, lanes: one.lanes.map((lane) => ({ ...lane, to: lane.to.filter((name) => name !== gone) })) }));
        onChange({ ...state, arms, from: state.from === gone ? arms[0]!.name : state.from, to: state.to === gone ? arms[1]!.name : state.to });
    };
    return (
        <details>
            <summary className="link min-h-12 cursor-pointer content-center font-semibold">Arms and lanes</summary>
            {state.arms.some((one) => one.bus_out_from || one.lanes.some((lane) => lane.bus_from)) && (
                <label className="flex min-h-12 items-center gap-3">
                    Time of day
                    <input type="time" className="entry w-36" value={state.time} onChange={(event) => onChange({ ...state, time: event.target.value })} />
                    <span className="text-quiet text-sm">Left empty, lanes with hours count as closed.</span>
                </label>
            )}
            <ul className="grid gap-4 py-2">
                {state.arms.map((one, at) => (
                    <li key={at} className="border-hair grid gap-2 border-t pt-3">
                        <div className="flex flex-wrap items-end gap-3">
                            <input
                                className="entry max-w-56"
                                aria-label={`Name of arm ${at + 1}`}
                                maxLength={40}
                                value={one.name}
                                onChange={(event) => rename(at, event.target.value)}
                            />
                            <label className="flex items-center gap-2">
                                at
                                <input
                                    className="entry w-24"
                                    type="number"
                                    min={0}
                                    max={355}
                                    step={5}
                                    aria-label={`Angle of ${one.name}`}
                                    value={one.angle}
                                    onChange={(event) =>
                                        Number.isFinite(event.target.valueAsNumber) && arm(at, { angle: ((event.target.valueAsNumber % 360) + 360) % 360 })
                                    }
                                />
                                °
                            </label>
                            <label className="flex items-center gap-2">
                                lanes out
                                <input
                                    className="entry w-20"
                                    type="number"
                                    min={0}
                                    max={MOST_LANES}
                                    aria-label={`Lanes out of ${one.name}`}
                                    value={one.exits}
                                    onChange={(event) =>
                                        event.target.valueAsNumber >= 0 && arm(at, { exits: Math.min(MOST_LANES, Math.round(event.target.valueAsNumber)) })
                                    }
                                />
                            </label>
                            <button
                                type="button"
                                className="key"
                                disabled={one.lanes.length >= MOST_LANES}
                                onClick={() => onChange(withLanes(state, one.name, 1))}
                            >
                                Add a lane in
                            </button>
                            <button type="button" className="key" disabled={one.lanes.length <= 1} onClick={() => onChange(withLanes(state, one.name, -1))}>
                                One fewer
                            </button>
                            <button type="button" className="key" data-tone="bare" disabled={state.arms.length <= 2} onClick={() => remove(at)}>
                                Take {one.name} away
                            </button>
                        </div>
                        {one.exits > 1 && (
                            <div className="flex flex-wrap items-center gap-x-4">
                                <Tick
                                    label={`Lane 1 out of ${one.name} is for buses`}
                                    checked={one.bus_out ?? false}
                                    onChange={() => arm(at, { bus_out: !one.bus_out })}
                                />
                                {one.bus_out &&
                                    (['bus_out_from', 'bus_out_until'] as const).map((field) => (
                                        <Hour
                                            key={field}
                                            label={field === 'bus_out_from' ? 'from' : 'until'}
                                            value={one[field] ?? ''}
                                            onChange={(hour) => arm(at, { [field]: hour })}
                                        />
                                    ))}
                            </div>
                        )}
                        {one.lanes.map((lane, n) => (
                            <fieldset key={n} className="flex flex-wrap items-center gap-x-4">
                                <legend className="text-quiet float-left mr-3 text-sm">Lane {n + 1} painted for</legend>
                                {state.arms.map((target) => (
                                    <Tick
                                        key={target.name}
                                        label={target.name}
                                        checked={lane.to.includes(target.name)}
                                        onChange={() => onChange(painted(state, one.name, n + 1, target.name))}
                                    />
                                ))}
                                <Tick
                                    label="buses at all hours"
                                    checked={lane.bus ?? false}
                                    onChange={() => arm(at, { lanes: one.lanes.map((other, i) => (i === n ? { ...other, bus: !other.bus } : other)) })}
                                />
                                {(['bus_from', 'bus_until'] as const).map((field) => (
                                    <Hour
                                        key={field}
                                        label={field === 'bus_from' ? 'buses from' : 'until'}
                                        value={lane[field] ?? ''}
                                        onChange={(hour) => arm(at, { lanes: one.lanes.map((other, i) => (i === n ? { ...other, [field]: hour } : other)) })}
                                    />
                                ))}
                            </fieldset>
                        ))}
                    </li>
                ))}
            </ul>
            <button
                type="button"
                className="key"
                disabled={state.arms.length >= MOST_ARMS}
                onClick={() =>
                    onChange({ ...state, arms: [...state.arms, { name: freshName(state.arms), angle: widestGap(state.arms), lanes: [{ to: [] }], exits: 1 }] })
                }
            >
                Add an arm
            </button>
        </details>
    );
}

interface TickProps {
    label: string;
    checked: boolean;
    onChange: () => void;
}

function Tick({ label, checked, onChange }: TickProps) {
    return (
        <label className="flex min-h-11 items-center gap-2 text-sm">
            <input type="checkbox" className="size-5" checked={checked} onChange={onChange} />
            {label}
        </label>
    );
}

interface HourProps {
    label: string;
    value: string;
    onChange: (hour: string) => void;
}

function Hour({ label, value, onChange }: HourProps) {
    return (
        <label className="flex min-h-11 items-center gap-2 text-sm">
            {label}
            <input type="time" className="entry w-32" value={value} onChange={(event) => onChange(event.target.value)} />
        </label>
    );
}
