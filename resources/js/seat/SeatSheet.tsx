import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import type { Asked } from '@/api/tools';
import { STEPS, type Step } from '@/api/types';
import { StepOptions } from '@/strip/StepOptions';
import { NotShown } from '@/ui/NotShown';
import { SeatList } from './SeatList';
import type { SeatStop } from './rows';
import { useSeat } from './useSeat';

interface Props {
    title: string;
    about: string;
    stops: readonly SeatStop[];
    /** Null where nobody knows where it starts: then nothing is said of the drives between. */
    asked: Asked<'circuit'> | null;
    /** The step the lesson works on; the eye begins there. */
    aim?: Step | null;
    /** The way back to where it came from. */
    back: ReactNode;
}

/** The sheet for the seat beside: one page, read at a glance while parked. */
export function SeatSheet({ title, about, stops, asked, aim, back }: Props) {
    const [search, setSearch] = useSearchParams();
    const { rows, told, following, error, refetch } = useSeat(stops, asked);
    const watch = STEPS.find((step) => step === search.get('watch')) ?? aim ?? 'mirrors';
    const choose = (step: Step) => {
        const next = new URLSearchParams(search);
        next.set('watch', step);
        setSearch(next, { replace: true });
    };
    return (
        <article className="seat-sheet mx-auto grid w-full max-w-3xl gap-4 print:max-w-none">
            <header className="flex flex-wrap items-start justify-between gap-4">
                <div className="min-w-0">
                    <h1 className="text-3xl break-words">{title}</h1>
                    <p className="text-quiet">{about}</p>
                </div>
                <div className="screen-only flex flex-wrap items-center gap-2">
                    <label className="flex items-center gap-2">
                        <span className="text-quiet">Watch</span>
                        <select className="entry !w-auto" value={watch} onChange={(event) => choose(event.target.value as Step)}>
                            <StepOptions />
                        </select>
                    </label>
                    {back}
                    <button type="button" className="key" data-tone="main" onClick={() => window.print()}>
                        Print
                    </button>
                </div>
            </header>
            {error && <NotShown what="Where the directions are said is not worked out" error={error} retry={() => void refetch()} />}
            <SeatList rows={rows} told={told} following={following} watch={watch} />
            <p className="text-quiet text-sm">
                For who sits beside, read before moving off. The drives between are estimated where nobody measured them; the road, the law of the place and the
                licensed instructor’s judgement come first.
            </p>
        </article>
    );
}
