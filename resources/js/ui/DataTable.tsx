import type { CSSProperties, ReactNode } from 'react';

interface Props {
    /** What the table is about, for who cannot see it. */
    label: string;
    heads: readonly string[];
    /** Narrower than this it is scrolled, rem; on a phone its cells break into lines first. */
    least: number;
    rows: { key: string | number; quiet?: boolean; strong?: boolean; head: ReactNode; cells: ReactNode[] }[];
}

/** A figure with its unit, which never breaks. */
const isShort = (cell: ReactNode) => typeof cell === 'string' && cell.length <= 8;

/** Rows of figures that line up; wider than the page it is scrolled, also by keyboard. */
export function DataTable({ label, heads, least, rows }: Props) {
    return (
        <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label={label}>
            <table className="w-full text-left sm:min-w-(--least)" style={{ '--least': `${least}rem` } as CSSProperties}>
                <thead>
                    <tr className="border-hair border-b-2">
                        {heads.map((head) => (
                            <th key={head} scope="col" className="py-1 pr-2 align-bottom sm:pr-3">
                                {head}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {rows.map((row) => (
                        <tr key={row.key} className={`border-hair border-b ${row.quiet ? 'text-quiet' : ''}`}>
                            <th scope="row" className={`py-1 pr-2 sm:pr-3 ${row.strong ? 'font-extrabold' : 'font-medium'}`}>
                                {row.head}
                            </th>
                            {row.cells.map((cell, i) => (
                                <td key={i} className={`tabular py-1 pr-2 sm:pr-3 ${isShort(cell) ? 'whitespace-nowrap' : 'sm:whitespace-nowrap'}`}>
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
