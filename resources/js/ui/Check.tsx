/** A box to tick with its words beside it, large enough for a thumb. */
export function Check({ label, checked, onChange }: { label: string; checked: boolean; onChange: (checked: boolean) => void }) {
    return (
        <label className="flex min-h-12 items-center gap-3">
            <input type="checkbox" className="size-6" checked={checked} onChange={(event) => onChange(event.target.checked)} />
            {label}
        </label>
    );
}
