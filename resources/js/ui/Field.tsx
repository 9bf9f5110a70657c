import { cloneElement, useId, type ReactElement } from 'react';

interface Props {
    label: string;
    hint?: string;
    errors?: string[];
    children: ReactElement<{ id?: string; 'aria-describedby'?: string; 'aria-invalid'?: boolean; className?: string }>;
}

/** A labelled entry with its hint and the server's sentences under it. */
export function Field({ label, hint, errors, children }: Props) {
    const id = useId();
    const bad = (errors?.length ?? 0) > 0;
    return (
        <div className="grid content-start gap-1">
            <label htmlFor={id} className="font-semibold">
                {label}
            </label>
            {cloneElement(children, {
                id,
                'aria-describedby': hint || bad ? `${id}-said` : undefined,
                'aria-invalid': bad || undefined,
                className: `entry ${children.props.className ?? ''}`,
            })}
            {(hint || bad) && (
                <p id={`${id}-said`} className={bad ? 'font-semibold' : 'text-quiet text-sm'} role={bad ? 'alert' : undefined}>
                    {bad ? `▸ ${errors!.join(' ')}` : hint}
                </p>
            )}
        </div>
    );
}
