import type { ApproachAlong } from '@/api/types';

/** Who waits for whom at a place, as it is said before one comes to it. */
export function WhoWaits({ waits }: { waits: Omit<ApproachAlong['gives_way'][number], 'source'>[] }) {
    return (
        <ul className="grid gap-1" aria-label="Who waits for whom">
            {waits.map(({ who, message }) => (
                <li key={message}>
                    {who === 'we' ? (
                        <>
                            <span className="font-semibold">We wait</span> {message.charAt(0).toLowerCase()}
                            {message.slice(1)}
                        </>
                    ) : (
                        message
                    )}
                </li>
            ))}
        </ul>
    );
}
