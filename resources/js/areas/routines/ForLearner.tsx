import { useQuery } from '@tanstack/react-query';
import { questions } from '@/api/questions';
import type { RoutineCard, RoutineNeed } from '@/api/types';
import { STEP_WORDS } from '@/strip/words';
import { Failed, Waiting } from '@/ui/State';
import { Group, Tile } from './Tiles';

const KINDS: Record<RoutineNeed['need'], string> = {
    weak: 'Weak in the last rounds',
    'only-shown': 'Shown, not yet tried alone',
    'long-not-driven': 'Not for four weeks or more',
    'never-driven': 'Never driven',
    'going-well': 'Going well',
};

const day = (at: string) => new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' });

function reason({ need, step, helped, of, last_at }: RoutineNeed): string {
    if (need === 'never-driven') return 'no round yet';
    const help = step ? `${STEP_WORDS[step]}: helped in ${helped} of the last ${of}` : of ? `unaided in the last ${of}` : 'marks nothing yet';
    return last_at && need !== 'weak' ? `${help}; last on ${day(last_at)}` : help;
}

/** The catalogue in the order in which one learner's record asks for it. */
export function ForLearner({ learner, cards }: { learner: string; cards: RoutineCard[] }) {
    const needs = useQuery(questions.needs(learner));
    if (needs.isLoading) return <Waiting />;
    if (!needs.data) return <Failed error={needs.error} retry={() => void needs.refetch()} />;
    const byCode = new Map(cards.map((card) => [card.code, card]));
    return (Object.keys(KINDS) as RoutineNeed['need'][]).map((kind) => {
        const inIt = needs.data.filter((need) => need.need === kind && byCode.has(need.routine));
        return inIt.length === 0 ? null : (
            <Group key={kind} id={kind} title={KINDS[kind]}>
                {inIt.map((need) => (
                    <Tile key={need.routine} card={byCode.get(need.routine)!}>
                        {reason(need)}
                    </Tile>
                ))}
            </Group>
        );
    });
}
