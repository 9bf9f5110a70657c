import { api, at } from '@/api/client';
import type { Archive } from '@/api/types';

/** Brings back what was archived, list by list. */
export const restore: Record<keyof Archive, (id: string) => Promise<unknown>> = {
    learners: (learner) => api.POST('/learners/{learner}/restore', at({ learner })),
    places: (place) => api.POST('/places/{place}/restore', at({ place })),
    sites: (site) => api.POST('/sites/{site}/restore', at({ site })),
    circuits: (circuit) => api.POST('/circuits/{circuit}/restore', at({ circuit })),
    centres: (centre) => api.POST('/centres/{centre}/restore', at({ centre })),
    vehicles: (vehicle) => api.POST('/vehicles/{vehicle}/restore', at({ vehicle })),
};
