import { Dialog } from 'radix-ui';
import { useRef, type ReactNode } from 'react';

interface Props {
    title: string;
    about?: string;
    open: boolean;
    onOpenChange: (open: boolean) => void;
    children: ReactNode;
}

/** A screen that is touched: a field with the focus covers half of it with keys. */
const isWorkedByFinger = (): boolean => window.matchMedia('(pointer: coarse)').matches;

/** A dialog that comes in from the right on a tablet and fills a phone. Whatever had the focus before has it again after. */
export function Sheet({ title, about, open, onOpenChange, children }: Props) {
    const before = useRef<Element | null>(null);
    const content = useRef<HTMLDivElement>(null);
    return (
        <Dialog.Root open={open} onOpenChange={onOpenChange}>
            <Dialog.Portal>
                <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
                <Dialog.Content
                    ref={content}
                    className="bg-paper fixed inset-y-0 right-0 z-50 flex w-full max-w-xl flex-col gap-4 overflow-y-auto p-6 shadow-2xl"
                    onOpenAutoFocus={(event) => {
                        before.current = document.activeElement;
                        // What is to be filled in comes first; where nothing is, or a finger would only call up a keyboard over it, the way out.
                        if (isWorkedByFinger()) return;
                        const field = content.current?.querySelector<HTMLElement>('input:not([type=checkbox], [type=radio]), select, textarea');
                        if (!field) return;
                        event.preventDefault();
                        field.focus();
                    }}
                    onCloseAutoFocus={(event) => {
                        event.preventDefault();
                        if (before.current instanceof HTMLElement) before.current.focus();
                    }}
                    {...(about ? {} : { 'aria-describedby': undefined })}
                >
                    <div className="flex items-start justify-between gap-4">
                        <div>
                            <Dialog.Title className="text-2xl">{title}</Dialog.Title>
                            {about && <Dialog.Description className="text-quiet">{about}</Dialog.Description>}
                        </div>
                        <Dialog.Close className="key" aria-label="Close">
                            ✕
                        </Dialog.Close>
                    </div>
                    {children}
                </Dialog.Content>
            </Dialog.Portal>
        </Dialog.Root>
    );
}
