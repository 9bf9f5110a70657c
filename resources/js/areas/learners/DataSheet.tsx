import type { LearnerData } from '@/api/types';
import { useRoutineName } from '@/rules/rules';
import { stateWords } from '@/diary/stateWords';
import { useClock } from '@/session/session';
import { countWords } from '@/skill/counted';
import { DataDiary } from './DataDiary';
import { Part } from './Part';

type Lesson = LearnerData['lessons'][number];
type Mark = Lesson['rounds'][number]['marks'][number];

/** A withdrawal says nothing of its own: only what it takes back. */
function said(mark: Mark): string {
    switch (mark.kind) {
        case 'step': {
            const stage = mark.stage && mark.stage !== 'approach' ? ` (${mark.stage.replace('-', ' ')})` : '';
            const fault = [mark.out_of_order && 'wrong order', mark.fault?.replaceAll('-', ' '), mark.effect && `others: ${mark.effect}`].filter(Boolean);
            return [`${mark.step}${stage}${mark.outcome ? `: ${mark.outcome}` : ''}`, ...fault].join(', ');
        }
        case 'taught':
            return `taught${mark.taught ? `: ${mark.taught === 'shown' ? 'shown' : 'talked through'}` : ''}`;
        case 'held-back-rightly':
            return 'correctly waited';
        case 'decision':
            return `decided rightly${mark.decision ? `: ${mark.decision.replaceAll('-', ' ')}` : ''}`;
        case 'count':
            return countWords(mark) || 'a count';
        default:
            return mark.kind;
    }
}

/** A mark in words; one that was corrected or taken back says so. */
export function markWords(mark: Mark, corrected: boolean): string {
    const what = said(mark);
    return [mark.withdrawn ? `${what}, taken back` : what, mark.note && `“${mark.note}”`, corrected && 'corrected later'].filter(Boolean).join(', ');
}

/** The whole of it in words, in the order in which it came about; made to be printed. */
export function DataSheet({ data }: { data: LearnerData }) {
    const { learner } = data;
    const clock = useClock();
    const name = useRoutineName();
    const on = (date: string | null) => date && clock.date(`${date}T12:00:00Z`);
    const facts: [string, string | null][] = [
        ['Telephone', learner.phone],
        ['Email', learner.email],
        ['Texts about lessons', learner.wants_texts ? 'yes' : 'no'],
        ['Pick-up', learner.pick_up],
        ['Where that is', learner.pick_up_latitude_deg === null ? null : `${learner.pick_up_latitude_deg}, ${learner.pick_up_longitude_deg}`],
        ['Learns on', learner.transmission],
        ['Level', learner.level],
        ['Licence seen', on(learner.licence_seen_on)],
        ['Eyesight checked', on(learner.eyesight_checked_on)],
        ['Minor', learner.is_minor ? 'yes' : 'no'],
        ['Guardian', [learner.guardian_name, learner.guardian_contact].filter(Boolean).join(', ') || null],
        ['Guardian’s consent', on(learner.guardian_consent_on)],
        ['Kept since', learner.kept_since && clock.date(learner.kept_since)],
        ['Kept until', on(learner.keep_until)],
        ...learner.reference_points.map((point): [string, string] => [point.what, point.where]),
    ];
    return (
        <>
            <Part title="Facts">
                <dl className="grid grid-cols-[10rem_minmax(0,1fr)] gap-y-1">
                    {facts
                        .filter(([, value]) => value)
                        .map(([fact, value], i) => (
                            <div key={i} className="contents">
                                <dt className="text-quiet">{fact}</dt>
                                <dd className="min-w-0 break-words">{value}</dd>
                            </div>
                        ))}
                </dl>
            </Part>
            <Part title={`Lessons (${data.lessons.length})`}>
                <div className="grid gap-5">
                    {data.lessons.map((lesson) => (
                        <OneLesson key={lesson.id} lesson={lesson} name={name} />
                    ))}
                </div>
            </Part>
            <DataDiary data={data} />
            {data.promises.length > 0 && (
                <Part title="Agreed and to practise">
                    <ul className="list-disc pl-5">
                        {data.promises.map((promise) => (
                            <li key={promise.id}>
                                {promise.text}
                                {promise.kind === 'homework' && ' (to practise)'}
                                {promise.kept_at && `, done ${clock.date(promise.kept_at)}`}
                            </li>
                        ))}
                    </ul>
                </Part>
            )}
            {data.remedies.length > 0 && (
                <Part title="Remedies and drills that were given">
                    <ul className="list-disc pl-5">
                        {data.remedies.map((one) => (
                            <li key={one.id}>
                                {clock.date(one.given_at)}: {one.what} for {one.step}
                                {one.fault && ` (${one.fault.replaceAll('-', ' ')})`}, {name(one.routine)}
                            </li>
                        ))}
                    </ul>
                </Part>
            )}
            {data.overrulings.length > 0 && (
                <Part title="Where an instructor corrected what the marks say">
                    <ul className="list-disc pl-5">
                        {data.overrulings.map((one) => (
                            <li key={one.at}>
                                {clock.date(one.at)}, {one.by}: {name(one.routine)}, {one.step}: {one.level}. {one.reason}
                                {one.withdrawn_at && ` Taken back ${clock.date(one.withdrawn_at)}.`}
                            </li>
                        ))}
                    </ul>
                </Part>
            )}
            {data.drawings.length > 0 && (
                <Part title="Drawings kept for a lesson">
                    <ul className="list-disc pl-5">
                        {data.drawings.map((drawing, i) => (
                            <li key={i}>{drawing.title}</li>
                        ))}
                    </ul>
                </Part>
            )}
            {data.changes.length > 0 && (
                <Part title="Who changed or took out this record">
                    <ul className="list-disc pl-5">
                        {data.changes.map((change) => (
                            <li key={change.at}>
                                {clock.date(change.at)}, {clock.time(change.at)}: {change.by}, {change.what.replaceAll('-', ' ')}
                                {change.fields.length > 0 && ` (${change.fields.join(', ').replaceAll('_', ' ')})`}
                            </li>
                        ))}
                    </ul>
                </Part>
            )}
        </>
    );
}

function OneLesson({ lesson, name }: { lesson: Lesson; name: ReturnType<typeof useRoutineName> }) {
    const clock = useClock();
    const corrected = new Set(lesson.rounds.flatMap((round) => round.marks.map((mark) => mark.corrects_id)));
    const ratings = Object.entries(lesson.own_ratings);
    const lasted = lesson.cut_to_minutes ?? lesson.minutes;
    return (
        <section className="break-inside-avoid">
            <h3 className="font-semibold">
                {clock.date(lesson.starts_at)}, {clock.time(lesson.starts_at)}, {lasted} minutes with {lesson.instructor} in {lesson.car}
                {!['booked', 'done'].includes(lesson.state) && ` (${stateWords(lesson.state, lesson.ended_by)})`}
                {lesson.ended_why && `: ${lesson.ended_why}`}
            </h3>
            {lesson.aim && <p>Aim: {lesson.aim}</p>}
            {(lesson.aim_step ?? lesson.aim_routine) && (
                <p>Works on: {[lesson.aim_step, lesson.aim_routine && name(lesson.aim_routine)].filter(Boolean).join(', ')}</p>
            )}
            {lesson.planned.length > 0 && lesson.rounds.length === 0 && (
                <p className="text-quiet">Planned: {lesson.planned.map((item) => `${item.place} (${name(item.routine)})`).join('; ')}</p>
            )}
            <ul className="list-disc pl-5">
                {lesson.rounds.map((round) => (
                    <li key={round.id}>
                        {clock.time(round.began_at)} {round.place}, {name(round.routine)}
                        {Object.keys(round.conditions).length > 0 && ` (${Object.values(round.conditions).join(', ')})`}
                        {round.marks.length > 0 && ': '}
                        {round.marks.map((mark) => markWords(mark, corrected.has(mark.id))).join('; ')}
                    </li>
                ))}
            </ul>
            {ratings.length > 0 && <p>Own view: {ratings.map(([step, outcome]) => `${step} ${outcome}`).join(', ')}</p>}
            {lesson.went_well && <p>Went well: {lesson.went_well}</p>}
            {lesson.worked_on && <p>To improve: {lesson.worked_on}</p>}
        </section>
    );
}
