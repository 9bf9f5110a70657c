import type { ReactNode } from 'react';
import type { Assumption } from '@/api/types';
import { useSay } from '@/rules/rules';
import { STATUS_WORDS } from '@/strip/words';

/** What to know of an answer. */
export function Warnings({ warnings }: { warnings: { code: string; message: string }[] }) {
    if (warnings.length === 0) return null;
    return (
        <div role="status">
            <ul className="grid gap-2">
                {warnings.map((warning) => (
                    <li key={warning.code} className="border-ink border-l-4 pl-3 font-semibold">
                        {warning.message}
                    </li>
                ))}
            </ul>
        </div>
    );
}

/** Codes that stand for something with a name of its own. */
const VALUES: Record<string, string> = { 'give-way': '{give-way line}', stop: 'stop line' };

/** Every figure an answer rests on, with where it comes from; one press away. */
export function Figures({ assumptions, title, children }: { assumptions: Assumption[]; title: string; children?: ReactNode }) {
    const say = useSay();
    return (
        <details className="text-sm">
            <summary className="link min-h-12 cursor-pointer content-center font-semibold">{title}</summary>
            <div className="grid gap-6 py-2 md:grid-cols-2">
                <table className="border-hair w-full text-left">
                    <tbody>
                        {assumptions.map((assumption) => (
                            <tr key={assumption.name} className="border-hair border-b align-top">
                                <th scope="row" className="py-1 pr-3 font-normal">
                                    {assumption.name.replaceAll('_', ' ')}
                                </th>
                                <td className="py-1 pr-3 font-semibold whitespace-nowrap">
                                    {say(VALUES[String(assumption.value)] ?? String(assumption.value))} {assumption.unit}
                                </td>
                                <td className="text-quiet py-1">
                                    {STATUS_WORDS[assumption.status]}
                                    {assumption.source && `: ${assumption.source}`}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
                {children}
            </div>
        </details>
    );
}
