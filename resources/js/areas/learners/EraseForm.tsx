import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, at } from '@/api/client';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { useForm } from '@/ui/useForm';

/** The end of a learner's record. It cannot be undone, so the name is typed once more. */
export function EraseForm({ id, name }: { id: string; name: string }) {
    const client = useQueryClient();
    const navigate = useNavigate();
    const notice = useNotice();
    const form = useForm({ name: '' });
    const erase = () =>
        form.submit(async () => {
            await api.POST('/learners/{learner}/erasure', { ...at({ learner: id }), body: form.values });
            await navigate('/learners');
            client.removeQueries({ queryKey: ['learner', id] });
            await client.invalidateQueries();
            notice({ text: 'The learner is erased. What was driven is kept without a name.' });
        });
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void erase();
            }}
        >
            <p>
                Name, contact, guardian and everything anybody wrote by hand about {name} are taken away, for good. Lessons still ahead are cancelled. The marks
                stay without a name, because the school’s own picture rests on them.
            </p>
            <p className="font-semibold">This cannot be undone. Back-ups made before still hold the learner until they are deleted.</p>
            <Field label={`Type the name: ${name}`} errors={form.errors.name}>
                <input required autoComplete="off" value={form.values.name} onChange={(event) => form.set('name', event.target.value)} />
            </Field>
            <FormFoot message={form.message} busy={form.busy || form.values.name.trim() !== name.trim()}>
                Erase {name}
            </FormFoot>
        </form>
    );
}
