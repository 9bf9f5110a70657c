import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { belongTo } from '@/api/client';
import { FirstRun } from '@/areas/account/FirstRun';
import { SignIn } from '@/areas/account/SignIn';
import { WayIn, wayInOf } from '@/areas/account/WayIn';
import { Moved } from '@/areas/bench/Moved';
import { DRAWN } from '@/areas/bench/pages';
import { TodayPage } from '@/areas/today/TodayPage';
import { CALLED_BEFORE, type BenchTool } from '@/bench/pages';
import { Failed, Waiting } from '@/ui/State';
import { NotFound } from './NotFound';
import { PageFailed } from './PageFailed';
import { SessionContext } from '@/session/session';
import { whoIsIn } from '@/device/signOut';
import { Shell } from './Shell';

// Today comes with the first load; every other area is fetched when it is gone to.
const LessonPage = lazy(() => import('@/areas/lesson/LessonPage').then((area) => ({ default: area.LessonPage })));
const KerbPage = lazy(() => import('@/areas/lesson/kerb/KerbPage').then((area) => ({ default: area.KerbPage })));
const SeatPage = lazy(() => import('@/areas/lesson/seat/SeatPage').then((area) => ({ default: area.SeatPage })));
const SheetPage = lazy(() => import('@/areas/lesson/sheet/SheetPage').then((area) => ({ default: area.SheetPage })));
const WeekPage = lazy(() => import('@/areas/week/WeekPage').then((area) => ({ default: area.WeekPage })));
const LearnersPage = lazy(() => import('@/areas/learners/LearnersPage').then((area) => ({ default: area.LearnersPage })));
const LearnerPage = lazy(() => import('@/areas/learners/LearnerPage').then((area) => ({ default: area.LearnerPage })));
const DataPage = lazy(() => import('@/areas/learners/DataPage').then((area) => ({ default: area.DataPage })));
const TestPage = lazy(() => import('@/areas/learners/test/TestPage').then((area) => ({ default: area.TestPage })));
const HoursPage = lazy(() => import('@/areas/learners/hours/HoursPage').then((area) => ({ default: area.HoursPage })));
const InWordsPage = lazy(() => import('@/areas/learners/InWordsPage').then((area) => ({ default: area.InWordsPage })));
const SchoolPage = lazy(() => import('@/areas/school/SchoolPage').then((area) => ({ default: area.SchoolPage })));
const PeoplePage = lazy(() => import('@/areas/people/PeoplePage').then((area) => ({ default: area.PeoplePage })));
const PlacesPage = lazy(() => import('@/areas/places/PlacesPage').then((area) => ({ default: area.PlacesPage })));
const CircuitPage = lazy(() => import('@/areas/places/circuit/CircuitPage').then((area) => ({ default: area.CircuitPage })));
const CircuitSheetPage = lazy(() => import('@/areas/places/circuit/CircuitSheetPage').then((area) => ({ default: area.CircuitSheetPage })));
const CircuitsPage = lazy(() => import('@/areas/places/circuits/CircuitsPage').then((area) => ({ default: area.CircuitsPage })));
const CentrePage = lazy(() => import('@/areas/places/centre/CentrePage').then((area) => ({ default: area.CentrePage })));
const SitePage = lazy(() => import('@/areas/places/SitePage').then((area) => ({ default: area.SitePage })));
const RoutinesPage = lazy(() => import('@/areas/routines/RoutinesPage').then((area) => ({ default: area.RoutinesPage })));
const UnsentPage = lazy(() => import('@/areas/unsent/UnsentPage').then((area) => ({ default: area.UnsentPage })));
const RulesPage = lazy(() => import('@/areas/account/RulesPage').then((area) => ({ default: area.RulesPage })));
const AccountPage = lazy(() => import('@/areas/account/AccountPage').then((area) => ({ default: area.AccountPage })));

const page = (Page: React.ComponentType) => (
    <Suspense fallback={<Waiting />}>
        <Page />
    </Suspense>
);

const router = createBrowserRouter([
    // The kerb has the whole screen: no areas beside it.
    { path: 'lessons/:id/kerb', element: page(KerbPage), errorElement: <PageFailed /> },
    {
        element: <Shell />,
        children: [
            { index: true, element: <TodayPage />, errorElement: <PageFailed /> },
            { path: 'lessons/:id/sheet', element: page(SheetPage) },
            { path: 'lessons/:id/seat', element: page(SeatPage) },
            { path: 'lessons/:id/:face', element: page(LessonPage) },
            { path: 'week', element: page(WeekPage) },
            { path: 'learners', element: page(LearnersPage) },
            { path: 'learners/:id', element: page(LearnerPage) },
            { path: 'learners/:id/words', element: page(InWordsPage) },
            { path: 'learners/:id/hours', element: page(HoursPage) },
            { path: 'learners/:id/test', element: page(TestPage) },
            { path: 'learners/:id/data', element: page(DataPage) },
            { path: 'school/people', element: page(PeoplePage) },
            { path: 'school', element: page(SchoolPage) },
            { path: 'places', element: page(PlacesPage) },
            { path: 'places/circuit', element: page(CircuitPage) },
            { path: 'places/circuit/sheet', element: page(CircuitSheetPage) },
            { path: 'places/circuits', element: page(CircuitsPage) },
            { path: 'places/centres/:id', element: page(CentrePage) },
            { path: 'places/sites/:id', element: page(SitePage) },
            { path: 'routines', element: page(RoutinesPage) },
            { path: 'routines/:code', element: page(RoutinesPage) },
            { path: 'bench', element: <Navigate to="/bench/approach" replace /> },
            ...(Object.keys(DRAWN) as BenchTool[]).map((tool) => ({ path: `bench/${tool}`, element: page(DRAWN[tool]) })),
            ...Object.entries(CALLED_BEFORE).map(([before, tool]) => ({ path: `bench/${before}`, element: <Moved to={tool} /> })),
            { path: 'unsent', element: page(UnsentPage) },
            { path: 'account', element: page(AccountPage) },
            { path: 'account/rules', element: page(RulesPage) },
            { path: '*', element: <NotFound /> },
        ].map((route) => ({ errorElement: <PageFailed />, ...route })),
    },
]);

export function App() {
    const session = useQuery({ queryKey: ['session'], queryFn: whoIsIn, staleTime: Infinity, refetchOnWindowFocus: false });
    belongTo(session.data?.user?.id ?? '');
    const wayIn = wayInOf(window.location);
    if (session.isLoading) return <Waiting />;
    if (session.error) {
        return (
            <main className="px-6">
                <Failed error={session.error} retry={() => void session.refetch()} />
            </main>
        );
    }
    if (wayIn) return <WayIn {...wayIn} />;
    if (!session.data || session.data.user === null) return session.data?.first_run ? <FirstRun packs={session.data.packs} /> : <SignIn />;
    return (
        <SessionContext value={session.data}>
            <RouterProvider router={router} />
        </SessionContext>
    );
}
