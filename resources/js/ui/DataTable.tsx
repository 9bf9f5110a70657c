import type { ReactNode } from 'react';

interface Props {
    /** What the table is about, for who cannot see it. */
    label: string;
    heads: readonly string[];
    /** Narrower than this it is scrolled, rem. */
    least: number;
    rows: { key: string | number; quiet?: boolean; strong?: boolean; head: ReactNode; cells: ReactNode[] }[];
}

/** Rows of figures that line up; wider than the page it is scrolled, also by keyboard. */
export function DataTable({ label, heads, least, rows }: Props) {
    return (
        <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label={label}>
            <table className="w-full text-left" style={{ minWidth: `${least}rem` }}>
                <thead>
                    <tr className="border-hair border-b-2">
                        {heads.map((head) => (
                            <th key={head} scope="col" className="py-1 pr-3">
                                {head}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {rows.map((row) => (
                        <tr key={row.key} className={`border-hair border-b ${row.quiet ? 'text-quiet' : ''}`}>
                            <th scope="row" className={`py-1 pr-3 ${row.strong ? 'font-extrabold' : 'font-medium'}`}>
                                {row.head}
                            </th>
                            {row.cells.map((cell, i) => (
                                <td key={i} className="tabular py-1 pr-3 whitespace-nowrap">
                                    {cell}
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}
