import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { questions } from '@/api/questions';
import type { Site, SiteAnswer } from '@/api/types';
import { useRules } from '@/rules/rules';
import { fromMps, speedField, unitWords } from '@/rules/speed';
import { useClock } from '@/session/session';
import { isMet, type Arm } from '@/site/draft';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';

type Measure = NonNullable<Arm['measures']>[number];
type Of = NonNullable<Measure['of']>;
type By = NonNullable<Measure['by']>;

const OF: Record<Of, string> = {
    sight_left: 'Seen to the left from the line',
    sight_right: 'Seen to the right from the line',
    view_from: 'Where the view opens, before the line',
    view_beyond: 'Where the view opens, beyond the line',
    sight_ahead: 'Seen ahead on the way',
    room: 'Room before the line',
    road_width: 'Width of the road',
    path_before: 'A path, before the line',
    turn_radius: 'How tight the turn is',
    slip_length: 'Length of the slip road',
};

/** What is measured at a site of that kind, the usual first. */
export const measuredAt = (kind: Site['kind']): Of[] => {
    if (kind === 'slip') return ['slip_length'];
    const onTheWay: Of[] = ['sight_ahead', 'room', 'road_width'];
    return isMet(kind) ? ['sight_left', 'sight_right', 'view_from', 'view_beyond', ...onTheWay, 'path_before', 'turn_radius'] : onTheWay;
};
const BY: Record<By, string> = {
    paces: 'Paced',
    driven: 'Driven past, two presses',
    tape: 'With a tape',
    'car-lengths': 'In car lengths, by eye',
    eye: 'By eye, in metres',
};
const UNITS = { m: 'm', yd: 'yd', ft: 'ft' };

interface Props {
    arm: Arm;
    /** The site as it is kept: what was timed there on the drive is offered. */
    site: string | null;
    /** What can be measured there. */
    of: Of[];
    measured: SiteAnswer['measured'];
    errors: Record<string, string[]>;
    /** What was measured, and the figure that is no longer written by hand. */
    onChange: (measures: Measure[] | undefined, free?: `${Of}_m`) => void;
}

/** What was measured of a road, each with its doubt, and a way to measure it once more. */
export function Measures({ arm, site, of: lengths, measured, errors, onChange }: Props) {
    const rules = useRules();
    const [of, setOf] = useState(lengths[0]!);
    const [by, setBy] = useState<By>('paces');
    const [number, setNumber] = useState('');
    const [unit, setUnit] = useState<keyof typeof UNITS>('m');
    const [pace, setPace] = useState(() => localStorage.getItem('noble-turn.pace') ?? '');
    const [speed, setSpeed] = useState('20');
    const [begun, setBegun] = useState<number | null>(null);
    const all = arm.measures ?? [];
    const add = (measure: Measure) => {
        onChange([...all, { of, by, ...measure }], `${of}_m`);
        setNumber('');
    };
    const isPaced = by === 'paces';
    const count = Number(number.replace(',', '.'));
    const keep = () => {
        if (!(count > 0)) return;
        if (isPaced && pace) localStorage.setItem('noble-turn.pace', pace);
        add(isPaced || by === 'car-lengths' ? { number: count, ...(isPaced && pace ? { pace_m: Number(pace) } : {}) } : { [`length_${unit}`]: count });
    };
    // What is measured has no field of its own in which to say it.
    const isSaidHere = (field: string) => field.startsWith('measures') || all.some((one) => `${one.of}_m` === field);
    const wrong = Object.entries(errors).flatMap(([field, said]) => (isSaidHere(field) ? said : []));
    return (
        <section aria-label="Measured" className="border-hair grid gap-3 border-t-2 pt-3">
            <h3 className="text-lg">Measured</h3>
            {measured.map((row) => (
                <div key={row.of} className="grid gap-1">
                    <p>
                        <span className="font-semibold">{OF[row.of]}:</span> {row.words}
                    </p>
                    {row.message && (
                        <p role="status" className="font-semibold">
                            ▸ {row.message}
                        </p>
                    )}
                    <ul className="flex flex-wrap gap-2">
                        {all.map((one, i) =>
                            one.of === row.of ? (
                                <li key={i}>
                                    <button
                                        type="button"
                                        className="key !min-h-10 text-sm"
                                        aria-label={`Take out: ${OF[row.of]}, ${said(one)}`}
                                        onClick={() => onChange(all.length === 1 ? undefined : all.filter((_, at) => at !== i))}
                                    >
                                        {said(one)} ✕
                                    </button>
                                </li>
                            ) : null,
                        )}
                    </ul>
                </div>
            ))}
            <div className="grid gap-3 sm:grid-cols-2">
                <Field label="What">
                    <select value={of} onChange={(event) => setOf(event.target.value as Of)}>
                        <Options of={Object.fromEntries(lengths.map((length) => [length, OF[length]]))} />
                    </select>
                </Field>
                <Field label="How">
                    <select
                        value={by}
                        onChange={(event) => {
                            setBy(event.target.value as By);
                            setBegun(null);
                        }}
                    >
                        <Options of={BY} />
                    </select>
                </Field>
                {by === 'driven' ? (
                    <>
                        <Field label={`Steady speed, ${unitWords(rules.speed_unit)}`}>
                            <input inputMode="decimal" value={speed} onChange={(event) => setSpeed(event.target.value)} />
                        </Field>
                        <TwoPresses
                            begun={begun}
                            onFirst={setBegun}
                            onSecond={(seconds) => {
                                setBegun(null);
                                if (Number(speed) > 0) add({ time_s: Number(seconds.toFixed(2)), [speedField(rules.speed_unit)]: Number(speed) });
                            }}
                        />
                        {site && <TimedThere site={site} arm={arm.id} taken={all} onTake={add} />}
                    </>
                ) : (
                    <>
                        <Field label={isPaced ? 'Paces' : by === 'car-lengths' ? 'Car lengths' : 'Length'}>
                            <input
                                inputMode="decimal"
                                value={number}
                                onChange={(event) => setNumber(event.target.value)}
                                onKeyDown={(event) => {
                                    if (event.key !== 'Enter') return;
                                    event.preventDefault();
                                    keep();
                                }}
                            />
                        </Field>
                        {isPaced && (
                            <Field label="Your pace, m" hint="Asked once; left empty it is 0.75 m">
                                <input inputMode="decimal" value={pace} onChange={(event) => setPace(event.target.value)} />
                            </Field>
                        )}
                        {(by === 'tape' || by === 'eye') && (
                            <Field label="In">
                                <select value={unit} onChange={(event) => setUnit(event.target.value as keyof typeof UNITS)}>
                                    <Options of={UNITS} />
                                </select>
                            </Field>
                        )}
                        <button type="button" className="key self-end justify-self-start" disabled={!(count > 0)} onClick={keep}>
                            Add this measure
                        </button>
                    </>
                )}
            </div>
            {wrong.map((sentence) => (
                <p key={sentence} role="alert" className="font-semibold">
                    ▸ {sentence}
                </p>
            ))}
        </section>
    );
}

/** Pressed by whoever does not drive: where the length begins, and where it ends. */
function TwoPresses({ begun, onFirst, onSecond }: { begun: number | null; onFirst: (at: number) => void; onSecond: (seconds: number) => void }) {
    const [now, setNow] = useState(0);
    useEffect(() => {
        if (begun === null) return;
        const timer = setInterval(() => setNow(performance.now()), 100);
        return () => clearInterval(timer);
    }, [begun]);
    const press = () => (begun === null ? onFirst(performance.now()) : onSecond((performance.now() - begun) / 1000));
    return (
        <button type="button" className="key min-h-16 self-end" data-tone={begun === null ? undefined : 'main'} onClick={press}>
            {begun === null ? 'Press where it begins' : `Press where it ends · ${Math.max(0, (now - begun) / 1000).toFixed(1)} s`}
        </button>
    );
}

/** What the one key timed on drives in by this road: each can be taken as a measure of the length that is chosen. */
function TimedThere({ site, arm, taken, onTake }: { site: string; arm: string; taken: Measure[]; onTake: (measure: Measure) => void }) {
    const { speed_unit: unit } = useRules();
    const clock = useClock();
    const past = useQuery(questions.past(site));
    const timed = (past.data ?? []).filter(({ from }) => from === arm).flatMap(({ lengths }) => lengths);
    const kept = (metres: number, seconds: number): Measure => ({
        time_s: seconds,
        [speedField(unit)]: Number(fromMps(metres / seconds, unit).toFixed(1)),
    });
    const isTaken = ({ time_s: seconds }: Measure) => taken.some((one) => one.by === 'driven' && one.time_s === seconds);
    const left = timed.map((one) => ({ ...one, measure: kept(one.length_m, one.seconds) })).filter(({ measure }) => !isTaken(measure));
    if (left.length === 0) return null;
    return (
        <div className="grid gap-2 sm:col-span-2" role="group" aria-label="Timed on the drive">
            <span className="text-quiet">Timed on the drive with the one key:</span>
            <ul className="flex flex-wrap gap-2">
                {left.map(({ on, length_m: metres, seconds, measure }, i) => (
                    <li key={i}>
                        <button type="button" className="key" onClick={() => onTake(measure)}>
                            {clock.short(on)}: {seconds} s, about {metres} m
                        </button>
                    </li>
                ))}
            </ul>
        </div>
    );
}

/** One measure as it was taken. */
function said(one: Measure): string {
    const { by, number, time_s: seconds } = one;
    if (by === 'paces') return `${number} paces`;
    if (by === 'car-lengths') return `${number} car lengths`;
    if (by === 'driven') return `${seconds} s at ${one.speed_mph ?? one.speed_kmh} ${one.speed_mph === undefined ? 'km/h' : 'mph'}`;
    const [unit, length] = Object.entries({ m: one.length_m, yd: one.length_yd, ft: one.length_ft }).find(([, value]) => value !== undefined) ?? ['m', 0];
    return `${length} ${unit} ${by === 'tape' ? 'by tape' : 'by eye'}`;
}
