import { useEffect, useRef, useState } from 'react';
import type { Rules } from '@/api/types';
import { read, type Instrument, type Reading } from './instruments';

interface Props {
    /** Which round a press goes into, in words. */
    round: string;
    instrument: Instrument;
    /** That is kept over a length, m/s. */
    speed: number;
    /** Moments already in the round. */
    count: number;
    rule: Rules['device_rule'];
    /** One press where the key marks moments. */
    onMark: () => void;
    /** The car stands, and what the key read until then. */
    onParked: (reading: Reading) => void;
}

/** These belong to the browser and to whoever finds the way by keyboard. */
const NOT_THE_KEY = ['Tab', 'Shift', 'Control', 'Alt', 'AltGraph', 'Meta', 'CapsLock', 'Escape', 'F5', 'F11', 'F12'];

/**
 * While the car moves there is one key, and the whole screen is its: nothing else can be reached but saying that the car is parked. A clicker
 * or any key of a keyboard presses it too. What was marked is said when parked.
 */
export function Moving({ round, instrument, speed, count, rule, onMark, onParked }: Props) {
    const [from] = useState(() => performance.now());
    const [presses, setPresses] = useState<number[]>([]);
    const press = (at: number) => (instrument === 'moments' ? onMark() : setPresses((before) => [...before, at]));
    const latest = useRef(press);
    useEffect(() => {
        latest.current = press;
    });
    useEffect(() => {
        const down = (event: KeyboardEvent) => {
            if (event.repeat || event.ctrlKey || event.metaKey || event.altKey || NOT_THE_KEY.includes(event.key)) return;
            // On the other key they press that one.
            if (event.target instanceof HTMLElement && event.target.closest('[data-parked]')) return;
            event.preventDefault();
            latest.current(event.timeStamp);
        };
        window.addEventListener('keydown', down);
        return () => window.removeEventListener('keydown', down);
    }, []);
    const reading = (until: number): Reading => read(instrument, presses, from, until, speed);
    return (
        <section aria-label="Driving" data-takes-keys className="bg-paper fixed inset-0 z-40 grid grid-rows-[minmax(0,1fr)_auto] gap-3 p-3 sm:p-6">
            <button
                type="button"
                autoFocus
                aria-label={instrument === 'moments' ? undefined : 'Press'}
                className="key h-full min-h-0 w-full flex-col text-5xl"
                data-tone="moving"
                onKeyUp={(event) => event.preventDefault()}
                onClick={(event) => press(event.timeStamp)}
            >
                {instrument === 'moments' ? (
                    <>
                        Mark
                        <span className="text-xl font-normal">{round}</span>
                        <span className="text-xl font-normal" aria-live="polite">
                            {count === 0 ? 'tap now, say later what it was' : `${count} ${count === 1 ? 'moment' : 'moments'} in this round`}
                        </span>
                    </>
                ) : (
                    <output className="font-display tabular text-[min(32vw,48vh)] leading-none font-bold">{reading(from).shows}</output>
                )}
            </button>
            <div className="grid items-center gap-3 sm:grid-cols-[minmax(0,1fr)_auto]">
                <p className="text-quiet text-sm sm:text-base" title={rule.source}>
                    For the supervising instructor, never the driver. {rule.text}
                </p>
                <button type="button" data-parked className="key min-h-[88px] px-8 text-xl" onClick={() => onParked(reading(performance.now()))}>
                    Parked
                </button>
            </div>
        </section>
    );
}
