import { useRef, useState } from 'react';
import { useRules } from '@/rules/rules';
import { inMps } from '@/rules/speed';
import { countWords } from '@/skill/counted';
import { useNotice } from '@/ui/Notice';
import { gapsSaid, type Instrument, type NewCount, type Reading } from './instruments';
import type { useDrive } from './useDrive';

/** These go on all the time: a stretch of their own, not part of a round at a place. */
const ALL_THE_TIME: Instrument[] = ['rear-looks', 'ahead-2', 'ahead-4'];

/** What the one key does on the next drive, and what becomes of what it read. */
export function useInstrument(drive: ReturnType<typeof useDrive>) {
    const rules = useRules();
    const say = useNotice();
    const [instrument, setInstrument] = useState<Instrument>('moments');
    const [speed, setSpeed] = useState(rules.town_limit);
    const [gaps, setGaps] = useState<number[] | null>(null);
    const movedAt = useRef(0);
    const keep = (counts: NewCount[], stretch: number | null): void => {
        if (counts.length === 0) return;
        drive.count(counts, stretch);
        say({ text: `Counted: ${counts.map(countWords).join('; ')}.` });
    };
    return {
        instrument,
        setInstrument,
        /** In the pack's unit, and m/s. */
        speed,
        setSpeed,
        metresPerSecond: inMps(speed, rules.speed_unit),
        /** Of a junction, until it is said which was taken. */
        gaps,
        moved: () => {
            movedAt.current = performance.now();
        },
        parked: ({ counts, gaps: passed }: Reading) => {
            if (passed.length > 0) setGaps(passed);
            keep(counts, ALL_THE_TIME.includes(instrument) ? performance.now() - movedAt.current : null);
        },
        took: (taken: number | null) => {
            setGaps(null);
            if (gaps) keep(gapsSaid(gaps, taken), null);
        },
        forget: () => setGaps(null),
    };
}
