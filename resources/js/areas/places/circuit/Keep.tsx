import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, at } from '@/api/client';
import { questions } from '@/api/questions';
import type { KeptCircuit } from '@/api/types';
import type { Planned } from '@/site/circuit';
import { Check } from '@/ui/Check';
import { Field } from '@/ui/Field';
import { FormFoot } from '@/ui/FormFoot';
import { useNotice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { useForm } from '@/ui/useForm';

interface Props {
    plan: Planned;
    /** As it was opened; null for a new one. */
    kept: KeptCircuit | null;
    onKept: (id: string) => void;
    onClose: () => void;
}

/** A circuit is kept under a name, for oneself or for the school; a colleague’s is kept as one’s own. */
export function Keep({ plan, kept, onKept, onClose }: Props) {
    const client = useQueryClient();
    const notice = useNotice();
    const go = useNavigate();
    const centres = useQuery(questions.centres());
    const { values, set, errors, message, busy, submit } = useForm({
        name: kept?.name ?? '',
        note: kept?.note ?? '',
        shared: kept?.shared ?? false,
        rehearsal: kept?.rehearsal ?? false,
        centre_id: kept?.centre_id ?? (plan.start.kind === 'centre' ? plan.start.id : null),
    });
    const again = () => client.invalidateQueries({ queryKey: ['circuits'] });
    const body = () => ({ ...values, note: values.note || null, minutes: plan.minutes, order: plan.order, ways: [...plan.taken] });
    const keep = (change: boolean) =>
        submit(async () => {
            const done =
                change && kept
                    ? await api.PUT('/circuits/{circuit}', { ...at({ circuit: kept.id }), body: body() })
                    : await api.POST('/circuits', { body: body() });
            await again();
            onKept(done.id);
            onClose();
            notice({ text: `${done.name} is kept${done.shared ? ', for everybody in the school' : ''}.` });
        });
    const putAway = async ({ id, name }: KeptCircuit) => {
        await api.DELETE('/circuits/{circuit}', at({ circuit: id }));
        await again();
        void go('/places/circuits');
        notice({ text: `${name} is archived.`, undo: () => void api.POST('/circuits/{circuit}/restore', at({ circuit: id })).then(again) });
    };
    const isChange = kept?.may_change ?? false;
    return (
        <Sheet
            title={isChange ? 'Keep the circuit' : 'Keep it as your own'}
            about="Its ways, rounds, order and minutes. Where it starts is said each time, unless it is a route of a test centre."
            open
            onOpenChange={onClose}
        >
            <form
                className="grid gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    void keep(isChange);
                }}
            >
                <Field label="Name" errors={errors.name}>
                    <input required maxLength={120} value={values.name} onChange={(event) => set('name', event.target.value)} />
                </Field>
                <Field label="Note" hint="For whom, or when." errors={errors.note}>
                    <textarea rows={3} maxLength={500} value={values.note} onChange={(event) => set('note', event.target.value)} />
                </Field>
                {(centres.data?.length ?? 0) > 0 && (
                    <Field label="A route of" errors={errors.centre_id}>
                        <select value={values.centre_id ?? ''} onChange={(event) => set('centre_id', event.target.value || null)}>
                            <option value="">no test centre</option>
                            {centres.data!.map(({ id, name }) => (
                                <option key={id} value={id}>
                                    {name}
                                </option>
                            ))}
                        </select>
                    </Field>
                )}
                <Check label="Rehearsal of an assessment" checked={values.rehearsal} onChange={(checked) => set('rehearsal', checked)} />
                <Check label="Share it with everybody in the school" checked={values.shared} onChange={(checked) => set('shared', checked)} />
                <FormFoot
                    message={message ?? (errors.ways ?? []).join(' ')}
                    busy={busy}
                    beside={
                        isChange && (
                            <>
                                <button type="button" className="key" disabled={busy} onClick={() => void keep(false)}>
                                    Keep as another
                                </button>
                                <button type="button" className="key" data-tone="bare" onClick={() => void putAway(kept!)}>
                                    Archive
                                </button>
                            </>
                        )
                    }
                >
                    Keep
                </FormFoot>
            </form>
        </Sheet>
    );
}
