import type { Side } from '@/api/types';

interface Props {
    title: string;
    /** All ways lead out of it: which one is part of what is said. */
    byExit: boolean;
    /** The way that was chosen, false where it is another routine; undefined where the press leads on. */
    chosen?: Side | null | false;
    disabled?: boolean | undefined;
    onChosen: (side: Side | null) => void;
}

const WAYS: readonly [Side | null, string][] = [
    ['left', 'left'],
    [null, 'ahead'],
    ['right', 'right'],
];

/** A routine to be chosen by one press: where it has several ways out, a key for each. */
export function RoutineKey({ title, byExit, chosen, disabled, onChosen }: Props) {
    if (!byExit) {
        return (
            <button
                type="button"
                className="key min-h-[88px] min-w-0 justify-start !px-3 text-left leading-tight"
                aria-pressed={chosen === undefined ? undefined : chosen !== false}
                disabled={disabled && chosen === false}
                onClick={() => onChosen(null)}
            >
                <span className="line-clamp-3">{title}</span>
            </button>
        );
    }
    return (
        <div role="group" aria-label={title} className="border-hair col-span-full grid grid-cols-3 gap-1 rounded-lg border p-1 sm:gap-2">
            <span className="col-span-3 px-2 leading-tight font-bold">{title}</span>
            {WAYS.map(([side, words]) => (
                <button
                    key={words}
                    type="button"
                    className="key min-h-[88px] min-w-0"
                    aria-label={`${title} ${words}`}
                    aria-pressed={chosen === undefined ? undefined : chosen === side}
                    disabled={disabled && chosen !== side}
                    onClick={() => onChosen(side)}
                >
                    {words}
                </button>
            ))}
        </div>
    );
}
