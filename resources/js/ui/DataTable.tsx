import type { CSSProperties, ReactNode } from 'react';

interface Props {
    /** What the table is about, for who cannot see it. */
    label: string;
    heads: readonly string[];
    /** Narrower than this it is scrolled, rem; on a phone its cells break into lines first. */
    least: number;
    /** On a phone each row is a short list, its cells under their heads: where they are sentences or pictures. */
    stacks?: boolean;
    rows: { key: string | number; quiet?: boolean; strong?: boolean; head: ReactNode; cells: ReactNode[] }[];
}

/** A figure with its unit, which never breaks. */
const isShort = (cell: ReactNode) => typeof cell === 'string' && cell.length <= 8;

/** Rows of figures that line up; wider than the page it is scrolled, also by keyboard. */
export function DataTable({ label, heads, least, rows, stacks = false }: Props) {
    const asList = stacks ? 'max-sm:block' : '';
    return (
        <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label={label}>
            <table role="table" className={`w-full text-left sm:min-w-(--least) ${asList}`} style={{ '--least': `${least}rem` } as CSSProperties}>
                <thead role="rowgroup" className={stacks ? 'max-sm:sr-only' : ''}>
                    <tr role="row" className="border-hair border-b-2">
                        {heads.map((head) => (
                            <th key={head} role="columnheader" scope="col" className="py-1 pr-2 align-bottom sm:pr-3">
                                {head}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody role="rowgroup" className={asList}>
                    {rows.map((row) => (
                        <tr
                            key={row.key}
                            role="row"
                            className={`border-hair border-b ${row.quiet ? 'text-quiet' : ''} ${stacks ? 'max-sm:block max-sm:py-2' : ''}`}
                        >
                            <th role="rowheader" scope="row" className={`py-1 pr-2 sm:pr-3 ${asList} ${row.strong ? 'font-extrabold' : 'font-medium'}`}>
                                {row.head}
                            </th>
                            {row.cells.map((cell, i) => (
                                <td
                                    key={i}
                                    role="cell"
                                    className={`tabular py-1 pr-2 sm:pr-3 ${asList} ${isShort(cell) ? 'whitespace-nowrap' : 'sm:whitespace-nowrap'}`}
                                >
                                    {stacks && (
                                        <span className="text-quiet block text-sm sm:hidden" aria-hidden>
                                            {heads[i + 1]}
                                        </span>
                                    )}
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
