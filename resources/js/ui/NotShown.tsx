import { Problem } from '@/api/client';

interface Props {
    /** What is missing or no longer holds, as the beginning of a sentence: "The strip is not shown". */
    what: string;
    error: unknown;
    retry?: () => void;
}

/** Stands where a part of a page is missing or old, and says why: nothing is left out or left standing in silence. */
export function NotShown({ what, error, retry }: Props) {
    return (
        <div role="alert" className="border-ink grid gap-1 rounded-lg border-2 border-dashed px-4 py-2">
            <p>
                <strong>{what}:</strong> {reason(error)}
            </p>
            {retry && (
                <button type="button" className="link screen-only min-h-12 justify-self-start" onClick={retry}>
                    Try again
                </button>
            )}
        </div>
    );
}

/** The core's own sentences, field by field, or why there is no answer. */
export function reason(error: unknown): string {
    if (!(error instanceof Problem)) return 'something broke on our side.';
    if (error.isOutOfReach) return 'the server cannot be reached.';
    const fields = Object.entries(error.errors);
    if (error.status === 422 && fields.length > 0) return fields.map(([field, sentences]) => `${field} ${sentences.join(' ')}`).join('; ');
    return error.message;
}
