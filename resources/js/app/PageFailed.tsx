import { useRouteError } from 'react-router';
import { Problem } from '@/api/client';
import { Failed } from '@/ui/State';

/** What the browsers say where a script cannot be fetched. */
const NOT_FETCHED = /dynamically imported module|error loading|importing a module script/i;

/** A page that broke; or one whose script is not on this device and cannot be fetched. */
export function PageFailed() {
    const error = useRouteError();
    const fetched = !(error instanceof TypeError && NOT_FETCHED.test(error.message));
    return <Failed error={fetched ? null : new Problem(0, error.message)} retry={() => window.location.reload()} />;
}
