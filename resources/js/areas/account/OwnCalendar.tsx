import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem } from '@/api/client';
import type { BusyImported, CalendarState } from '@/api/types';
import { useReread } from '@/diary/useBooked';
import { useClock } from '@/session/session';
import { Field } from '@/ui/Field';
import { FileKey } from '@/ui/FileKey';
import { useNotice } from '@/ui/Notice';
import { Options } from '@/ui/Options';
import { useCopy } from '@/ui/useCopy';

type Names = CalendarState['calendar_names'];

const NAMES: Record<Names, string> = { adults: 'Names of adults only', all: 'All names', nobody: 'Nobody’s name' };

/** One's diary in the calendar that one has anyway, and busy times brought in from there. */
export function OwnCalendar() {
    const client = useQueryClient();
    const notice = useNotice();
    const copy = useCopy();
    const state = useQuery({ queryKey: ['calendar'], queryFn: () => api.GET('/calendar') });
    const [address, setAddress] = useState<string | null>(null);
    if (!state.data) return null;
    const { on, calendar_names: names } = state.data;
    const know = (told: CalendarState) => client.setQueryData(['calendar'], { on: told.on, calendar_names: told.calendar_names });
    const make = async () => {
        const made = await api.POST('/calendar', { body: { calendar_names: names } });
        know(made);
        setAddress(made.address);
    };
    const stop = async () => {
        await api.DELETE('/calendar');
        setAddress(null);
        know({ on: false, calendar_names: names });
        notice({ text: 'The address is stopped: calendars that read it find nothing any more.' });
    };
    return (
        <section className="grid gap-3" aria-labelledby="calendar">
            <h2 id="calendar" className="text-xl">
                Your own calendar
            </h2>
            <p>
                {on
                    ? 'A calendar of yours may read your lessons at a secret address. Whoever has the address reads them, too.'
                    : 'Your lessons can be read by the calendar on your telephone, at a secret address of your own.'}
            </p>
            <Field label="Whose names stand there" hint="Where no name stands, no address of a pick-up does either.">
                <select value={names} onChange={(event) => void api.PUT('/calendar', { body: { calendar_names: event.target.value as Names } }).then(know)}>
                    <Options of={NAMES} />
                </select>
            </Field>
            {address && (
                <div className="border-now grid gap-2 border-l-4 pl-4">
                    <p className="text-sm break-all">{address}</p>
                    <p className="text-quiet text-sm">Shown this once. In your calendar: add one from the internet, or subscribe to one.</p>
                    <button type="button" className="key justify-self-start" onClick={() => copy(address, 'The address is copied.')}>
                        Copy the address
                    </button>
                </div>
            )}
            <div className="flex flex-wrap gap-2">
                <button type="button" className="key" onClick={() => void make()}>
                    {on ? 'Make a new address: this one stops' : 'Make an address'}
                </button>
                {on && (
                    <button type="button" className="key" onClick={() => void stop()}>
                        Stop it
                    </button>
                )}
            </div>
            <Import />
        </section>
    );
}

/** Busy times of a calendar file: what each would do is said first. */
function Import() {
    const clock = useClock();
    const notice = useNotice();
    const reread = useReread();
    const [file, setFile] = useState<{ ics: string; said: BusyImported } | null>(null);
    const [refused, setRefused] = useState<string | null>(null);
    const ask = async (ics: string, keep: boolean): Promise<BusyImported | null> => {
        try {
            setRefused(null);
            return await api.POST('/busy-times/import', { body: { ics, keep } });
        } catch (error) {
            if (!(error instanceof Problem)) throw error;
            setRefused(error.errors.ics?.join(' ') ?? error.message);
            return null;
        }
    };
    const open = async (chosen: File) => {
        const ics = await chosen.text();
        const said = await ask(ics, false);
        setFile(said && { ics, said });
    };
    const hold = async (ics: string) => {
        const said = await ask(ics, true);
        if (!said) return;
        await reread();
        setFile(null);
        notice({ text: said.held.length === 1 ? '1 busy time is held' : `${said.held.length} busy times are held` });
    };
    const when = ({ starts_at, ends_at }: BusyImported['held'][number]) => `${clock.day(starts_at)}, ${clock.time(starts_at)} to ${clock.time(ends_at)}`;
    return (
        <div className="grid gap-3">
            <FileKey label="Bring busy times in from a calendar file" accept=".ics,text/calendar" onFile={(chosen) => void open(chosen)} />
            {refused && (
                <p role="alert" className="font-semibold">
                    ▸ {refused}
                </p>
            )}
            {file && (
                <div className="grid gap-2" role="group" aria-label="What the file would hold">
                    <p className="font-semibold">
                        {file.said.held.length === 0 ? 'Nothing in it is new and free, from now to a year ahead.' : `${file.said.held.length} would be held:`}
                    </p>
                    <ul className="grid gap-1">
                        {file.said.held.map((one) => (
                            <li key={one.starts_at + one.ends_at}>
                                {one.title ?? 'Busy'} <span className="text-quiet">{when(one)}</span>
                            </li>
                        ))}
                        {file.said.left_out.map((one) => (
                            <li key={one.starts_at + one.ends_at} className="text-sm">
                                <s>{one.title ?? 'Busy'}</s> <span className="text-quiet">{when(one)}</span>{' '}
                                <span className="block font-semibold">▸ {one.why}</span>
                            </li>
                        ))}
                    </ul>
                    <div className="flex flex-wrap gap-2">
                        {file.said.held.length > 0 && (
                            <button type="button" className="key" data-tone="main" onClick={() => void hold(file.ics)}>
                                Hold these
                            </button>
                        )}
                        <button type="button" className="key" onClick={() => setFile(null)}>
                            Leave it
                        </button>
                    </div>
                </div>
            )}
        </div>
    );
}
