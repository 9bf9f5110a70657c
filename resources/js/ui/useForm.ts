import { useState } from 'react';
import { Problem } from '@/api/client';

/** What was typed, and what the server said to it, field by field; nothing typed is lost by a refusal. */
export function useForm<T extends object>(initial: T) {
    const [values, setValues] = useState(initial);
    const [errors, setErrors] = useState<Record<string, string[]>>({});
    const [message, setMessage] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const set = <K extends keyof T>(field: K, value: T[K]) => setValues((before) => ({ ...before, [field]: value }));
    const submit = async (work: () => Promise<unknown>) => {
        setBusy(true);
        setErrors({});
        setMessage(null);
        try {
            await work();
            return true;
        } catch (error) {
            if (!(error instanceof Problem)) throw error;
            setErrors(error.errors);
            setMessage(Object.keys(error.errors).length > 0 ? null : error.message);
            return false;
        } finally {
            setBusy(false);
        }
    };
    return { values, setValues, set, errors, message, busy, submit };
}
