import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import type { BenchTool } from '@/bench/pages';

/** What draws each page of the register. A page that is forgotten here does not compile. */
export const DRAWN: Record<BenchTool, LazyExoticComponent<ComponentType>> = {
    approach: lazy(() => import('./ApproachBench').then((page) => ({ default: page.ApproachBench }))),
    gap: lazy(() => import('./GapBench').then((page) => ({ default: page.GapBench }))),
    lanes: lazy(() => import('./LanesBench').then((page) => ({ default: page.LanesBench }))),
    join: lazy(() => import('./JoinBench').then((page) => ({ default: page.JoinBench }))),
    leave: lazy(() => import('./LeaveBench').then((page) => ({ default: page.LeaveBench }))),
    'lane-change': lazy(() => import('./LaneChangeBench').then((page) => ({ default: page.LaneChangeBench }))),
    overtake: lazy(() => import('./OvertakeBench').then((page) => ({ default: page.OvertakeBench }))),
    series: lazy(() => import('./SeriesBench').then((page) => ({ default: page.SeriesBench }))),
    stopping: lazy(() => import('./StoppingBench').then((page) => ({ default: page.StoppingBench }))),
    following: lazy(() => import('./FollowingBench').then((page) => ({ default: page.FollowingBench }))),
    amber: lazy(() => import('./AmberBench').then((page) => ({ default: page.AmberBench }))),
    crossing: lazy(() => import('./CrossingBench').then((page) => ({ default: page.CrossingBench }))),
    priority: lazy(() => import('./PriorityBench').then((page) => ({ default: page.PriorityBench }))),
    lights: lazy(() => import('./LightsBench').then((page) => ({ default: page.LightsBench }))),
    sight: lazy(() => import('./SightBench').then((page) => ({ default: page.SightBench }))),
    engine: lazy(() => import('./EngineBench').then((page) => ({ default: page.EngineBench }))),
    steering: lazy(() => import('./SteeringBench').then((page) => ({ default: page.SteeringBench }))),
    reverse: lazy(() => import('./ReverseBench').then((page) => ({ default: page.ReverseBench }))),
    'swept-path': lazy(() => import('./SweptPathBench').then((page) => ({ default: page.SweptPathBench }))),
    clearance: lazy(() => import('./ClearanceBench').then((page) => ({ default: page.ClearanceBench }))),
};
