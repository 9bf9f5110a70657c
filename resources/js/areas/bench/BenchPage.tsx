import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import type { Assumption, ToolAsked } from '@/api/types';
import { Figures, Warnings } from '@/compute/Figures';
import { KeepDrawing } from '@/drawings/KeepDrawing';
import { Failed, Waiting } from '@/ui/State';

const TOOLS = [
    ['approach', 'Approach'],
    ['gap', 'Gap'],
    ['roundabout', 'Lanes'],
    ['join', 'Join'],
    ['leave', 'Leave'],
    ['lane-change', 'Lane change'],
    ['overtake', 'Overtake'],
    ['gears', 'Gears'],
    ['steering', 'Steering'],
    ['reversing', 'Reversing'],
    ['long-vehicle', 'Long vehicle'],
    ['clearance', 'Clearance'],
] as const;

/** The tools of the bench, one press from each other. */
export function BenchNav() {
    return (
        <nav aria-label="Tools of the bench" className="screen-only relative -mt-2 flex gap-1 overflow-x-auto">
            {TOOLS.map(([path, label]) => (
                <NavLink
                    key={path}
                    to={`/bench/${path}`}
                    className="aria-[current=page]:border-ink text-quiet aria-[current=page]:text-ink flex min-h-12 items-center border-b-4 border-transparent px-2 font-semibold whitespace-nowrap"
                >
                    {label}
                </NavLink>
            ))}
        </nav>
    );
}

interface Props {
    title: string;
    about: string;
    /** What its tool is asked as the page stands: kept with a place. */
    asked: ToolAsked;
    controls: ReactNode;
    answer: { assumptions: Assumption[]; warnings: { code: string; message: string }[] } | undefined;
    error: unknown;
    children: ReactNode;
}

/** What every tool but the approach shares: controls, the picture with its numbers, what to know, what it rests on. */
export function BenchPage({ title, about, asked, controls, answer, error, children }: Props) {
    return (
        <div className="grid gap-4">
            <BenchNav />
            <header className="flex flex-wrap items-baseline gap-x-6">
                <h1 className="text-3xl">{title}</h1>
                <p className="text-quiet">{about}</p>
                <KeepDrawing title={title} asked={asked} />
            </header>
            <div className="screen-only flex flex-wrap items-end gap-x-5 gap-y-3">{controls}</div>
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
