import { useRules } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { INSTRUMENTS, type Instrument } from './instruments';

interface Props {
    instrument: Instrument;
    /** That is kept over a length, in the pack's unit. */
    speed: number;
    onInstrument: (instrument: Instrument) => void;
    onSpeed: (speed: number) => void;
}

/** What the key is to do on the next drive: chosen while parked. */
export function InstrumentKey({ instrument, speed, onInstrument, onSpeed }: Props) {
    const { speed_unit } = useRules();
    const chosen = INSTRUMENTS.find((one) => one.key === instrument)!;
    return (
        <section aria-label="What the key does" className="grid gap-1">
            <label className="grid gap-1 text-sm font-semibold">
                The key, while moving
                <select
                    className="entry text-base font-normal"
                    value={instrument}
                    onChange={(event) => onInstrument(INSTRUMENTS.find((one) => one.key === event.target.value)?.key ?? 'moments')}
                >
                    {INSTRUMENTS.map(({ key, words }) => (
                        <option key={key} value={key}>
                            {words}
                        </option>
                    ))}
                </select>
            </label>
            {instrument === 'length' && (
                <label className="grid gap-1 text-sm font-semibold">
                    Speed kept, {unitWords(speed_unit)}
                    <input
                        className="entry text-base font-normal"
                        type="number"
                        min={5}
                        max={80}
                        value={speed}
                        onChange={(event) => event.target.valueAsNumber > 0 && onSpeed(event.target.valueAsNumber)}
                    />
                </label>
            )}
            <p className="text-quiet text-sm">{chosen.how}</p>
        </section>
    );
}
