import { useRules, useSay } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import { Field } from '@/ui/Field';
import type { SlipValues } from './slip';

interface Props {
    kind: 'join' | 'leave';
    value: SlipValues;
    errors: Partial<Record<string, string[]>>;
    onChange: (value: SlipValues) => void;
}

/** What can be paced out and read off a slip road. */
export function SlipFields({ kind, value, errors, onChange }: Props) {
    const rules = useRules();
    const say = useSay();
    const unit = unitWords(rules.speed_unit);
    const number = (label: string, key: Exclude<keyof SlipValues, 'next_turn'>, field: string, hint?: string, required = false) => (
        // A speed that contradicts another is named by its SI field, one out of bounds by the field given.
        <Field label={label} hint={hint} errors={errors[`road.${field}`] ?? errors[`road.${field.replace(/_(mph|kmh)$/, '_mps')}`]}>
            <input inputMode="decimal" required={required} value={value[key]} onChange={(event) => onChange({ ...value, [key]: event.target.value })} />
        </Field>
    );
    const speed = rules.speed_unit;
    return (
        <>
            {number(say('{Slip road}, m'), 'slip_length_m', 'slip_length_m', 'To the end of its lane', true)}
            {number(`Traffic on the main road, ${unit}`, 'main', `main_speed_${speed}`, undefined, true)}
            {kind === 'join' ? (
                <>
                    {number(say(`Speed entering the {slip road}, ${unit}`), 'entry', `entry_speed_${speed}`, undefined, true)}
                    {number('Higher limit starts after, m', 'limit_change_m', 'limit_change_m', 'Leave blank for its beginning')}
                    {number('Solid line until, m before the end', 'solid_line_m', 'solid_line_m', 'Leave blank for none')}
                    {number('Angle to the main road, °', 'slip_angle_deg', 'slip_angle_deg', 'Leave blank for 4°')}
                </>
            ) : (
                <>
                    {number(`At its end, ${unit}`, 'end', `end_speed_${speed}`, 'Leave blank for walking pace')}
                    {number('Bend, radius in m', 'bend_radius_m', 'bend_radius_m', 'Leave blank for none')}
                    {value.bend_radius_m !== '' && number('Bend begins after, m', 'bend_from_m', 'bend_from_m', 'Leave blank for half-way')}
                    {number('Lower limit after, m', 'lower_limit_m', 'lower_limit_m', 'Leave blank for none')}
                    {number('Lanes', 'lanes', 'lanes', 'Leave blank for one')}
                    <Field label="Then" errors={errors['road.next_turn']}>
                        <select value={value.next_turn} onChange={(event) => onChange({ ...value, next_turn: event.target.value as SlipValues['next_turn'] })}>
                            <option value="">Straight on</option>
                            <option value="left">Left</option>
                            <option value="right">Right</option>
                        </select>
                    </Field>
                </>
            )}
        </>
    );
}
