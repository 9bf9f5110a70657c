/** The areas of the product, with the key that follows g. */
export const AREAS = [
    { to: '/', label: 'Today', key: 't' },
    { to: '/learners', label: 'Learners', key: 'l' },
    { to: '/places', label: 'Places', key: 'p' },
    { to: '/routines', label: 'Routines', key: 'r' },
    { to: '/bench', label: 'Bench', key: 'b' },
    { to: '/school', label: 'School', key: 's' },
    { to: '/account', label: 'Account', key: 'a' },
];
