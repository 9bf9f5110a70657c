import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { NavLink, Outlet, useLocation } from 'react-router';
import { AREAS } from '@/keys/areas';
import { arrive, useSignpostKey } from '@/keys/keys';
import { pageKeeper } from '@/copies/worker';
import { useFlushing } from '@/device/delivery';
import { marksQueue } from '@/queue/marks';
import { DeviceLine } from './DeviceLine';
import { usePacking } from './usePacking';
import { Signpost } from './Signpost';
import { useTitle } from '@/ui/useTitle';
import { useSession } from '@/session/session';

const isDriving = (path: string): boolean => /^\/lessons\/[^/]+\/drive$/.test(path);

/** The frame around every page: areas on the left, on a phone at the foot; what still waits to be sent is said. */
export function Shell() {
    const client = useQueryClient();
    const session = useSession();
    const [asked, setAsked] = useState(false);
    // What was sent is known here already: an open lesson is not fetched again for it, only known to have changed. What the server makes
    // of the marks is fetched when a page that shows it is open or opened.
    const sent = useCallback(
        () =>
            Promise.all([
                client.invalidateQueries({ queryKey: ['lesson'], refetchType: isDriving(window.location.pathname) ? 'none' : 'active' }),
                client.invalidateQueries({ queryKey: ['learner'] }),
            ]),
        [client],
    );
    useFlushing(session.user.id, sent);
    usePacking(session);
    const { pathname, key: page } = useLocation();
    useEffect(() => {
        window.scrollTo(0, 0);
        // Never under a lesson that is being marked, nor while something would be lost with the page.
        if (!isDriving(pathname) && !marksQueue.state().unsafe) void pageKeeper.between();
    }, [pathname]);
    useEffect(arrive, [page]);
    useTitle();
    useSignpostKey(() => setAsked(true));

    return (
        <div className="lg:grid lg:min-h-dvh lg:grid-cols-[7.5rem_1fr]">
            <a href="#page" className="key sr-only focus:not-sr-only focus:fixed focus:top-2 focus:left-2 focus:z-50">
                Skip to the page
            </a>
            <nav
                aria-label="Areas"
                className="screen-only border-hair bg-paper fixed inset-x-0 bottom-0 z-30 flex border-t-2 lg:sticky lg:inset-auto lg:top-0 lg:h-dvh lg:flex-col lg:gap-1 lg:border-t-0 lg:border-r-2 lg:py-4"
            >
                {AREAS.map((area) => (
                    <NavLink
                        key={area.to}
                        to={area.to}
                        end={area.to === '/'}
                        className={`${['/account', '/routines'].includes(area.to) ? 'max-lg:hidden' : area.to === '/' ? '' : 'huge:hidden'} text-quiet aria-[current=page]:text-ink aria-[current=page]:border-now relative flex min-h-14 min-w-0 flex-1 items-center justify-center border-t-4 border-transparent px-1 text-center text-[0.8rem] font-semibold lg:flex-none lg:justify-start lg:border-t-0 lg:border-l-4 lg:px-4 lg:text-base`}
                    >
                        {area.label}
                    </NavLink>
                ))}
                {/* On a phone the signpost knows the way to the account and the routines; where text is as large as half a line, to all but Today. */}
                <button
                    type="button"
                    className="text-quiet flex min-h-14 min-w-0 flex-1 items-center justify-center border-t-4 border-transparent px-1 text-center text-[0.8rem] leading-tight font-semibold lg:hidden"
                    onClick={() => setAsked(true)}
                >
                    Where to?
                </button>
                <div className="hidden lg:mt-auto lg:grid lg:gap-2 lg:px-3">
                    <DeviceLine quiet className="px-2 py-1 text-sm leading-tight" />
                    <button type="button" className="key !px-2 text-sm" onClick={() => setAsked(true)}>
                        Where to?
                    </button>
                </div>
            </nav>
            <main id="page" tabIndex={-1} className="mx-auto w-full max-w-[88rem] min-w-0 px-4 pt-4 pb-28 outline-none sm:px-6 lg:pb-10">
                <DeviceLine slim={isDriving(pathname)} className={isDriving(pathname) ? 'lg:hidden' : 'mb-3 px-4 py-2 lg:hidden'} />
                <Outlet />
            </main>
            <Signpost open={asked} onOpenChange={setAsked} />
        </div>
    );
}
