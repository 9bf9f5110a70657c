import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { useRules, useSay } from '@/rules/rules';
import { saidSpeed, speedRange } from '@/rules/speed';
import { METRES_IN_A_FOOT, spoken } from '@/strip/words';
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
            words={(speed) => saidSpeed(speed, unit)}
            onChange={onChange}
        />
    );
}

/** Tens of metres, or 25 feet. */
const STEPS_M = { m: 10, ft: 25 * METRES_IN_A_FOOT };

/** A distance in the unit of the rules, kept in metres; at nothing it says what nothing means, where it may be nothing. */
export function MetresSlider({ label, value, onChange, min, max, none }: Props & { min: number; max: number; none?: string }) {
    const { length_unit: unit } = useRules();
    return (
        <Slider
            label={label}
            value={value}
            min={min}
            max={max}
            step={STEPS_M[unit]}
            per={unit === 'ft' ? METRES_IN_A_FOOT : 1}
            words={(metres) => (none !== undefined && metres === 0 ? none : spoken(metres, unit))}
            onChange={onChange}
        />
    );
}

/** A hill in whole per cent. */
export function SlopeSlider({ value, onChange }: Omit<Props, 'label'>) {
    return <Slider label="Slope" value={value} min={-10} max={10} step={1} words={(slope) => `${slope} %`} onChange={onChange} />;
}

const SURFACES = { dry: 'Dry', wet: 'Wet', ice: 'Ice' };

/** What the tyres have under them. */
export function SurfaceSelect({ value, onChange }: { value: string; onChange: (surface: string) => void }) {
    return (
        <Field label="Surface">
            <select value={value} onChange={(event) => onChange(event.target.value)}>
                <Options of={SURFACES} />
            </select>
        </Field>
    );
}

/** A gear to be held, or the one that pulls. */
export function GearSlider({ value, onChange }: { value: number; onChange: (gear: number) => void }) {
    return <Slider label="Gear" value={value} min={0} max={6} step={1} words={(gear) => (gear === 0 ? 'that pulls' : String(gear))} onChange={onChange} />;
}

/** How long the light is amber; at nothing as long as is usual there. */
export function AmberSlider({ value, onChange }: Omit<Props, 'label'>) {
    const say = useSay();
    return (
        <Slider
            label={say('{Amber} lasts')}
            value={value}
            min={0}
            max={8}
            step={0.5}
            fine={0.1}
            words={(seconds) => (seconds === 0 ? 'as usual here' : `${seconds.toFixed(1)} s`)}
            onChange={(amber) => onChange(amber < 1 && amber > 0 ? 1 : amber)}
        />
    );
}
