import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { questions } from '@/api/questions';
import type { SchoolTests } from '@/api/types';
import { FailedBy } from '@/assessment/FailedBy';
import { SharePicture } from '@/skill/SharePicture';
import { percent } from '@/skill/words';
import { Failed, Waiting } from '@/ui/State';

/** Real tests: what the marks had said of each, held against what came of it, and what they were failed by where. */
export function Tests() {
    const told = useQuery(questions.schoolTests());
    if (told.isLoading) return <Waiting />;
    if (!told.data) return <Failed error={told.error} retry={() => void told.refetch()} />;
    return (
        <div className="grid gap-8 lg:grid-cols-2">
            <Held held={told.data.held} />
            <section aria-labelledby="centres" className="grid content-start gap-6">
                <h2 id="centres" className="text-xl">
                    By test centre
                </h2>
                {told.data.centres.length === 0 && <p className="text-quiet">No test centre is written down: they are kept beside the circuits.</p>}
                {told.data.centres.map((centre) => (
                    <article key={centre.id} className="grid gap-2" aria-label={centre.name}>
                        <h3 className="text-lg">
                            <Link className="link" to={`/places/centres/${centre.id}`}>
                                {centre.name}
                            </Link>
                        </h3>
                        <FailedBy centre={centre} />
                    </article>
                ))}
            </section>
        </div>
    );
}

function Held({ held }: Pick<SchoolTests, 'held'>) {
    return (
        <section aria-labelledby="held" className="grid content-start gap-3">
            <h2 id="held" className="text-xl">
                Said, and passed
            </h2>
            <p className="text-lg font-semibold">{held.message}</p>
            <p>
                Each test is held against what the marks before it said: how likely it was to be passed that day. What an instructor said of readiness, and
                marks that came later, are not in it.
            </p>
            {held.bins.length > 0 && (
                <table className="w-full max-w-lg text-left">
                    <caption className="text-quiet pb-1 text-left text-sm">
                        How many passed of those of whom as much was said; the bar is what that share may be.
                    </caption>
                    <thead>
                        <tr className="border-hair border-b">
                            <th scope="col" className="py-1 font-semibold">
                                Said, of 100
                            </th>
                            <th scope="col" className="py-1 font-semibold">
                                Passed
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {held.bins.map(({ from, until, said, passed }) => (
                            <tr key={from} className="border-hair border-b">
                                <td className="py-2 pr-3 align-top">
                                    <span className="font-bold">{percent(said)}</span>{' '}
                                    <span className="text-quiet text-sm">
                                        ({percent(from)} to {percent(until)})
                                    </span>
                                </td>
                                <td className="py-2">
                                    <SharePicture share={passed} />
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
        </section>
    );
}
