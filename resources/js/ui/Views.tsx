import { useSearchParams } from 'react-router';
import { Options } from './Options';

/** Which of a page's views its address shows; the first where it names none. */
export function useView<T extends string>(views: Partial<Record<T, string>>): [T, (view: T) => void] {
    const [address, setAddress] = useSearchParams();
    const names = Object.keys(views) as T[];
    const view = names.find((name) => name === address.get('show')) ?? names[0]!;
    return [view, (next) => setAddress({ show: next }, { replace: true })];
}

/** More of them than so many stand in several rows on a phone: there they are a list. */
const IN_A_ROW = 3;

/** What chooses between them: keys, and on a phone, where they are many, a list. */
export function Views<T extends string>({ views, view, onView }: { views: Partial<Record<T, string>>; view: T; onView: (view: T) => void }) {
    const names = Object.keys(views) as T[];
    const isList = names.length > IN_A_ROW;
    return (
        <>
            {isList && (
                <select className="entry w-full sm:hidden" aria-label="What to show" value={view} onChange={(event) => onView(event.target.value as T)}>
                    <Options of={views as Record<T, string>} />
                </select>
            )}
            <div className={`flex-wrap gap-1 ${isList ? 'hidden sm:flex' : 'flex'}`} role="group" aria-label="What to show">
                {names.map((name) => (
                    <button key={name} type="button" className="key" aria-pressed={view === name} onClick={() => onView(name)}>
                        {views[name]}
                    </button>
                ))}
            </div>
        </>
    );
}
