import type { Mark } from '@/api/types';
import { useClock } from '@/session/session';
import type { OpenMoment } from '../openMoments';

interface Props {
    moments: OpenMoment[];
    /** The one that is being told. */
    current: string;
    onTell: (moment: Mark) => void;
}

/** What was marked while moving and has not been told yet, side by side in the order of the presses. */
export function MomentRow({ moments, current, onTell }: Props) {
    const clock = useClock();
    return (
        <ol className="flex min-w-0 flex-1 gap-2 overflow-x-auto" aria-label="Moments to tell">
            {moments.map(({ moment }) => (
                <li key={moment.id} className="shrink-0">
                    <button type="button" className="key min-h-12 !px-3" aria-pressed={moment.id === current} onClick={() => onTell(moment)}>
                        {clock.exact(moment.pressed_at ?? moment.device_at)}
                    </button>
                </li>
            ))}
        </ol>
    );
}
