import { Slider } from '@/ui/Slider';
import type { Moment } from './useMoment';

/** The time slider with its key. */
export function MomentKeys({ moment, longest, play, label }: { moment: Moment; longest: number; play: string; label: string }) {
    return (
        <div className="screen-only flex flex-wrap items-center gap-4">
            <button type="button" className="key" aria-pressed={moment.playing} onClick={moment.toggle}>
                {moment.playing ? '■ Hold' : `▶ ${play}`}
            </button>
            <div className="min-w-[min(16rem,100%)] flex-1">
                <Slider
                    label={label}
                    value={Number(moment.seconds.toFixed(1))}
                    min={0}
                    max={longest}
                    step={0.1}
                    words={(value) => `${value.toFixed(1)} s`}
                    onChange={(value) => moment.set(Number(value.toFixed(1)))}
                />
            </div>
        </div>
    );
}
