import { useEffect, useState, type Dispatch, type SetStateAction } from 'react';
import { useSearchParams } from 'react-router';

/** The address follows the state this long after it rests, ms: a drag must not wait for it. */
const REST = 200;

/** So many addresses written here are told from those somebody came by. */
const ON_THE_WAY = 8;

/** State that lives in the page's address, so that it can be shared and come back to. It changes at once, the address a moment later. */
export function useAddress<T>(read: (params: URLSearchParams) => T, write: (state: T) => URLSearchParams): [T, Dispatch<SetStateAction<T>>] {
    const [params, setParams] = useSearchParams();
    const there = params.toString();
    const [state, setState] = useState(() => read(params));
    const [seen, setSeen] = useState(there);
    // Addresses on their way: the router brings them a moment later, when the state may already be further on.
    const [written, setWritten] = useState<string[]>([]);
    // Somebody came by another address while the page was open: that one counts.
    if (there !== seen) {
        setSeen(there);
        if (!written.includes(there)) setState(read(params));
    }
    useEffect(() => {
        const timer = setTimeout(() => {
            const next = write(state).toString();
            if (next === seen) return;
            setWritten((before) => [...before.slice(-ON_THE_WAY), next]);
            setParams(new URLSearchParams(next), { replace: true });
        }, REST);
        return () => clearTimeout(timer);
    }, [state, seen, write, setParams]);
    return [state, setState];
}

type Flat = Record<string, string | number | boolean>;
/** A default says of which kind a value is, not that it stays what it is. */
type Kinds<T extends Flat> = { [K in keyof T]: T[K] extends boolean ? boolean : T[K] extends number ? number : string };

/** Reads and writes a page's plain state; what cannot be read keeps its default: an address typed by hand must not break the page. */
export function flat<T extends Flat>(defaults: T): { read: (params: URLSearchParams) => Kinds<T>; write: (state: Kinds<T>) => URLSearchParams } {
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
