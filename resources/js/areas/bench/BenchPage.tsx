import { useState, type ReactNode } from 'react';
import { NavLink } from 'react-router';
import type { Assumption, ToolAsked } from '@/api/types';
import { PAGES, type BenchTool } from '@/bench/pages';
import { useSay } from '@/rules/rules';
import { Figures, Warnings } from '@/compute/Figures';
import { KeepDrawing } from '@/drawings/KeepDrawing';
import { Rarely } from '@/ui/Rarely';
import { Failed, Waiting } from '@/ui/State';

/** The tab of the page that is open is in view, however many stand before it. */
function bringIntoView(tabs: HTMLElement | null): void {
    const open = tabs?.querySelector<HTMLElement>('[aria-current=page]');
    if (tabs && open) tabs.scrollLeft = open.offsetLeft - (tabs.clientWidth - open.clientWidth) / 2;
}

/** The pages of the bench, one press from each other. */
export function BenchNav() {
    const say = useSay();
    return (
        <nav aria-label="Tools of the bench" className="screen-only relative -mt-2 flex gap-1 overflow-x-auto" ref={bringIntoView}>
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
    /** What the page answers in a line, and what follows from it; nothing while it is worked out. */
    verdict: { head: ReactNode; says?: ReactNode } | undefined;
    /** What is rarely said, opened on demand; open where something of it is said already. */
    rarely?: { said: boolean; controls: ReactNode };
    answer: { assumptions: Assumption[]; warnings: { code: string; message: string }[] } | undefined;
    error: unknown;
    children: ReactNode;
}

/** What every tool but the approach shares: controls, the picture with its numbers, what to know, what it rests on. */
export function BenchPage({ asked, verdict, controls, rarely, answer, error, children }: Props) {
    const say = useSay();
    const [changing, setChanging] = useState(false);
    const { title, about } = PAGES[asked.tool];
    return (
        <div className="grid gap-4">
            <BenchNav />
            <header className="flex flex-wrap items-baseline gap-x-6">
                <h1 className="text-3xl">{say(title)}</h1>
                <p className="text-quiet max-sm:hidden">{say(about)}</p>
                <KeepDrawing title={say(title)} asked={asked} />
            </header>
            {!error && verdict && (
                <div className="grid gap-1">
                    <p role="status" className="font-display text-2xl font-bold sm:text-3xl">
                        {verdict.head}
                    </p>
                    {verdict.says && <p>{verdict.says}</p>}
                </div>
            )}
            {/* On a phone docked above the areas and opened by a press: nothing stands between a question and its answer.
                On paper what was asked, without its keys. */}
            <section
                aria-label="What is asked"
                className="bg-paper border-ink grid gap-3 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-14 max-lg:z-20 max-lg:max-h-[62dvh] max-lg:overflow-y-auto max-lg:border-t-2 max-lg:px-4 max-lg:py-1 print:!static print:!max-h-none print:!overflow-visible print:!border-0 print:!p-0 print:[&_button]:hidden"
            >
                <button type="button" className="key w-full lg:hidden" aria-expanded={changing} onClick={() => setChanging(!changing)}>
                    {changing ? 'Done' : 'Change what is asked'}
                </button>
                <div className={`gap-3 pb-2 lg:grid print:!grid ${changing ? 'grid' : 'hidden'}`}>
                    <div className="flex flex-wrap items-end gap-x-5 gap-y-3">{controls}</div>
                    {rarely && (
                        <Rarely said={rarely.said}>
                            <div className="flex flex-wrap items-end gap-x-5 gap-y-3 py-1">{rarely.controls}</div>
                        </Rarely>
                    )}
                </div>
            </section>
            {error ? <Failed error={error} /> : answer ? children : <Waiting />}
            {!error && answer && (
                <>
                    <Warnings warnings={answer.warnings} />
                    <Figures
                        assumptions={answer.assumptions}
                        title={`${answer.assumptions.length} ${answer.assumptions.length === 1 ? 'figure' : 'figures'} behind this`}
                    />
                    <p className="text-quiet pb-14 text-sm lg:pb-0">
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
