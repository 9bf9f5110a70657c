import { useQueryClient } from '@tanstack/react-query';
import { api } from '@/api/client';
import type { Session } from '@/api/types';
import { useSession } from '@/session/session';
import { Position, type Where } from '@/site/Position';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { useForm } from '@/ui/useForm';

/** Where the school lies: shown on the map of the sites, and what is near is near it. */
export function WhereItLies() {
    const { school } = useSession();
    const client = useQueryClient();
    const notice = useNotice();
    const was: Where = { latitude_deg: school.latitude_deg, longitude_deg: school.longitude_deg };
    const form = useForm(was);
    const put = async (where: Where) => {
        await api.PUT('/school/position', { body: where });
        client.setQueryData<Session>(['session'], (session) =>
            session && session.user !== null ? { ...session, school: { ...session.school, ...where } } : session,
        );
    };
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void form.submit(async () => {
                    await put(form.values);
                    notice({
                        text: form.values.latitude_deg === null ? 'The school is off the map.' : 'The school is on the map.',
                        undo: () => {
                            form.setValues(was);
                            void put(was);
                        },
                    });
                });
            }}
        >
            <p>It stands on the map of the sites, and places can be looked for near it. Nothing of it leaves the installation.</p>
            <Position
                where={form.values}
                errors={{ latitude: form.errors.latitude_deg ?? [], longitude: form.errors.longitude_deg ?? [] }}
                here="I am at the school now"
                onChange={form.setValues}
            />
            <FormFoot message={form.message} busy={form.busy}>
                Keep
            </FormFoot>
        </form>
    );
}
