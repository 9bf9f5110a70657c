import type { SiteAnswer } from '@/api/types';
import { useRules } from '@/rules/rules';
import { unitWords } from '@/rules/speed';
import type { Arm } from '@/site/draft';
import { Field } from '@/ui/Field';
import { Options } from '@/ui/Options';
import { LengthField, type OfAnArm } from './armFields';

const TURNS = { '': 'None', left: 'Left', right: 'Right' };

/** What is said of a slip road and of no other: one that leads on to the fast road, or off it. */
export function SlipFields({ measured, ...of }: OfAnArm & { measured: SiteAnswer['measured'] }) {
    const unit = useRules().speed_unit;
    const { arm, errors, onChange } = of;
    const number = (
        name: 'entry_speed_mph' | 'entry_speed_kmh' | 'end_speed_mph' | 'end_speed_kmh' | 'slip_angle_deg',
        label: string,
        most: number,
        placeholder = '',
    ) => (
        <Field label={label} errors={errors[name] ?? []}>
            <input
                type="number"
                min={0}
                max={most}
                step="any"
                value={arm[name] ?? ''}
                placeholder={placeholder}
                onChange={(event) => onChange({ [name]: event.target.value === '' ? undefined : event.target.valueAsNumber })}
            />
        </Field>
    );
    return (
        <>
            <LengthField {...of} measured={measured} name="slip_length_m" label="Length of the slip road" hint="Left empty: 250 m (assumed)" />
            {arm.lanes_in !== 0 ? (
                <>
                    {number(`entry_speed_${unit}`, `Speed at its beginning, ${unitWords(unit)}`, 140)}
                    <LengthField {...of} name="limit_change_m" label="To the sign that lifts the limit" hint="From its beginning" />
                    <LengthField {...of} name="solid_line_m" label="Solid line ends before the end" />
                    {number('slip_angle_deg', 'Angle to the main road, degrees', 60, '4 (assumed)')}
                </>
            ) : (
                <>
                    {number(`end_speed_${unit}`, `Speed at its end, ${unitWords(unit)}`, 140)}
                    <LengthField {...of} name="bend_radius_m" label="Radius of a bend on it" />
                    <LengthField {...of} name="bend_from_m" label="The bend begins after" />
                    <LengthField {...of} name="lower_limit_m" label="A lower limit begins after" />
                    <Field label="The turn at its end">
                        <select
                            value={arm.next_turn ?? ''}
                            onChange={(event) => onChange({ next_turn: (event.target.value || undefined) as Arm['next_turn'] })}
                        >
                            <Options of={TURNS} />
                        </select>
                    </Field>
                </>
            )}
        </>
    );
}
