/** Answers of a sweep with what is the same in all of them said once, as the core folds them (core/src/Compute/Folded.php). */

type Fields = Record<string, unknown>;
type Part = Fields & { at: number };

/** What tells the entries of a list apart: the first of these that they have. */
const KEYS = ['step', 'name', 'code', 'question'];

const isObject = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);
const key = (entry: Fields) => entry[KEYS.find((name) => name in entry) ?? ''];

function together(common: unknown, rest: unknown): unknown {
    if (isObject(common) && isObject(rest)) return unfolded(common, rest);
    if (!Array.isArray(common) || !Array.isArray(rest)) return rest;
    const entries = common.filter(isObject);
    return rest.map((entry: unknown) => (isObject(entry) ? unfolded(entries.find((one) => key(one) === key(entry)) ?? {}, entry) : entry));
}

function unfolded(common: Fields, rest: Fields): Fields {
    const whole = { ...common };
    for (const [name, value] of Object.entries(rest)) whole[name] = name in common ? together(common[name], value) : value;
    return whole;
}

/** Each answer whole again. What they have in common is shared, not copied: it is read only. */
export function unfold<Answer>({ common, answers }: { common: Fields; answers: Part[] }): (Answer & { at: number })[] {
    return answers.map((row) => unfolded(common, row) as Answer & { at: number });
}
