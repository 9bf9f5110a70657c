import type { Codec } from '@/ui/useAddress';

type Flat = Record<string, string | number | boolean>;
/** A default says of which kind a value is, not that it stays what it is. */
type Kinds<T extends Flat> = { [K in keyof T]: T[K] extends boolean ? boolean : T[K] extends number ? number : string };

/** A plain state, each value under its own name. */
export function flat<T extends Flat>(defaults: T): Codec<Kinds<T>> {
    const one = (raw: string | null, otherwise: Flat[string]): Flat[string] => {
        if (raw === null) return otherwise;
        if (typeof otherwise === 'number') return raw !== '' && Number.isFinite(Number(raw)) ? Number(raw) : otherwise;
        return typeof otherwise === 'boolean' ? raw === 'true' : raw;
    };
    return {
        read: (params) => Object.fromEntries(Object.entries(defaults).map(([key, value]) => [key, one(params.get(key), value)])) as Kinds<T>,
        write: (state) => new URLSearchParams(Object.entries(state).map(([key, value]) => [key, String(value)])),
    };
}

/** What was written as JSON, where it is an object. */
export function objectIn(raw: string | null): Record<string, unknown> | null {
    try {
        const said: unknown = JSON.parse(raw ?? 'null');
        return said && typeof said === 'object' && !Array.isArray(said) ? (said as Record<string, unknown>) : null;
    } catch {
        return null;
    }
}
