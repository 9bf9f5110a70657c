import { api, at } from '@/api/client';
import type { Person } from '@/api/types';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useForm } from '@/ui/useForm';

/** Somebody to be invited, or who is here and is called otherwise. */
export function PersonForm({ person, onKept }: { person?: Person; onKept: (person: Person) => Promise<void> }) {
    const form = useForm({ name: person?.name ?? '', email: person?.email ?? '', role: person?.role ?? 'instructor' });
    const keep = () =>
        form.submit(async () =>
            onKept(
                person
                    ? await api.PUT('/people/{person}', { ...at({ person: person.id }), body: form.values })
                    : await api.POST('/people', { body: form.values }),
            ),
        );
    return (
        <form
            className="grid gap-4"
            onSubmit={(event) => {
                event.preventDefault();
                void keep();
            }}
        >
            <Field label="Name" errors={form.errors.name}>
                <input required maxLength={120} autoFocus value={form.values.name} onChange={(event) => form.set('name', event.target.value)} />
            </Field>
            <Field
                label="Email"
                errors={form.errors.email}
                hint={person?.state === 'invited' ? 'If you change it, invite them again: the old letter stops working.' : undefined}
            >
                <input type="email" required maxLength={190} value={form.values.email} onChange={(event) => form.set('email', event.target.value)} />
            </Field>
            <Field
                label="Role"
                errors={form.errors.role}
                hint="An owner sees this page, every colleague’s lessons, and can erase learners. An instructor teaches and marks."
            >
                <select value={form.values.role} onChange={(event) => form.set('role', event.target.value as Person['role'])}>
                    <option value="instructor">Instructor</option>
                    <option value="owner">Owner</option>
                </select>
            </Field>
            <FormFoot message={form.message} busy={form.busy}>
                {person ? 'Save' : 'Write the invitation'}
            </FormFoot>
        </form>
    );
}
