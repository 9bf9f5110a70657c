import { useQueryClient } from '@tanstack/react-query';
import { api } from '@/api/client';
import type { Session } from '@/api/types';
import { useSession } from '@/session/session';
import { Check } from '@/ui/Check';
import { useNotice } from '@/ui/Notice';

/** Whether instructors may open each other's lessons: the school's own choice. */
export function Reading() {
    const { school } = useSession();
    const client = useQueryClient();
    const notice = useNotice();
    const choose = async (colleagues_read: boolean) => {
        await api.PUT('/school/reading', { body: { colleagues_read } });
        client.setQueryData<Session>(['session'], (session) =>
            session && session.user !== null ? { ...session, school: { ...session.school, colleagues_read } } : session,
        );
        notice({
            text: colleagues_read ? 'Instructors may open each other’s lessons.' : 'A lesson is now read only by whoever gives it, and by owners.',
            undo: () => void choose(!colleagues_read),
        });
    };
    return (
        <Check
            label="Instructors may open each other’s lessons, to read them. Only whoever gives a lesson, or an owner, writes in it."
            checked={school.colleagues_read}
            onChange={(on) => void choose(on)}
        />
    );
}
