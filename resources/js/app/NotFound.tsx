import { Problem } from '@/api/client';
import { Failed } from '@/ui/State';

export function NotFound() {
    return <Failed error={new Problem(404, '')} />;
}
