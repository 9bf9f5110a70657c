import type { Dispatch, ReactNode, SetStateAction } from 'react';
import { asItStands, AT_ONCE, useAddress } from '@/ui/useAddress';

/** What is shown with the address of the page as its state. */
export function Addressed({ children }: { children: (said: URLSearchParams, onSaid: Dispatch<SetStateAction<URLSearchParams>>) => ReactNode }) {
    return children(...useAddress(asItStands, AT_ONCE));
}
