import type { Conditions } from '@/bench/approach';
import { Slider } from '@/ui/Slider';
import type { ApproachAsked, Rules } from '@/api/types';
import { useRules } from '@/rules/rules';
import { speedField, speedRange, unitWords } from '@/rules/speed';
import { GRADIENTS } from '@/strip/useApproach';

/** The same as the plan's tool takes it. */
export const asDriven = ({ speed, gradient, surface, follower }: Conditions, unit: Rules['speed_unit']): ApproachAsked => ({
    ...{ gradient, surface, close_follower: follower },
    [speedField(unit)]: speed,
});

const slope = (gradient: number) =>
    Math.abs(gradient) < 0.005 ? 'level' : `${Math.round(Math.abs(gradient) * 100)} % ${gradient > 0 ? 'uphill' : 'downhill'}`;

export function Controls({ conditions, onChange }: { conditions: Conditions; onChange: (conditions: Conditions) => void }) {
    const { speed_unit: unit } = useRules();
    const speeds = speedRange(unit);
    const set = <K extends keyof Conditions>(key: K, value: Conditions[K]) => onChange({ ...conditions, [key]: value });
    return (
        <div className="screen-only flex grow flex-wrap items-center gap-x-3 gap-y-2">
            <div className="flex gap-2">
                <button
                    type="button"
                    className="key"
                    aria-pressed={conditions.surface === 'wet'}
                    onClick={() => set('surface', conditions.surface === 'wet' ? 'dry' : 'wet')}
                >
                    Wet
                </button>
                <button type="button" className="key" aria-pressed={conditions.follower} onClick={() => set('follower', !conditions.follower)}>
                    Close behind
                </button>
            </div>
            <Slider
                label="Speed"
                value={conditions.speed}
                min={speeds.from}
                max={speeds.to}
                step={speeds.step}
                fine={speeds.step}
                words={(value) => `${value} ${unitWords(unit)}`}
                onChange={(value) => set('speed', value)}
            />
            <Slider
                label="Slope"
                value={conditions.gradient}
                min={GRADIENTS.from}
                max={GRADIENTS.to}
                step={GRADIENTS.step}
                per={0.01}
                words={slope}
                onChange={(value) => set('gradient', value)}
            />
        </div>
    );
}
