import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api } from '@/api/client';
import type { Calibration, SchoolForetelling } from '@/api/types';
import { percent } from '@/skill/words';
import { Empty, Failed, Waiting } from '@/ui/State';

/** How well what the marks say comes true in this school, of whom it does not, and how strictly each instructor marks. */
export function WellForetold() {
    const told = useQuery({ queryKey: ['school', 'foretelling'], queryFn: () => api.GET('/school/foretelling') });
    if (told.isLoading) return <Waiting />;
    if (!told.data) return <Failed error={told.error} retry={() => void told.refetch()} />;
    const { school, learners, doubted, instructors } = told.data;
    if (!school)
        return (
            <Empty title="Nothing to hold against yet">
                <p>From a learner’s second marked lesson on, each lesson is held against what the record said before it.</p>
            </Empty>
        );
    return (
        <div className="grid gap-8 lg:grid-cols-2">
            <ForetoldAndCome one={school} learners={learners} />
            <div className="grid content-start gap-8">
                <Doubted doubted={doubted} />
                <Marking instructors={instructors} />
            </div>
        </div>
    );
}

const WIDE = 320;
const HIGH = 240;

function ForetoldAndCome({ one, learners }: { one: Calibration; learners: number }) {
    const x = (share: number) => 34 + share * (WIDE - 44);
    const y = (share: number) => 10 + (1 - share) * (HIGH - 40);
    const most = Math.max(...one.bins.map((bin) => bin.marks));
    return (
        <section aria-labelledby="foretold" className="grid content-start gap-3">
            <h2 id="foretold" className="text-xl">
                Foretold, and come
            </h2>
            <p className="text-lg font-semibold">{one.message}</p>
            <p>
                {one.marks.toLocaleString('en-GB')} marks in {one.lessons} {one.lessons === 1 ? 'lesson' : 'lessons'} of {learners}{' '}
                {learners === 1 ? 'learner' : 'learners'}, each held against what was said before its lesson began.{' '}
                {one.loss < one.counting
                    ? 'It told more than counting each learner’s latest marks.'
                    : 'Counting each learner’s latest marks would have told more.'}
            </p>
            <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="w-full max-w-lg" aria-hidden="true">
                <line x1={x(0)} y1={y(0)} x2={x(1)} y2={y(1)} stroke="var(--line)" strokeDasharray="4 4" />
                {[0, 0.5, 1].map((share) => (
                    <g key={share} fontSize="11" fill="var(--quiet)">
                        <line x1={x(0)} x2={x(1)} y1={y(share)} y2={y(share)} stroke="var(--hair)" />
                        <text x={x(0) - 6} y={y(share) + 4} textAnchor="end">
                            {percent(share)}
                        </text>
                        <text x={x(share)} y={HIGH - 16} textAnchor="middle">
                            {percent(share)}
                        </text>
                    </g>
                ))}
                {one.bins.map((bin) => (
                    <circle
                        key={bin.from}
                        cx={x(bin.foretold)}
                        cy={y(bin.unaided / bin.marks)}
                        r={3 + 5 * Math.sqrt(bin.marks / most)}
                        fill="var(--ink)"
                        fillOpacity="0.8"
                    />
                ))}
                <text x={x(0) + 6} y={y(1) + 15} fontSize="11" fill="var(--quiet)">
                    came unaided, of 100
                </text>
                <text x={x(0.5)} y={HIGH - 2} textAnchor="middle" fontSize="11" fill="var(--quiet)">
                    foretold unaided, of 100
                </text>
            </svg>
            <table className="w-full max-w-lg text-left">
                <caption className="text-quiet pb-1 text-left text-sm">Unaided, of 100 marks: on the broken line is as often as was said.</caption>
                <thead>
                    <tr className="border-hair border-b">
                        <th scope="col" className="py-1 font-semibold">
                            Foretold
                        </th>
                        <th scope="col" className="py-1 font-semibold">
                            Came
                        </th>
                        <th scope="col" className="py-1 font-semibold">
                            Marks
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {one.bins.map((bin) => (
                        <tr key={bin.from} className="border-hair border-b">
                            <td className="py-1">{percent(bin.foretold)}</td>
                            <td className="py-1">{percent(bin.unaided / bin.marks)}</td>
                            <td className="py-1">{bin.marks.toLocaleString('en-GB')}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

function Doubted({ doubted }: Pick<SchoolForetelling, 'doubted'>) {
    return (
        <section aria-labelledby="doubted" className="grid content-start gap-2">
            <h2 id="doubted" className="text-xl">
                Not to be relied on just now
            </h2>
            {doubted.length === 0 ? (
                <p>No record stands out: of every learner it came about as often as was said, or it is too early to tell.</p>
            ) : (
                <ul className="grid">
                    {doubted.map((one) => (
                        <li key={one.learner.id} className="border-hair border-b">
                            <Link to={`/learners/${one.learner.id}`} className="hover:bg-wash grid min-h-12 content-center py-1">
                                <span className="font-semibold">{one.learner.name}</span>
                                <span className="text-quiet text-sm">
                                    {one.message} {one.marks} marks in {one.lessons} lessons.
                                </span>
                            </Link>
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}

/** By name: whoever marks strictly is no better and no worse for it. */
function Marking({ instructors }: Pick<SchoolForetelling, 'instructors'>) {
    if (instructors.length < 2) return null;
    const most = Math.max(0.5, ...instructors.flatMap((one) => [Math.abs(one.low), Math.abs(one.high)]));
    const at = (value: number) => `${50 + (value / most) * 50}%`;
    return (
        <section aria-labelledby="marking" className="grid content-start gap-2">
            <h2 id="marking" className="text-xl">
                How each of you marks
            </h2>
            <p className="text-quiet text-sm">
                From learners whom several of you taught; by name, and no ranking. The record allows for it. Lenient lies to the left, strict to the right.
            </p>
            <ul className="grid">
                {instructors.map((one) => (
                    <li key={one.user.id} className="border-hair grid gap-1 border-b py-2 sm:grid-cols-[1fr_10rem] sm:items-center">
                        <span>
                            <span className="font-semibold">{one.user.name}</span>
                            <span className="text-quiet block text-sm">
                                {one.message} {one.learners > 0 && `${one.learners} ${one.learners === 1 ? 'learner' : 'learners'} shared.`}
                            </span>
                        </span>
                        {one.learners > 0 && (
                            <span className="bg-wash relative block h-4 rounded-sm" aria-hidden="true">
                                <span className="bg-line absolute inset-y-0" style={{ left: at(one.low), width: `calc(${at(one.high)} - ${at(one.low)})` }} />
                                <span className="border-line absolute inset-y-0 left-1/2 border-l" />
                                <span className="bg-ink absolute -inset-y-0.5 w-1" style={{ left: `calc(${at(one.stricter)} - 2px)` }} />
                            </span>
                        )}
                    </li>
                ))}
            </ul>
        </section>
    );
}
