// Questions to the server do not pass through the worker that opens the pages: they need not wait for it, and it is idle, so that a newer one
// can take over between two pages. A browser that does not know such routes asks as before.
self.addEventListener('install', (event) => {
    event.addRoutes?.([
        { condition: { urlPattern: { pathname: '/api/*' } }, source: 'network' },
        { condition: { urlPattern: { pathname: '/up' } }, source: 'network' },
    ]);
});
