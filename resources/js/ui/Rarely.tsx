import { useState, type ReactNode } from 'react';

/** What is rarely said, opened on demand; open from the beginning where something of it is said already. */
export function Rarely({ said, children }: { said: boolean; children: ReactNode }) {
    // As it was when the page came: it does not close under a hand that sets the last of it back.
    const [open] = useState(said);
    return (
        <details className="-my-2" open={open}>
            <summary className="link screen-only min-h-12 cursor-pointer content-center font-semibold">More that can matter</summary>
            {children}
        </details>
    );
}
