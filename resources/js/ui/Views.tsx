import { useSearchParams } from 'react-router';

/** Which of a page's views its address shows; the first where it names none. */
export function useView<T extends string>(views: Partial<Record<T, string>>): [T, (view: T) => void] {
    const [address, setAddress] = useSearchParams();
    const names = Object.keys(views) as T[];
    const view = names.find((name) => name === address.get('show')) ?? names[0]!;
    return [view, (next) => setAddress({ show: next }, { replace: true })];
}

/** The keys that choose between them. */
export function Views<T extends string>({ views, view, onView }: { views: Partial<Record<T, string>>; view: T; onView: (view: T) => void }) {
    return (
        <div className="flex flex-wrap gap-1" role="group" aria-label="What to show">
            {(Object.keys(views) as T[]).map((name) => (
                <button key={name} type="button" className="key" aria-pressed={view === name} onClick={() => onView(name)}>
                    {views[name]}
                </button>
            ))}
        </div>
    );
}
