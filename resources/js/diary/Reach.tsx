import { useCopy } from '@/ui/useCopy';

const number = (phone: string): string => phone.replace(/[^+\d]/g, '');

interface Props {
    name: string;
    phone: string | null;
    text: string;
    /** Who wants no texts, or sleeps, is rung. */
    mayText?: boolean;
}

/** Ways to tell somebody: a text that opens on this device ready to be sent, a call, the words to be pasted elsewhere. Nothing is sent from here. */
export function Reach({ name, phone, text, mayText = true }: Props) {
    const copy = useCopy();
    return (
        <div className="flex flex-wrap gap-2">
            {phone && mayText && (
                <a className="key" href={`sms:${number(phone)}?body=${encodeURIComponent(text)}`}>
                    Text {name.split(' ')[0]}
                </a>
            )}
            {phone && (
                <a className="key" href={`tel:${number(phone)}`}>
                    Ring
                </a>
            )}
            <button type="button" className="key" onClick={() => copy(text, 'Copied.')}>
                Copy
            </button>
        </div>
    );
}
