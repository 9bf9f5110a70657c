import { lasting, partsOf, type Part } from '@/site/circuit';

const WORDS: Record<Part['kind'], string> = { drive: 'drive', brief: 'brief', round: 'round', again: 'again', debrief: 'debrief', spare: 'left over' };

/** From so long on there is room for a word, as a share of the whole; on a phone from so long on. */
const ROOM = 0.06;
const ROOM_ON_A_PHONE = 0.22;

/** The minutes of a lesson as one line that adds up: drives in the colour of roads, what is done at a way under its number, its rounds as strokes. */
export function Hour({ parts, order }: { parts: readonly Part[]; order: readonly string[] }) {
    const whole = parts.at(-1)?.until_s ?? 0;
    const share = (seconds: number) => `${((100 * seconds) / whole).toFixed(3)}%`;
    const ticks = Array.from({ length: Math.floor(whole / 600) + 1 }, (_, i) => i * 10);
    return (
        <div aria-hidden="true" className="grid gap-1">
            <div className="relative h-6">
                {order.map((way, i) => {
                    const there = partsOf(parts, way).filter(({ kind }) => kind !== 'drive');
                    return (
                        <span key={way} className="absolute font-bold" style={{ left: share(there[0]?.from_s ?? 0) }}>
                            {i + 1}
                        </span>
                    );
                })}
            </div>
            <div className="border-line flex h-14 overflow-hidden rounded-lg border-2">
                {parts.map((part) => (
                    <div
                        key={part.from_s}
                        data-part={part.kind}
                        className={`grid min-w-0 place-items-center overflow-hidden text-sm ${GROUND[part.kind]}`}
                        style={{ width: share(lasting([part])) }}
                    >
                        {lasting([part]) / whole > ROOM && part.kind !== 'round' && part.kind !== 'again' && (
                            <span className={lasting([part]) / whole > ROOM_ON_A_PHONE ? '' : 'max-sm:hidden'}>{WORDS[part.kind]}</span>
                        )}
                    </div>
                ))}
            </div>
            <div className="relative h-5 font-mono text-sm">
                {ticks.map((minute) => (
                    <span key={minute} className="absolute -translate-x-1/2 first:translate-x-0 last:-translate-x-full" style={{ left: share(minute * 60) }}>
                        {minute}
                    </span>
                ))}
            </div>
        </div>
    );
}

const GROUND: Record<Part['kind'], string> = {
    drive: 'bg-(--road)',
    brief: 'bg-raised',
    round: 'bg-wash border-l-2 border-ink',
    again: 'bg-wash',
    debrief: 'bg-raised border-l-2 border-line',
    spare: '',
};
