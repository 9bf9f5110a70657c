import { unfold } from './folded';
import { api } from './client';
import type { paths } from './contract';

/** The core's tools: each is asked its own inputs and gives its own answer. */

type Ask<Path> = Path extends `/compute/${infer Name}` ? Name : never;
export type Tool = Ask<keyof paths>;
export type Asked<T extends Tool> = paths[`/compute/${T}`]['post']['requestBody']['content']['application/json'];
/** A single answer: what it rests on is said with it. */
export type Answer<T extends Tool> = Extract<paths[`/compute/${T}`]['post']['responses'][200]['content']['application/json'], { assumptions: unknown }>;
export type Sweep<T extends Tool> = NonNullable<Extract<Asked<T>, { sweep?: unknown }>['sweep']>;

/** One door for all tools: which answer belongs to which question is said by the types above, not once more for each tool. */
const ask = async <Said>(tool: Tool, body: object): Promise<Said> => (await api.POST(`/compute/${tool}` as '/compute/stopping', { body })) as Said;

export const compute = <T extends Tool>(tool: T, inputs: Asked<T>): Promise<Answer<T>> => ask(tool, inputs);

/** A whole range of one field in one question; what the answers have in common travels once. */
export async function sweep<T extends Tool>(tool: T, inputs: Asked<T>, over: Sweep<T>): Promise<(Answer<T> & { at: number })[]> {
    return unfold<Answer<T>>(await ask(tool, { ...inputs, sweep: { ...over, folded: true } }));
}
