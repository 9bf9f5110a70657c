import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import type { Assumption, ToolAsked } from '@/api/types';
import { PAGES, type BenchTool } from '@/bench/pages';
import { useSay } from '@/rules/rules';
import { Figures, Warnings } from '@/compute/Figures';
import { KeepDrawing } from '@/drawings/KeepDrawing';
import { Rarely } from '@/ui/Rarely';
import { Failed, Waiting } from '@/ui/State';

/** The pages of the bench, one press from each other. */
export function BenchNav() {
    const say = useSay();
    return (
        <nav aria-label="Tools of the bench" className="screen-only relative -mt-2 flex gap-1 overflow-x-auto">
            {Object.entries(PAGES).map(([tool, { title }]) => (
                <NavLink
                    key={tool}
                    to={`/bench/${tool}`}
                    className="aria-[current=page]:border-ink text-quiet aria-[current=page]:text-ink flex min-h-12 items-center border-b-4 border-transparent px-2 font-semibold whitespace-nowrap"
                >
                    {say(title)}
                </NavLink>
            ))}
        </nav>
    );
}

interface Props {
    /** What its tool is asked as the page stands: kept with a place. */
    asked: Extract<ToolAsked, { tool: BenchTool }>;
    controls: ReactNode;
    /** What is rarely said, opened on demand; open where something of it is said already. */
    rarely?: { said: boolean; controls: ReactNode };
    answer: { assumptions: Assumption[]; warnings: { code: string; message: string }[] } | undefined;
    error: unknown;
    children: ReactNode;
}

/** What every tool but the approach shares: controls, the picture with its numbers, what to know, what it rests on. */
export function BenchPage({ asked, controls, rarely, answer, error, children }: Props) {
    const say = useSay();
    const { title, about } = PAGES[asked.tool];
    return (
        <div className="grid gap-4">
            <BenchNav />
            <header className="flex flex-wrap items-baseline gap-x-6">
                <h1 className="text-3xl">{say(title)}</h1>
                <p className="text-quiet">{say(about)}</p>
                <KeepDrawing title={say(title)} asked={asked} />
            </header>
            <div className="screen-only flex flex-wrap items-end gap-x-5 gap-y-3">{controls}</div>
            {rarely && (
                <Rarely said={rarely.said}>
                    <div className="flex flex-wrap items-end gap-x-5 gap-y-3 py-1">{rarely.controls}</div>
                </Rarely>
            )}
            {error ? <Failed error={error} /> : answer ? children : <Waiting />}
            {!error && answer && (
                <>
                    <Warnings warnings={answer.warnings} />
                    <Figures
                        assumptions={answer.assumptions}
                        title={`${answer.assumptions.length} ${answer.assumptions.length === 1 ? 'figure' : 'figures'} behind this`}
                    />
                    <p className="text-quiet text-sm">
                        Teaching aids: conditions, the law of the place and the licensed instructor’s judgement come first. Nobody works this while driving.
                    </p>
                </>
            )}
        </div>
    );
}

/** A number with its unit, large enough to be read at arm’s length. */
export function Big({ label, value, unit }: { label: string; value: string; unit?: string }) {
    return (
        <div>
            <dt className="text-quiet">{label}</dt>
            <dd className="font-display text-3xl font-bold">
                {value} {unit && <span className="text-lg font-semibold">{unit}</span>}
            </dd>
        </div>
    );
}
