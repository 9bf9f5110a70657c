import { readFileSync } from 'node:fs';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import type * as Api from '@/api/types';
import { SessionContext } from '@/session/session';
import { unfold } from '@/api/folded';
import { NoticeProvider } from '@/ui/Notice';

/** For tests of components: answers of the real application (tests/answers), and what a component asked and sent. */

/** Answers of the real application as they were recorded, by name; AnswersTest and DemoAnswersTest hold each against what is answered today. */
interface Recorded {
    archived: Api.Archive;
    changes: Api.Changes;
    'learner-data': Api.LearnerData;
    'lessons-ahead': Api.LessonsAhead;
    letters: Api.Letters;
    people: Api.People;
    retention: Api.Keeping;
    session: Api.SignedIn;
    sessions: Api.Device[];
    'demo-cell': Api.CellEvidence;
    'demo-centres': Api.Centre[];
    'demo-circuit-plans': Api.WayAsked[];
    'demo-circuits': Api.KeptCircuit[];
    'demo-legs': Api.DrivesMeasured;
    'demo-changed': Api.Changed[];
    'demo-ready': Api.LearnerReady;
    'demo-assessments': Api.Assessment[];
    'demo-proposal': Api.ProposedLesson;
    'demo-rules': Api.RulesOnOffer;
    'demo-learner': Api.LearnerRecord;
    'demo-learners': Api.LearnerLine[];
    'demo-lesson-driven': Api.Lesson;
    'demo-lesson-planned': Api.Lesson;
    'demo-marks-behind': Api.MarkBehind[];
    'demo-needs': Api.RoutineNeed[];
    'demo-places': Api.PlaceWithDrawings[];
    'demo-routines': Api.RoutineCard[];
    'demo-onward': Api.CircuitAnswer;
    'demo-past': Api.PastOfWay[];
    'demo-site': Api.Site;
    'demo-site-driven': Api.Site;
    'demo-sites': Api.SiteLine[];
    'demo-sites-near': Api.SiteNear[];
    'demo-school-learners': Api.SchoolLearners;
    'demo-skill': Api.Skill;
    'demo-texts': Api.LessonText[];
    'demo-school-remedies': Api.GivenRemedy[];
    'demo-school-tests': Api.SchoolTests;
    'demo-school-texts': Api.TextSettings;
    'demo-habits': Api.Habits;
    'demo-hours': Api.LearnerHours;
    'demo-hours-asked': Api.LearnerHours;
    'demo-teaching': Api.Teaching;
    'demo-today': Api.Today;
    'demo-vehicle-kinds': Api.VehicleKind[];
    'demo-vehicles': Api.Vehicle[];
    'demo-week': Api.Week;
    'tool-approach': Api.ApproachFolded;
    'tool-clearance': Api.ClearanceAnswer;
    'tool-circuit': Api.CircuitAnswer;
    'tool-engine': Api.EngineFolded;
    'tool-gap': Api.GapFolded;
    'tool-gap-kerb': Api.GapAnswer;
    'tool-join': Api.JoinAnswer;
    'tool-lane-change': Api.LaneChangeAnswer;
    'tool-lanes': Api.LanesAnswer;
    'tool-leave': Api.LeaveAnswer;
    'tool-lights': Api.LightsAnswer;
    'tool-lights-inside': Api.LightsAnswer;
    'tool-overtake': Api.OvertakeAnswer;
    'tool-priority': Api.PriorityAnswer;
    'tool-priority-round': Api.PriorityAnswer;
    'tool-priority-unmarked': Api.PriorityAnswer;
    'tool-amber': Api.AmberFolded;
    'tool-crossing': Api.CrossingAnswer;
    'tool-crossing-swept': Api.CrossingFolded;
    'tool-following': Api.FollowingAnswer;
    'tool-following-swept': Api.FollowingFolded;
    'tool-stopping': Api.StoppingFolded;
    'tool-series': Api.SeriesAnswer;
    'tool-series-close': Api.SeriesAnswer;
    'tool-sight': Api.SightAnswer;
    'tool-sight-crest': Api.SightAnswer;
    'tool-sight-vehicle': Api.SightAnswer;
    'tool-reverse': Api.ReverseFolded;
    'tool-reverse-bay': Api.ReverseAnswer;
    'tool-reverse-bay-out': Api.ReverseAnswer;
    'tool-reverse-space': Api.ReverseAnswer;
    'tool-site': Api.SiteAnswer;
    'tool-site-car-park': Api.SiteAnswer;
    'tool-site-slip': Api.SiteAnswer;
    'tool-site-stretch': Api.SiteAnswer;
    'tool-steering': Api.SteeringAnswer;
    'tool-steering-lorry': Api.SteeringAnswer;
    'tool-swept-path': Api.SweptPathAnswer;
    'tool-swept-path-lane': Api.SweptPathAnswer;
}

const recorded = (name: string): unknown => JSON.parse(readFileSync(`tests/answers/${name}.json`, 'utf8'));

export const answer = <Name extends keyof Recorded>(name: Name): Recorded[Name] => recorded(name) as Recorded[Name];

/** What stands of marks, case by case, as the core says it. */
export const markLog = <Case,>(): Case[] => recorded('mark-log') as Case[];

/** One sweep of the core, folded and plain. */
export const sweep = recorded('sweep') as { folded: Api.ApproachFolded; plain: Api.ApproachSweep };

export interface Sent {
    method: string;
    path: string;
    body: unknown;
}

type Reply = object | number | ((sent: Sent) => object | number);

/** Stands in for the server: a status, or a body, by "METHOD path"; what is not named is answered with 204. Returns all that was sent. */
export function server(replies: Record<string, Reply>): Sent[] {
    const sent: Sent[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
        const text = await request.text();
        const path = request.url.slice(request.url.indexOf('/api/') + '/api/'.length);
        const one: Sent = { method: request.method, path, body: text === '' ? undefined : JSON.parse(text) };
        sent.push(one);
        const reply = replies[`${one.method} ${one.path}`];
        const said = typeof reply === 'function' ? (reply as (sent: Sent) => object | number)(one) : (reply ?? 204);
        const status = typeof said === 'number' ? said : 'errors' in said ? 422 : 200;
        return new Response(status === 204 ? null : JSON.stringify(typeof said === 'number' ? { message: 'refused' } : said), { status });
    });
    return sent;
}

/** What a page of the bench asks for beside its tool. */
export const besideATool = () => ({
    'GET vehicles': answer('demo-vehicles'),
    'GET vehicle-kinds': answer('demo-vehicle-kinds'),
    'GET places': answer('demo-places'),
    'GET rules': answer('demo-rules'),
});

/** What was written, without what was only read or worked out. */
export const written = (sent: Sent[]): Sent[] => sent.filter((one) => one.method !== 'GET' && !one.path.startsWith('compute/'));

/** A tool as it answers: a range as it was recorded, a single question with one of its rows, whole. */
export const tool =
    (name: Extract<keyof Recorded, `tool-${string}`>, swept = name) =>
    ({ body }: Sent): object => {
        const isSwept = (body as { sweep?: object }).sweep !== undefined;
        const said = answer(isSwept ? swept : name);
        return 'common' in said && !isSwept ? unfold<object>(said)[0]! : said;
    };

/** What a page measures itself by; here it is as wide as a tablet. */
class AsWideAsATablet implements ResizeObserver {
    constructor(private readonly told: ResizeObserverCallback) {}
    observe(target: Element): void {
        this.told([{ target, contentRect: { width: 900, height: 600 } } as ResizeObserverEntry], this);
    }
    unobserve(): void {}
    disconnect(): void {}
}

/** Draws a component as a signed-in user sees it. */
export function show(what: ReactNode, role: 'owner' | 'instructor' = 'owner', at = '/') {
    vi.stubGlobal('ResizeObserver', AsWideAsATablet);
    Element.prototype.scrollIntoView = () => undefined;
    Element.prototype.scrollTo = () => undefined;
    const session = answer('session');
    const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
    return render(
        <MemoryRouter initialEntries={[at]}>
            <QueryClientProvider client={client}>
                <SessionContext value={{ ...session, user: { ...session.user, role } }}>
                    <NoticeProvider>{what}</NoticeProvider>
                </SessionContext>
            </QueryClientProvider>
        </MemoryRouter>,
    );
}
