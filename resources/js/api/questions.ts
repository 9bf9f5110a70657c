import type { QueryKey } from '@tanstack/react-query';
import { api, at } from './client';
import { compute, sweep, type Asked, type Sweep, type Tool } from './tools';
import type { FitAsked, FreeAsked, KeptCircuit, Pack, Practice, RepeatAsked } from './types';

type WayOfSite = Pick<KeptCircuit['ways'][number], 'site' | 'from' | 'to' | 'routine'>;

/** Something to be asked, whatever it is. */
export type Question = { queryKey: QueryKey; queryFn: () => Promise<unknown>; staleTime?: number };

/**
 * What pages ask of the server, each under one name: what is fetched ahead for a day without signal is then found by the page that
 * needs it, and what one page has read another does not read again.
 */
export const questions = {
    /** A day of who is signed in, `2026-05-20`. */
    today: (day: string) => ({ queryKey: ['today', day], queryFn: () => api.GET('/today', { params: { query: { day } } }) }),
    /** Seven days of somebody's diary from a day on; the own where nobody is named. */
    week: (query: { from: string; person?: string }) => ({ queryKey: ['week', query], queryFn: () => api.GET('/week', { params: { query } }) }),
    /** What a time would mean for a lesson, before it is written. */
    fit: (query: FitAsked) => ({ queryKey: ['fit', query], queryFn: () => api.GET('/fit', { params: { query } }) }),
    /** Who would like an hour that comes free. */
    waiting: () => ({ queryKey: ['waiting'], queryFn: () => api.GET('/waiting') }),
    /** To whom of them the hour of a lesson that is off is offered. */
    offers: (lesson: string) => ({ queryKey: ['offers', lesson], queryFn: () => api.GET('/lessons/{lesson}/offers', at({ lesson })), staleTime: 0 }),
    /** What becomes of the rest of the day where it runs late by so many minutes. */
    late: (minutes: number) => ({ queryKey: ['late', minutes], queryFn: () => api.GET('/late', { params: { query: { minutes } } }), staleTime: 0 }),
    /** What it would mean to have a lesson again week after week. */
    series: (query: RepeatAsked) => ({ queryKey: ['series', query], queryFn: () => api.GET('/series', { params: { query } }) }),
    /** Times that are free for a lesson. */
    free: (query: FreeAsked) => ({ queryKey: ['free', query], queryFn: () => api.GET('/free', { params: { query } }) }),
    lesson: (lesson: string) => ({ queryKey: ['lesson', lesson], queryFn: () => api.GET('/lessons/{lesson}', at({ lesson })) }),
    changed: (lesson: string) => ({ queryKey: ['lesson', lesson, 'changed'], queryFn: () => api.GET('/lessons/{lesson}/changed', at({ lesson })) }),
    /** What a lesson could be for, with ways and routines that are to be in it and such as are not. */
    proposal: (lesson: string, { pinned, excluded }: { pinned: string[]; excluded: string[] }) => ({
        queryKey: ['lesson', lesson, 'proposal', pinned.join(), excluded.join()],
        queryFn: () =>
            api.GET('/lessons/{lesson}/proposal', {
                params: {
                    path: { lesson },
                    query: { ...(pinned.length > 0 ? { pinned: pinned.join() } : {}), ...(excluded.length > 0 ? { excluded: excluded.join() } : {}) },
                },
            }),
    }),
    texts: () => ({ queryKey: ['texts'], queryFn: () => api.GET('/texts') }),
    schoolTexts: () => ({ queryKey: ['school', 'texts'], queryFn: () => api.GET('/school/texts') }),
    learners: () => ({ queryKey: ['learners'], queryFn: () => api.GET('/learners') }),
    learner: (learner: string) => ({ queryKey: ['learner', learner], queryFn: () => api.GET('/learners/{learner}', at({ learner })) }),
    skill: (learner: string) => ({ queryKey: ['learner', learner, 'skill'], queryFn: () => api.GET('/learners/{learner}/skill', at({ learner })) }),
    foretelling: (learner: string) => ({
        queryKey: ['learner', learner, 'foretelling'],
        queryFn: () => api.GET('/learners/{learner}/foretelling', at({ learner })),
    }),
    habits: (learner: string) => ({ queryKey: ['learner', learner, 'habits'], queryFn: () => api.GET('/learners/{learner}/habits', at({ learner })) }),
    hours: (learner: string) => ({ queryKey: ['learner', learner, 'hours'], queryFn: () => api.GET('/learners/{learner}/hours', at({ learner })) }),
    ready: (learner: string) => ({ queryKey: ['learner', learner, 'ready'], queryFn: () => api.GET('/learners/{learner}/ready', at({ learner })) }),
    assessments: (learner: string) => ({
        queryKey: ['learner', learner, 'assessments'],
        queryFn: () => api.GET('/learners/{learner}/assessments', at({ learner })),
    }),
    needs: (learner: string) => ({ queryKey: ['learners', learner, 'needs'], queryFn: () => api.GET('/learners/{learner}/needs', at({ learner })) }),
    sites: () => ({ queryKey: ['sites'], queryFn: () => api.GET('/sites') }),
    pictures: (site: string) => ({ queryKey: ['pictures', 'of', site], queryFn: () => api.GET('/sites/{site}/pictures', at({ site })) }),
    picture: (picture: string) => ({
        queryKey: ['pictures', picture],
        queryFn: () => api.GET('/pictures/{picture}', at({ picture })),
        staleTime: Infinity,
    }),
    /** How far one drives to each site from a position. */
    sitesNear: (query: { latitude_deg: number; longitude_deg: number }) => ({
        queryKey: ['sites', 'near', query],
        queryFn: () => api.GET('/sites/near', { params: { query } }),
    }),
    circuits: () => ({ queryKey: ['circuits'], queryFn: () => api.GET('/circuits') }),
    centres: () => ({ queryKey: ['centres'], queryFn: () => api.GET('/centres') }),
    /** Drives between sites that somebody measured. */
    legs: () => ({ queryKey: ['legs'], queryFn: () => api.GET('/legs') }),
    /** What ways of sites are planned with, in their order. */
    plansOfWays: (ways: readonly WayOfSite[]) => ({
        queryKey: ['sites', 'plans', ways],
        queryFn: () => api.POST('/circuits/plans', { body: { ways: ways.map(({ site, from, to, routine }) => ({ site, from, to, routine })) } }),
    }),
    /** What was given against which fault, and whether it has helped. */
    schoolRemedies: () => ({ queryKey: ['school', 'remedies'], queryFn: () => api.GET('/school/remedies') }),
    /** Real tests of the school: what was expected of them, and what they were failed by. */
    schoolTests: () => ({ queryKey: ['school', 'tests'], queryFn: () => api.GET('/school/tests') }),
    /** What went wrong on its ways, and what was timed there. */
    past: (site: string) => ({ queryKey: ['sites', site, 'past'], queryFn: () => api.GET('/sites/{site}/past', at({ site })) }),
    site: (site: string) => ({ queryKey: ['sites', site], queryFn: () => api.GET('/sites/{site}', at({ site })) }),
    places: () => ({ queryKey: ['places'], queryFn: () => api.GET('/places') }),
    cars: () => ({ queryKey: ['vehicles'], queryFn: () => api.GET('/vehicles') }),
    vehicleKinds: () => ({ queryKey: ['vehicle-kinds'], queryFn: () => api.GET('/vehicle-kinds'), staleTime: Infinity }),
    rulesOnOffer: () => ({ queryKey: ['rules'], queryFn: () => api.GET('/rules'), staleTime: Infinity }),
    /** Every card of the catalogue in the words of a pack, taught as its reader teaches. */
    cards: (pack: Pack, practice: Practice) => ({
        queryKey: ['routines', pack, practice],
        queryFn: () => api.GET('/routines', { params: { query: { pack } } }),
        staleTime: Infinity,
    }),
    /** One answer of the core. */
    tool: <T extends Tool>(tool: T, inputs: Asked<T>) => ({ queryKey: ['compute', tool, inputs], queryFn: () => compute(tool, inputs), staleTime: Infinity }),
    /** Its answers over a whole range of one field. */
    range: <T extends Tool>(tool: T, inputs: Asked<T>, over: Sweep<T>) => ({
        queryKey: ['sweep', tool, inputs, over],
        queryFn: () => sweep(tool, inputs, over),
        staleTime: Infinity,
    }),
};
