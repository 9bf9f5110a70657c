import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, at, Problem } from '@/api/client';
import type { Assessment, Lesson } from '@/api/types';
import { useRoutineName, useRules } from '@/rules/rules';
import { useSession } from '@/session/session';
import { useNotice } from '@/ui/Notice';
import { keepMock, keptMock } from './kept';
import { MockDriving } from './MockDriving';
import { MockResult } from './MockResult';
import { MockTelling } from './MockTelling';
import { begun, parked, sentOf, type MockTest } from './mockTest';

/** A mock test along the ways of the plan: driven in silence, told at the kerb, marked by its scheme. It stays on the device until the server has it. */
export function MockFace({ lesson }: { lesson: Lesson }) {
    const { user } = useSession();
    const { routines } = useRules();
    const client = useQueryClient();
    const notice = useNotice();
    const [test, setTest] = useState<MockTest | null>(() => keptMock(user.id, lesson.id));
    const [result, setResult] = useState<Assessment | null>(null);
    const [refused, setRefused] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const keep = (next: MockTest | null) => {
        keepMock(user.id, lesson.id, next);
        setTest(next);
    };
    const send = async (told: MockTest, conditions: Lesson['rounds'][number]['conditions']) => {
        setBusy(true);
        setRefused(null);
        try {
            setResult(await api.POST('/lessons/{lesson}/mock-test', { ...at({ lesson: lesson.id }), body: sentOf(lesson, told, routines, conditions) }));
            keep(null);
            await Promise.all(
                [
                    ['lesson', lesson.id],
                    ['learner', lesson.learner.id],
                ].map((queryKey) => client.invalidateQueries({ queryKey })),
            );
        } catch (error) {
            if (!(error instanceof Problem)) throw error;
            setRefused(Object.values(error.errors).flat().join(' ') || error.message);
        } finally {
            setBusy(false);
        }
    };
    if (result) return <MockResult test={result} learner={lesson.learner} />;
    if (!test) return <Before lesson={lesson} onBegin={() => keep(begun(lesson))} />;
    if (!test.parked_at) return <MockDriving lesson={lesson} test={test} onChange={keep} onParked={() => keep(parked(test))} />;
    return (
        <MockTelling
            lesson={lesson}
            test={test}
            onChange={keep}
            onSend={(conditions) => void send(test, conditions)}
            onDriveOn={() => keep({ ...test, parked_at: null })}
            onThrowAway={() => {
                keep(null);
                notice({ text: 'The mock test is thrown away.', undo: () => keep(test) });
            }}
            refused={refused}
            busy={busy}
        />
    );
}

function Before({ lesson, onBegin }: { lesson: Lesson; onBegin: () => void }) {
    const name = useRoutineName();
    const { device_rule: rule } = useRules();
    return (
        <section aria-labelledby="mock-test" className="grid max-w-3xl gap-5">
            <h2 id="mock-test" className="text-2xl">
                Mock test
            </h2>
            <p>
                It is driven in silence: you say the directions and nothing else, press the step of each fault, and tell at the kerb what it was. What went
                without a fault counts as done alone.
            </p>
            {lesson.items.length === 0 ? (
                <p className="text-quiet">
                    No ways are on the plan: faults are pressed all the same, but of no way can be said that it went alone.{' '}
                    <Link className="link" to={`/lessons/${lesson.id}/plan`}>
                        Plan some
                    </Link>
                </p>
            ) : (
                <ol className="border-hair border-t">
                    {lesson.items.map((item, i) => (
                        <li key={item.id} className="border-hair flex gap-3 border-b py-2">
                            <span className="figure w-6 shrink-0 text-right">{i + 1}</span>
                            <span className="min-w-0">
                                <span className="font-semibold">{item.place.name}</span> <span className="text-quiet">· {name(item.routine)}</span>
                            </span>
                        </li>
                    ))}
                </ol>
            )}
            <button type="button" className="key min-h-[88px] text-xl sm:justify-self-start sm:px-10" data-tone="main" onClick={onBegin}>
                Begin
            </button>
            <p className="text-quiet text-sm" title={rule.source}>
                For the supervising instructor, never the driver. {rule.text}
            </p>
        </section>
    );
}
