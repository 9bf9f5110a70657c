import { speedRange, unitWords, useRules } from '@/rules/rules';
import { Slider } from '@/ui/Slider';

interface Props {
    label: string;
    value: number;
    onChange: (value: number) => void;
}

/** A speed in the unit of the rules. */
export function SpeedSlider({ label, value, onChange, from }: Props & { from?: number }) {
    const { speed_unit: unit } = useRules();
    const range = speedRange(unit);
    return (
        <Slider
            label={label}
            value={value}
            min={from ?? range.from}
            max={range.to}
            step={range.step}
            words={(speed) => `${speed} ${unitWords(unit)}`}
            onChange={onChange}
        />
    );
}

/** Metres in tens; at nothing it says what nothing means, where it may be nothing. */
export function MetresSlider({ label, value, onChange, min, max, none }: Props & { min: number; max: number; none?: string }) {
    return (
        <Slider
            label={label}
            value={value}
            min={min}
            max={max}
            step={10}
            words={(metres) => (none !== undefined && metres === 0 ? none : `${metres} m`)}
            onChange={onChange}
        />
    );
}

/** A hill in whole per cent. */
export function SlopeSlider({ value, onChange }: Omit<Props, 'label'>) {
    return <Slider label="Slope" value={value} min={-10} max={10} step={1} words={(slope) => `${slope} %`} onChange={onChange} />;
}
