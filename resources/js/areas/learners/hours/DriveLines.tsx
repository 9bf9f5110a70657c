import { Link } from 'react-router';
import type { LearnerHours } from '@/api/types';
import { useClock } from '@/session/session';
import { CONDITIONS } from '@/skill/words';
import { behind, conditionWords, drivenIn, lasting, minutesIn, type Part } from './parts';

type Drive = LearnerHours['drives'][number];

interface Props {
    drives: readonly Drive[];
    /** Only those of which some was driven so; null for all. */
    part: Part | null;
    onAll: () => void;
    onChange: (drive: Drive) => void;
}

/** Drive by drive, latest first: a lesson leads to its debrief, an accompanied drive to its form. */
export function DriveLines({ drives, part, onAll, onChange }: Props) {
    const clock = useClock();
    const shown = behind(drives, part);
    const total = shown.reduce((sum, drive) => sum + minutesIn(drive, part), 0);
    return (
        <section aria-labelledby="drives" className="grid gap-2">
            <div className="border-hair flex flex-wrap items-baseline justify-between gap-x-4 border-b-2 pb-1">
                <h2 id="drives" className="text-lg" aria-live="polite">
                    {part
                        ? `${CONDITIONS[part.kind].title}, ${conditionWords(part)}: ${lasting(total)} in ${shown.length} ${shown.length === 1 ? 'drive' : 'drives'}`
                        : `Every drive (${shown.length})`}
                </h2>
                {part && (
                    <button type="button" className="link screen-only min-h-12" onClick={onAll}>
                        Show every drive
                    </button>
                )}
            </div>
            <ul>
                {shown.map((drive) => (
                    <li key={drive.id} className="border-hair flex min-h-14 flex-wrap items-center justify-between gap-x-4 border-b py-1 break-inside-avoid">
                        <div className="min-w-0">
                            <p>
                                {drive.with === 'instructor' ? (
                                    <Link className="link" to={`/lessons/${drive.id}/debrief`}>
                                        {clock.day(drive.starts_at)}, {clock.time(drive.starts_at)}
                                    </Link>
                                ) : (
                                    <>
                                        {clock.day(drive.starts_at)}, {clock.time(drive.starts_at)}
                                    </>
                                )}
                                <span className="text-quiet">
                                    {' '}
                                    · {drive.instructor ? `with ${drive.instructor}` : 'accompanied'}
                                    {drive.note && ` · ${drive.note}`}
                                </span>
                            </p>
                            <p className="text-quiet text-sm">{drivenIn(drive)}</p>
                        </div>
                        <div className="ml-auto flex items-center gap-4">
                            {drive.with === 'accompanied' && (
                                <button type="button" className="link screen-only min-h-12" onClick={() => onChange(drive)}>
                                    Change
                                </button>
                            )}
                            <span className="tabular font-semibold whitespace-nowrap">
                                {part && minutesIn(drive, part) < drive.minutes - 0.5 && (
                                    <span className="text-quiet font-normal">{lasting(minutesIn(drive, part))} of </span>
                                )}
                                {lasting(drive.minutes)}
                            </span>
                        </div>
                    </li>
                ))}
            </ul>
        </section>
    );
}
