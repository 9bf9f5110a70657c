import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { RoutineCard } from '@/api/types';
import { useRules } from '@/app/rules';
import { Sketch } from '@/routines/Sketch';
import { useCards } from '@/routines/useCards';
import { Empty, Failed, Waiting } from '@/ui/State';
import { CardPage } from './CardPage';

/** How do I explain it? Found by place, by words, by what a learner says or does. */
export function RoutinesPage() {
    const { code } = useParams();
    const cards = useCards();
    if (cards.isLoading) return <Waiting />;
    if (!cards.data) return <Failed error={cards.error} retry={() => void cards.refetch()} />;
    if (!code) return <CardList cards={cards.data} />;
    const card = cards.data.find((candidate) => candidate.code === code);
    return card ? (
        <CardPage key={card.code} card={card} cards={cards.data} />
    ) : (
        <Empty title="Not taught under these rules">
            <p>This routine belongs to another rule pack.</p>
            <Link className="key justify-self-start" to="/routines">
                All routines
            </Link>
        </Empty>
    );
}

/** Everything a card says, to be searched through. */
function textOf(card: RoutineCard): string {
    return [
        card.title,
        card.where,
        card.section_title,
        card.find,
        card.direction,
        ...card.variants.map((variant) => variant.name),
        ...card.steps.map((step) => `${step.usual_mistake} ${step.likely_cause}`),
    ]
        .join(' ')
        .toLowerCase();
}

function CardList({ cards }: { cards: RoutineCard[] }) {
    const rules = useRules();
    const [words, setWords] = useState('');
    const texts = useMemo(() => new Map(cards.map((card) => [card.code, textOf(card)])), [cards]);
    const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
    const found = cards.filter((card) => wanted.every((word) => texts.get(card.code)?.includes(word)));
    const sections = [...new Set(found.map((card) => card.section))];
    return (
        <div className="grid gap-5">
            <header className="flex flex-wrap items-end justify-between gap-4">
                <div>
                    <h1 className="text-3xl">Routines</h1>
                    <p className="text-quiet">
                        {cards.length} under the rules of {rules.pack_name}
                    </p>
                </div>
                <input
                    type="search"
                    className="entry max-w-md"
                    aria-label="Find a routine"
                    placeholder="A place, a word, a mistake: “cuts the corner”"
                    value={words}
                    onChange={(event) => setWords(event.target.value)}
                />
            </header>
            {found.length === 0 && (
                <Empty title="Nothing says that">
                    <p>Try the kind of place, or what goes wrong in one word.</p>
                </Empty>
            )}
            {sections.map((section) => {
                const inIt = found.filter((card) => card.section === section);
                return (
                    <section key={section} aria-labelledby={`section-${section}`} className="grid gap-3">
                        <h2 id={`section-${section}`} className="border-hair border-b-2 pb-1 text-xl">
                            {inIt[0]!.section_title}
                        </h2>
                        <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 xl:grid-cols-4">
                            {inIt.map((card) => (
                                <li key={card.code}>
                                    <Link to={`/routines/${card.code}`} className="hover:bg-wash flex items-center gap-3 rounded-xl p-1">
                                        <Sketch form={card.sketch} side={card.side} keeps={rules.keeps} title={card.title} size={72} />
                                        <span className="min-w-0">
                                            <span className="block font-semibold">{card.title}</span>
                                            <span className="text-quiet block text-sm">{card.where}</span>
                                        </span>
                                    </Link>
                                </li>
                            ))}
                        </ul>
                    </section>
                );
            })}
        </div>
    );
}
