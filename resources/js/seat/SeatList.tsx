import type { CircuitAnswer, Step } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { spoken, STEP_WORDS } from '@/strip/words';
import type { Following } from './inARow';
import { isSaidBefore, toldBefore, whereToSay, type Onward, type SeatRow } from './rows';

interface Props {
    rows: readonly SeatRow[];
    told: Onward | undefined;
    /** How ways close together follow, by the later one; null where that was not worked out. */
    following: ReadonlyMap<string, Following | null>;
    /** Which step the eye is kept on. */
    watch: Step;
    /** The way one is at. */
    here?: string;
    /** Goes to a way by one press. */
    onGo?: (id: string) => void;
}

/** One way after the other: what is said and where, where each step belongs, what to watch. */
export function SeatList({ rows, told, following, watch, here, onGo }: Props) {
    const name = useRoutineName();
    const { length_unit: unit } = useRules();
    return (
        <ol className="grid gap-4" aria-label="On the way">
            {rows.map(({ stop, direction, figures, watch: watched, missing }, i) => {
                const said = toldBefore(told, stop.id);
                const behind = following.get(stop.id);
                // Where its plan alone is the same the one before leaves it as it is.
                const close = behind && (!behind.fits || behind.figures !== figures) ? behind : undefined;
                const drive = told?.parts.find((part) => part.kind === 'drive' && part.way === stop.id);
                return (
                    <li key={stop.id} className="border-hair grid gap-1 border-t-2 pt-2 print:break-inside-avoid">
                        <h2 className="text-xl">
                            {i + 1}. {stop.name}
                        </h2>
                        <p className="text-quiet text-sm">{[name(stop.routine), stop.about, drive && driveWords(drive)].filter(Boolean).join(' · ')}</p>
                        {said && (
                            <p className="text-lg">
                                <strong>“{said.say}”</strong> {whereToSay(said, unit)}
                                {said.message && <span className="text-quiet block text-sm">{said.message}</span>}
                            </p>
                        )}
                        {!said && isSaidBefore(told, stop.id) && <p>Said together with the one before it.</p>}
                        {!said && !isSaidBefore(told, stop.id) && direction && <p>“{direction}”</p>}
                        {close && (
                            <p className={close.fits ? '' : 'font-semibold'}>
                                {close.measured ? spoken(close.metres, unit) : `About ${spoken(Math.max(10, Math.round(close.metres / 10) * 10), unit)}`} behind
                                the one before. {close.message}
                            </p>
                        )}
                        {behind === null && (
                            <p className="text-quiet">How it follows the one before is not worked out: these are the places of its plan alone.</p>
                        )}
                        {(close?.figures || figures) && <p className="tabular-nums">{close?.figures || figures}</p>}
                        {missing && <p className="text-quiet">{missing}</p>}
                        {watched[watch] && (
                            <p className="text-sm">
                                <span className="font-semibold">{STEP_WORDS[watch]}:</span> {watched[watch]}
                            </p>
                        )}
                        {stop.note && <p className="border-line border-l-4 pl-3 text-sm">{stop.note}</p>}
                        {onGo &&
                            (stop.id === here ? (
                                <p className="font-semibold">You are here.</p>
                            ) : (
                                <button type="button" className="key justify-self-start" aria-label={`Go on to ${stop.name}`} onClick={() => onGo(stop.id)}>
                                    Go on to it
                                </button>
                            ))}
                    </li>
                );
            })}
        </ol>
    );
}

/** Never said finer than it is known. */
function driveWords({ from_s, until_s, distance_m, measured }: CircuitAnswer['parts'][number]): string {
    const minutes = Math.max(1, Math.round((until_s - from_s) / 60));
    const far = distance_m < 950 ? `${Math.max(100, Math.round(distance_m / 100) * 100)} m` : `${(distance_m / 1000).toFixed(1)} km`;
    return `${measured ? '' : 'about '}${minutes} min there, ${far}${measured ? ', measured' : ''}`;
}
