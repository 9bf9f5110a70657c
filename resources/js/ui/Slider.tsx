import { Slider as Radix } from 'radix-ui';

interface Props {
    label: string;
    value: number;
    min: number;
    max: number;
    step: number;
    /** The value as it is said, "30 mph". */
    words: (value: number) => string;
    onChange: (value: number) => void;
}

/** A slider with two keys beside it, so that nothing needs a drag. */
export function Slider({ label, value, min, max, step, words, onChange }: Props) {
    const to = (wanted: number) => onChange(Math.min(max, Math.max(min, Math.round(wanted / step) * step)));
    return (
        <div className="flex min-w-56 items-center gap-2" role="group" aria-label={label}>
            <button type="button" className="key !px-3 text-xl" aria-label={`${label}: less`} disabled={value <= min} onClick={() => to(value - step)}>
                −
            </button>
            <div className="grid flex-1">
                <div className="text-center text-sm font-semibold" aria-hidden="true">
                    {label} {words(value)}
                </div>
                <Radix.Root
                    className="relative flex h-8 touch-none items-center"
                    value={[value]}
                    min={min}
                    max={max}
                    step={step}
                    onValueChange={([next]) => next !== undefined && onChange(next)}
                >
                    <Radix.Track className="bg-line relative h-1 grow rounded">
                        <Radix.Range className="bg-ink absolute h-full rounded" />
                    </Radix.Track>
                    <Radix.Thumb className="bg-paper border-ink block size-8 rounded-lg border-4" aria-label={label} aria-valuetext={words(value)} />
                </Radix.Root>
            </div>
            <button type="button" className="key !px-3 text-xl" aria-label={`${label}: more`} disabled={value >= max} onClick={() => to(value + step)}>
                +
            </button>
        </div>
    );
}
