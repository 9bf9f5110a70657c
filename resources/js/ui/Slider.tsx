import { Slider as Radix } from 'radix-ui';
import { useState } from 'react';

interface Props {
    label: string;
    value: number;
    min: number;
    max: number;
    step: number;
    /** The value as it is said, "30 mph". */
    words: (value: number) => string;
    /** How much of the value one of its typed unit is, where that is another: 0.01 for a share typed in per cent. */
    per?: number;
    /** To what a typed number is rounded; a whole one, or a step where steps are smaller. */
    fine?: number;
    onChange: (value: number) => void;
}

/** A slider with two keys beside it, so that nothing needs a drag, and a number that can be typed; on paper its words alone. */
export function Slider({ label, value, min, max, step, words, per = 1, fine = Math.min(1, step / per), onChange }: Props) {
    const [typed, setTyped] = useState<string | null>(null);
    const to = (wanted: number) => onChange(Math.min(max, Math.max(min, Math.round(wanted / step) * step)));
    const bare = String(Number((value / per).toFixed(2)));
    const take = () => {
        const said = typed
            ?.replace(',', '.')
            .match(/[-−]?\d+(\.\d+)?/)?.[0]
            .replace('−', '-');
        if (said !== undefined) onChange(Math.min(max, Math.max(min, Number((Math.round(Number(said) / fine) * fine * per).toFixed(6)))));
        setTyped(null);
    };
    return (
        <div className="flex min-w-[min(14rem,100%)] items-center gap-2 print:!min-w-0" role="group" aria-label={label}>
            <button
                type="button"
                className="key screen-only !px-3 text-xl"
                aria-label={`${label}: less`}
                disabled={value <= min}
                onClick={() => to(value - step)}
            >
                −
            </button>
            <div className="grid flex-1">
                <div className="text-center text-sm font-semibold">
                    <span aria-hidden="true">{label} </span>
                    <input
                        className="max-w-full bg-transparent text-center underline decoration-dotted underline-offset-4 [field-sizing:content]"
                        size={(typed ?? words(value)).length}
                        inputMode="decimal"
                        aria-label={`${label}, typed`}
                        value={typed ?? words(value)}
                        onFocus={(event) => {
                            setTyped(bare);
                            const field = event.currentTarget;
                            requestAnimationFrame(() => field.select());
                        }}
                        onChange={(event) => setTyped(event.target.value)}
                        onBlur={take}
                        onKeyDown={(event) => {
                            if (event.key === 'Enter') event.currentTarget.blur();
                            if (event.key === 'Escape') setTyped(bare);
                        }}
                    />
                </div>
                <Radix.Root
                    className="screen-only relative flex h-8 touch-none items-center"
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
            <button
                type="button"
                className="key screen-only !px-3 text-xl"
                aria-label={`${label}: more`}
                disabled={value >= max}
                onClick={() => to(value + step)}
            >
                +
            </button>
        </div>
    );
}
