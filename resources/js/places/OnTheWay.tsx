import type { RoadFacts } from '@/api/types';
import { Field } from '@/ui/Field';

/** What of the road itself ends the view on the way; figures that are cleared are left out until others are typed. */
export interface Hiding {
    bend?: Partial<NonNullable<RoadFacts['bend']>> | undefined;
    crest?: Partial<NonNullable<RoadFacts['crest']>> | undefined;
    dip?: Partial<NonNullable<RoadFacts['dip']>> | undefined;
}

type Named = keyof Hiding;

interface Figure {
    name: string;
    label: string;
    hint?: string;
    /** In what is typed, one is so many of what is kept. */
    of?: number;
    most: number;
}

const ENDS: Figure[] = [
    { name: 'from_m', label: 'From, m', most: 1000 },
    { name: 'to_m', label: 'To, m', most: 1000 },
];

const FIGURES: Record<Named, Figure[]> = {
    bend: [
        { name: 'radius_m', label: 'Radius, m', most: 2000 },
        ...ENDS,
        { name: 'offset_m', label: 'From us to a hedge inside it, m', hint: 'Or a wall, or cars; blank: one sees across', most: 100 },
    ],
    crest: [...ENDS, { name: 'gradient_change', label: 'Slopes differ by, %', hint: 'Up 5 % and down 4 % are 9', of: 0.01, most: 50 }],
    dip: [...ENDS, { name: 'depth_m', label: 'Deep at its middle, m', hint: 'A shallow one, under about 0.6, hides nothing', most: 50 }],
};

const FIRST: { [Name in Named]: NonNullable<Hiding[Name]> } = {
    bend: { radius_m: 40, from_m: 80, to_m: 50 },
    crest: { from_m: 120, to_m: 80, gradient_change: 0.08 },
    dip: { from_m: 120, to_m: 70, depth_m: 1.2 },
};

interface Props {
    value: Hiding;
    /** By the field's name, after whatever stands before it. */
    errors: Record<string, string[]>;
    before?: string;
    onChange: (part: Hiding) => void;
}

/** A bend, a crest and a dip on the way to the line: where from and where to, and what of the road they hide. */
export function OnTheWay({ value, errors, before = '', onChange }: Props) {
    return (['bend', 'crest', 'dip'] as const).map((name) => {
        const said = value[name] as Record<string, number | undefined> | undefined;
        if (!said) {
            return (
                <button key={name} type="button" className="key justify-self-start" onClick={() => onChange({ [name]: FIRST[name] })}>
                    A {name} on the way
                </button>
            );
        }
        return (
            <section key={name} aria-label={`A ${name} on the way`} className="grid gap-2">
                <div className="flex items-center justify-between gap-4">
                    <h4 className="font-semibold">A {name} on the way, metres before the line</h4>
                    <button type="button" className="key" data-tone="bare" aria-label={`Take the ${name} away`} onClick={() => onChange({ [name]: undefined })}>
                        ✕
                    </button>
                </div>
                <div className="grid grid-cols-2 items-start gap-2 sm:grid-cols-3">
                    {FIGURES[name].map(({ name: figure, label, hint, of = 1, most }) => (
                        <Field
                            key={figure}
                            label={label}
                            {...hinted(hint ?? '', figure in FIRST[name] && said[figure] === undefined)}
                            errors={errors[`${before}${name}.${figure}`] ?? []}
                        >
                            <input
                                type="number"
                                min={0}
                                max={most}
                                step="any"
                                value={said[figure] === undefined ? '' : Number((said[figure] / of).toFixed(4))}
                                onChange={(event) =>
                                    onChange({ [name]: kept({ ...said, [figure]: event.target.value === '' ? undefined : event.target.valueAsNumber * of }) })
                                }
                            />
                        </Field>
                    ))}
                </div>
            </section>
        );
    });
}

/** A figure it cannot be without says so where it is looked for. */
const hinted = (hint: string, isMissing: boolean) => (isMissing ? { hint: 'Still to be said' } : hint ? { hint } : {});

const kept = (said: Record<string, number | undefined>) => Object.fromEntries(Object.entries(said).filter(([, figure]) => figure !== undefined));
