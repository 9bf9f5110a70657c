import { Navigate, useLocation } from 'react-router';
import type { BenchTool } from '@/bench/pages';

/** A page by the name it had before: links that were kept lead to where it is now, as it stood. */
export function Moved({ to }: { to: BenchTool }) {
    const { search } = useLocation();
    return <Navigate to={`/bench/${to}${search}`} replace />;
}
