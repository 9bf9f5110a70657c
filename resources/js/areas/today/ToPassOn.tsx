import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, at, Problem } from '@/api/client';
import { questions } from '@/api/questions';
import type { LessonText } from '@/api/types';
import { Reach } from '@/diary/Reach';
import { TEXT_KINDS, UNSENT } from '@/diary/textWords';
import { useClock } from '@/session/session';
import { useNotice } from '@/ui/Notice';

/** More than these are shown when asked for: the day comes first. */
const FIRST = 3;

/** The outbox of one's own lessons: what learners are still to hear, ready to be sent from this device. */
export function ToPassOn() {
    const client = useQueryClient();
    const notice = useNotice();
    const [isOpen, setOpen] = useState(false);
    const texts = useQuery(questions.texts());
    if (!texts.data || texts.data.length === 0) return null;
    const say = async (text: LessonText, passed_on: boolean) => {
        await api.PATCH('/texts/{text}', { ...at({ text: text.id }), body: { passed_on } });
        await client.invalidateQueries({ queryKey: ['texts'] });
    };
    const passOn = async (text: LessonText) => {
        try {
            await say(text, true);
        } catch (error) {
            if (!(error instanceof Problem)) throw error;
            notice({ text: `Not noted: ${error.message}` });
            return;
        }
        notice({ text: `${text.learner.name} has heard of it`, undo: () => void say(text, false) });
    };
    const shown = isOpen ? texts.data : texts.data.slice(0, FIRST);
    return (
        <section aria-labelledby="to-pass-on">
            <h2 id="to-pass-on" className="border-hair border-b-2 pb-2 text-lg">
                To pass on ({texts.data.length})
            </h2>
            <ul>
                {shown.map((text) => (
                    <One key={text.id} text={text} onPassedOn={() => void passOn(text)} />
                ))}
            </ul>
            {shown.length < texts.data.length && (
                <button type="button" className="link min-h-12" onClick={() => setOpen(true)}>
                    Show all {texts.data.length}
                </button>
            )}
        </section>
    );
}

function One({ text, onPassedOn }: { text: LessonText; onPassedOn: () => void }) {
    const clock = useClock();
    const { learner, kind, starts_at, body, phone, unsent } = text;
    return (
        <li className="border-hair grid gap-2 border-b py-3">
            <p>
                <strong>{learner.name}</strong>{' '}
                <span className="text-quiet">
                    · {TEXT_KINDS[kind]} · lesson of {clock.day(starts_at)}, {clock.time(starts_at)}
                </span>
            </p>
            {unsent && <p className="font-semibold">▸ {UNSENT[unsent]}</p>}
            <p className="max-w-prose [overflow-wrap:anywhere]">{body}</p>
            <div className="flex flex-wrap gap-2">
                <Reach name={learner.name} phone={phone} text={body ?? ''} mayText={unsent === null} />
                <button type="button" className="key" aria-label={`Passed on to ${learner.name}`} onClick={onPassedOn}>
                    Passed on
                </button>
            </div>
        </li>
    );
}
