interface Props {
    label: string;
    /** As the input takes it: names of kinds of files. */
    accept: string;
    tone?: 'bare';
    onFile: (file: File) => void;
}

/** A key that opens a file; the same one can be opened twice. */
export const FileKey = ({ label, accept, tone, onFile }: Props) => (
    <label className="key cursor-pointer justify-self-start focus-within:outline-2" data-tone={tone}>
        {label}
        <input
            type="file"
            accept={accept}
            className="sr-only"
            onChange={(event) => {
                const file = event.target.files?.[0];
                if (file) onFile(file);
                event.target.value = '';
            }}
        />
    </label>
);
