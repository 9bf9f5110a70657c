import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { RoutineCard } from '@/api/types';
import { useRules } from '@/rules/rules';
import { useCards } from '@/routines/useCards';
import { Empty, Failed, Waiting } from '@/ui/State';
import { CardPage } from './CardPage';
import { ForLearner } from './ForLearner';
import { Group, Tile } from './Tiles';

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
    const [params, setParams] = useSearchParams();
    const [words, setWords] = useState('');
    const learners = useQuery(questions.learners());
    const texts = useMemo(() => new Map(cards.map((card) => [card.code, textOf(card)])), [cards]);
    const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
    const found = cards.filter((card) => wanted.every((word) => texts.get(card.code)?.includes(word)));
    const learner = params.get('for') ?? '';
    return (
        <div className="grid gap-5">
            <header className="flex flex-wrap items-end justify-between gap-4">
                <div>
                    <h1 className="text-3xl">Routines</h1>
                    <p className="text-quiet">
                        {cards.length} under the rules of {rules.pack_name}
                    </p>
                </div>
                <div className="flex min-w-0 flex-1 flex-wrap justify-end gap-3">
                    <select
                        className="entry max-w-80"
                        aria-label="In the order of"
                        value={learner}
                        onChange={(event) => setParams(event.target.value ? { for: event.target.value } : {}, { replace: true })}
                    >
                        <option value="">By kind of place</option>
                        {learners.data?.map((one) => (
                            <option key={one.id} value={one.id}>
                                What {one.name} needs
                            </option>
                        ))}
                    </select>
                    <input
                        type="search"
                        className="entry max-w-md"
                        aria-label="Find a routine"
                        placeholder="A place, a word, a mistake: “cuts the corner”"
                        value={words}
                        onChange={(event) => setWords(event.target.value)}
                    />
                </div>
            </header>
            {found.length === 0 && (
                <Empty title="Nothing says that">
                    <p>Try the kind of place, or what goes wrong in one word.</p>
                </Empty>
            )}
            {learner ? <ForLearner learner={learner} cards={found} /> : <BySection cards={found} />}
        </div>
    );
}

function BySection({ cards }: { cards: RoutineCard[] }) {
    const sections = [...new Set(cards.map((card) => card.section))];
    return sections.map((section) => {
        const inIt = cards.filter((card) => card.section === section);
        return (
            <Group key={section} id={section} title={inIt[0]!.section_title}>
                {inIt.map((card) => (
                    <Tile key={card.code} card={card}>
                        {card.where}
                    </Tile>
                ))}
            </Group>
        );
    });
}
