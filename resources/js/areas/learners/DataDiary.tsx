import type { LearnerData } from '@/api/types';
import { TEXT_KINDS } from '@/diary/textWords';
import { wishWords } from '@/diary/wishWords';
import { useClock } from '@/session/session';
import { noted } from '@/skill/words';
import { lasting } from './hours/parts';
import { Part } from './Part';

const AWAY = ' (taken away again)';

/** What the diary and the outbox keep of a learner beside their lessons. */
export function DataDiary({ data }: { data: LearnerData }) {
    const clock = useClock();
    const at = (moment: string) => `${clock.date(moment)}, ${clock.time(moment)}`;
    const lists: [string, string[]][] = [
        [
            'Tests',
            data.tests.map(
                (one) =>
                    `${at(one.starts_at)}${one.centre ? `, ${one.centre}` : ''}${one.instructor ? `, with ${one.instructor}` : ''}${one.title ? `: ${one.title}` : ''}${one.taken_away ? AWAY : ''}`,
            ),
        ],
        [
            'Driven with somebody else',
            data.accompanied_drives.map((one) =>
                [`${at(one.starts_at)}, ${lasting(one.minutes)}`, noted(one.conditions), one.note]
                    .filter(Boolean)
                    .join(': ')
                    .concat(one.taken_away ? AWAY : ''),
            ),
        ],
        [
            'Waiting for an hour',
            data.waiting.map((one) => {
                const when = one.wishes.length === 0 ? 'at any time' : one.wishes.map(wishWords).join('; ');
                return `Since ${clock.date(one.since)}, ${lasting(one.minutes)}, ${when}${one.note ? `: ${one.note}` : ''}${one.taken_away ? AWAY : ''}`;
            }),
        ],
        [
            'Texts about lessons',
            data.texts.map(
                (one) =>
                    `${at(one.made_at)}, ${TEXT_KINDS[one.kind].toLowerCase()}${one.phone ? ` to ${one.phone}` : ''}, ${one.passed_on_at ? 'passed on' : 'not passed on'}: ${one.body ?? ''}`,
            ),
        ],
    ];
    return lists
        .filter(([, lines]) => lines.length > 0)
        .map(([title, lines]) => (
            <Part key={title} title={title}>
                <ul className="list-disc pl-5">
                    {lines.map((line, i) => (
                        <li key={i} className="[overflow-wrap:anywhere]">
                            {line}
                        </li>
                    ))}
                </ul>
            </Part>
        ));
}
