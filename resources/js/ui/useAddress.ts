import { useEffect, useState, type Dispatch, type SetStateAction } from 'react';
import { useSearchParams } from 'react-router';

/** How a page's state stands in its address, so that it can be shared, kept and come back to. */
export interface Codec<State> {
    /** What cannot be read keeps its default: an address typed by hand must not break the page. */
    read: (params: URLSearchParams) => State;
    write: (state: State) => URLSearchParams;
}

/** Where the address itself is the state. Whoever changes it changes a copy. */
export const asItStands: Codec<URLSearchParams> = { read: (params) => new URLSearchParams(params), write: (state) => state };

/** The same address with some of it said anew; empty takes it out. */
export function withSaid(address: URLSearchParams, said: Record<string, string>): URLSearchParams {
    const next = new URLSearchParams(address);
    for (const [name, value] of Object.entries(said)) {
        if (value === '') next.delete(name);
        else next.set(name, value);
    }
    return next;
}

/** The address follows the state this long after it rests, ms: a drag must not wait for it. */
const REST = 200;

/** So many addresses written here are told from those somebody came by. */
const ON_THE_WAY = 8;

/** For what is pressed and not dragged: a page that is loaded anew right after a press has it. */
export const AT_ONCE = 0;

/**
 * State that lives in the page's address, so that it can be shared and come back to. It changes at once, the address follows.
 *
 * @param rest so long after it rests, ms
 */
export function useAddress<T>({ read, write }: Codec<T>, rest = REST): [T, Dispatch<SetStateAction<T>>] {
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
        }, rest);
        return () => clearTimeout(timer);
    }, [state, seen, write, setParams, rest]);
    return [state, setState];
}
