import { useEffect, useState, type Dispatch, type SetStateAction } from 'react';
import { useSearchParams } from 'react-router';

/** The address follows the state this long after it rests, ms: a drag must not wait for it. */
const REST = 200;

/** State that lives in the page's address, so that it can be shared and come back to. It changes at once, the address a moment later. */
export function useAddress<T>(read: (params: URLSearchParams) => T, write: (state: T) => URLSearchParams): [T, Dispatch<SetStateAction<T>>] {
    const [params, setParams] = useSearchParams();
    const there = params.toString();
    const [state, setState] = useState(() => read(params));
    const [seen, setSeen] = useState(there);
    // Somebody came by another address while the page was open: that one counts.
    if (there !== seen) {
        setSeen(there);
        setState(read(params));
    }
    useEffect(() => {
        const timer = setTimeout(() => {
            const next = write(state);
            if (next.toString() === seen) return;
            setSeen(next.toString());
            setParams(next, { replace: true });
        }, REST);
        return () => clearTimeout(timer);
    }, [state, seen, write, setParams]);
    return [state, setState];
}
