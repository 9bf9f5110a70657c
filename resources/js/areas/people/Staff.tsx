import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, at } from '@/api/client';
import type { Person } from '@/api/types';
import { useClock, useSession } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Failed, Waiting } from '@/ui/State';
import { HandOver } from './HandOver';
import { PersonForm } from './PersonForm';
import { Reading } from './Reading';

const STATES: Record<Person['state'], string> = { invited: 'invited, has not joined yet', joined: '', suspended: 'suspended' };

type Doing = { what: 'invite' } | { what: 'change' | 'hand-over'; person: Person };

/** Everybody of the school, with what the owner can do for each. */
export function Staff({ onLetters }: { onLetters: () => void }) {
    const client = useQueryClient();
    const notice = useNotice();
    const clock = useClock();
    const { user } = useSession();
    const [doing, setDoing] = useState<Doing | null>(null);
    const staff = useQuery({ queryKey: ['people'], queryFn: () => api.GET('/people') });
    if (staff.isLoading) return <Waiting />;
    if (!staff.data) return <Failed error={staff.error} retry={() => void staff.refetch()} />;
    const { people, mail } = staff.data;
    const refresh = () => Promise.all([client.invalidateQueries({ queryKey: ['people'] }), client.invalidateQueries({ queryKey: ['letters'] })]);
    const waits = (person: Person) => (mail ? `A letter is on its way to ${person.email}.` : `The letter to ${person.name} is in the outbox: hand it on.`);
    const write = async (person: Person) => {
        await api.POST('/people/{person}/letter', at({ person: person.id }));
        await refresh();
        notice({ text: waits(person) });
        if (!mail) onLetters();
    };
    const suspend = async (person: Person) => {
        await api.POST('/people/{person}/suspension', at({ person: person.id }));
        await refresh();
        notice({
            text: `${person.name} is signed out everywhere and cannot come in.`,
            undo: () => void api.DELETE('/people/{person}/suspension', at({ person: person.id })).then(refresh),
        });
    };
    const letIn = async (person: Person) => {
        await api.DELETE('/people/{person}/suspension', at({ person: person.id }));
        await refresh();
        notice({ text: `${person.name} can sign in again.` });
    };
    return (
        <section className="grid gap-4" aria-label="People">
            <button type="button" className="key justify-self-start" data-tone="main" onClick={() => setDoing({ what: 'invite' })}>
                Invite somebody
            </button>
            <ul>
                {people.map((person) => (
                    <li key={person.id} className="border-hair grid gap-2 border-b py-3 md:grid-cols-[1fr_auto] md:items-center">
                        <div className="min-w-0">
                            <h2 className={`text-lg break-words ${person.state === 'suspended' ? 'text-quiet' : ''}`}>
                                {person.name}
                                {person.id === user.id && ' (you)'}
                            </h2>
                            <p className="text-quiet text-sm break-words">
                                {[
                                    person.role === 'owner' ? 'Owner' : 'Instructor',
                                    person.email,
                                    STATES[person.state],
                                    person.lessons_ahead > 0 && `${person.lessons_ahead} ${person.lessons_ahead === 1 ? 'lesson' : 'lessons'} ahead`,
                                    person.last_seen_at && `last here ${clock.short(person.last_seen_at)}`,
                                ]
                                    .filter(Boolean)
                                    .join(' · ')}
                            </p>
                        </div>
                        <div className="flex flex-wrap gap-2" role="group" aria-label={person.name}>
                            <button type="button" className="key" onClick={() => setDoing({ what: 'change', person })}>
                                Change
                            </button>
                            {person.state !== 'suspended' && person.id !== user.id && (
                                <button type="button" className="key" onClick={() => void write(person)}>
                                    {person.state === 'invited' ? 'Invite again' : 'New password'}
                                </button>
                            )}
                            {person.lessons_ahead > 0 && (
                                <button type="button" className="key" onClick={() => setDoing({ what: 'hand-over', person })}>
                                    Hand over
                                </button>
                            )}
                            {person.id !== user.id &&
                                (person.state === 'suspended' ? (
                                    <button type="button" className="key" onClick={() => void letIn(person)}>
                                        Let in again
                                    </button>
                                ) : (
                                    <button type="button" className="key" data-tone="bare" onClick={() => void suspend(person)}>
                                        Suspend
                                    </button>
                                ))}
                        </div>
                    </li>
                ))}
            </ul>
            <Reading />
            <p className="text-quiet max-w-prose text-sm">
                Nobody is ever deleted, because their marks carry their name. Whoever leaves is suspended; hand their lessons over first.
            </p>
            <Sheet
                title={
                    doing?.what === 'invite'
                        ? 'Invite somebody'
                        : doing?.what === 'change'
                          ? 'Change the person'
                          : `Hand over ${doing?.person.name ?? ''}’s lessons`
                }
                open={doing !== null}
                onOpenChange={(open) => !open && setDoing(null)}
            >
                {doing && doing.what !== 'hand-over' && (
                    <PersonForm
                        person={doing.what === 'change' ? doing.person : undefined}
                        onKept={async (person) => {
                            setDoing(null);
                            await refresh();
                            if (doing.what === 'invite') {
                                notice({ text: waits(person) });
                                if (!mail) onLetters();
                            }
                        }}
                    />
                )}
                {doing?.what === 'hand-over' && (
                    <HandOver
                        from={doing.person}
                        colleagues={people.filter((person) => person.id !== doing.person.id && person.state !== 'suspended')}
                        onDone={async (text) => {
                            setDoing(null);
                            await Promise.all([
                                refresh(),
                                client.invalidateQueries({ queryKey: ['today'] }),
                                client.invalidateQueries({ queryKey: ['lesson'] }),
                            ]);
                            notice({ text });
                        }}
                    />
                )}
            </Sheet>
        </section>
    );
}
