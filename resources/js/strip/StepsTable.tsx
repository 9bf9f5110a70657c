import type { ReactNode } from 'react';
import type { Step } from '@/api/types';

interface Column {
    key: string;
    head: ReactNode;
    /** What stands at a step; a dot where nothing does. */
    cell: (step: Step) => ReactNode;
}

interface Props {
    label: string;
    steps: readonly Step[];
    stepHead: (step: Step) => ReactNode;
    columns: Column[];
    /** The newest column stands last, and is seen first. */
    fromTheEnd?: boolean;
}

/** Steps by rounds or lessons; on a narrow screen the columns pass beside the names of the steps. */
export function StepsTable({ label, steps, stepHead, columns, fromTheEnd = false }: Props) {
    return (
        <div
            ref={(row) => {
                if (fromTheEnd) row?.scrollTo({ left: row.scrollWidth });
            }}
            className="relative overflow-x-auto"
            tabIndex={0}
            role="region"
            aria-label={label}
        >
            <table className="border-collapse text-left">
                <thead>
                    <tr>
                        <td className="bg-paper sticky left-0" />
                        {columns.map(({ key, head }) => (
                            <th key={key} scope="col" className="border-hair border-b-2 px-3 pb-2 align-bottom font-normal">
                                {head}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {steps.map((step) => (
                        <tr key={step} className="border-hair border-b">
                            <th scope="row" className="bg-paper sticky left-0 py-2 pr-4 align-top font-semibold whitespace-nowrap">
                                {stepHead(step)}
                            </th>
                            {columns.map(({ key, cell }) => (
                                <td key={key} className="px-3 py-2 align-top">
                                    {cell(step) ?? <span className="text-quiet">·</span>}
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}
