import type { SiteLine } from '@/api/types';
import { remarkOf, type Draft } from '@/site/draft';
import type { Way } from './WayFacts';

interface Props {
    draft: Draft;
    ways: Way[];
    name: (arm: string) => string;
    onChoose: (way: Way) => void;
}

/** Every way as a list: the same as the picture, to be read and pressed. */
export function Ways({ draft, ways, name, onChoose }: Props) {
    return (
        <details>
            <summary className="link min-h-12 cursor-pointer content-center font-semibold">All {ways.length} ways</summary>
            <ul className="grid gap-1 sm:grid-cols-2">
                {ways.map((way) => {
                    const said = remarkOf(draft, way);
                    const words: SiteLine['ways'][number]['words'] = said?.difficulty ?? way.difficulty.words;
                    return (
                        <li key={`${way.from}>${way.to} ${way.routine}`}>
                            <button type="button" className="key w-full justify-start text-left" data-tone="bare" onClick={() => onChoose(way)}>
                                {name(way.from)} → {name(way.to)}: {way.title.toLowerCase()}, {words}
                                {said?.note && ` · ${said.note}`}
                            </button>
                        </li>
                    );
                })}
            </ul>
        </details>
    );
}
