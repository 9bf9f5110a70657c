import type { Share } from '@/api/types';
import { percent } from '@/skill/words';

/** So many of so many: the bar is what the share may be, its line what it was. */
export function SharePicture({ share }: { share: Share }) {
    const at = (value: number) => `${value * 100}%`;
    return (
        <span className="grid min-w-36 gap-1">
            <span className="whitespace-nowrap">
                <span className="font-bold">{share.count}</span> <span className="text-quiet">of {share.of}</span>
                {share.of > 0 && (
                    <span className="text-quiet text-sm">
                        {' '}
                        · {percent(share.low)} to {percent(share.high)} %
                    </span>
                )}
            </span>
            <span className="bg-wash relative block h-2 rounded-sm" aria-hidden="true">
                {share.of > 0 && (
                    <>
                        <span className="bg-line absolute inset-y-0" style={{ left: at(share.low), width: at(share.high - share.low) }} />
                        <span className="bg-ink absolute -inset-y-0.5 w-1" style={{ left: `calc(${at(share.count / share.of)} - 2px)` }} />
                    </>
                )}
            </span>
        </span>
    );
}
