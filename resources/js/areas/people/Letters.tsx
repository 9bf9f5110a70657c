import { useQuery } from '@tanstack/react-query';
import { api } from '@/api/client';
import { useClock } from '@/session/session';
import { Empty, Failed, Waiting } from '@/ui/State';
import { useCopy } from '@/ui/useCopy';

/** The outbox: letters that wait to be handed on, and those whose link is spent. */
export function Letters() {
    const clock = useClock();
    const copy = useCopy();
    const outbox = useQuery({ queryKey: ['letters'], queryFn: () => api.GET('/letters'), staleTime: 0 });
    if (outbox.isLoading) return <Waiting />;
    if (!outbox.data) return <Failed error={outbox.error} retry={() => void outbox.refetch()} />;
    const { mail, letters } = outbox.data;
    return (
        <section className="grid gap-4" aria-label="Letters">
            <p className="max-w-prose">
                {mail
                    ? 'Letters go out by mail. One that could not be sent waits here.'
                    : 'No mail is set up, so letters wait here. Copy one and hand it on by your own mail or messenger, to nobody but the person it is for: whoever has its link can choose their password.'}
            </p>
            {letters.length === 0 && (
                <Empty title="No letters">
                    <p>Invitations and letters for a new password appear here.</p>
                </Empty>
            )}
            <ul className="grid gap-4">
                {letters.map((letter) => (
                    <li key={letter.id} className="border-hair grid gap-2 rounded-xl border-2 p-4">
                        <div className="flex flex-wrap items-baseline gap-x-4">
                            <h2 className="text-lg">{letter.subject}</h2>
                            <span className="text-quiet text-sm">
                                to {letter.to.name}, {letter.to.email} · {clock.date(letter.created_at)}, {clock.time(letter.created_at)}
                            </span>
                        </div>
                        {letter.body ? (
                            <>
                                <pre className="bg-wash overflow-x-auto rounded-lg p-3 font-sans text-sm whitespace-pre-wrap [overflow-wrap:anywhere]">
                                    {letter.body}
                                </pre>
                                <button
                                    type="button"
                                    className="key justify-self-start"
                                    aria-label={`Copy the letter to ${letter.to.name}`}
                                    onClick={() => copy(letter.body!, 'The letter is copied.')}
                                >
                                    Copy the letter
                                </button>
                            </>
                        ) : (
                            <p className="text-quiet">
                                {letter.by_mail && letter.opens ? 'Sent by mail.' : 'Its link no longer works: used, too old, or replaced by a newer letter.'}
                            </p>
                        )}
                    </li>
                ))}
            </ul>
        </section>
    );
}
