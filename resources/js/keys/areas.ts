/** The areas of the product, in the order of their numbers on the signpost. */
export const AREAS = [
    { to: '/', label: 'Today' },
    { to: '/week', label: 'Week' },
    { to: '/learners', label: 'Learners' },
    { to: '/places', label: 'Places' },
    { to: '/routines', label: 'Routines' },
    { to: '/bench', label: 'Bench' },
    { to: '/school', label: 'School' },
    { to: '/account', label: 'Account' },
];
