import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { ApproachAsked, FastPlan, RoutineCard, Rules } from '@/api/types';
import { ApproachView } from '@/approach/ApproachView';
import type { Conditions } from '@/bench/approach';
import { useRules, withLimit } from '@/rules/rules';
import { Judgement } from '@/judgement/Judgement';
import { RoadBrief } from '@/road/RoadBrief';
import { Sketch } from '@/routines/Sketch';
import { StepList } from '@/routines/StepList';
import { BesideIt } from './BesideIt';

/** What its tool is asked on an ordinary road. */
const ordinaryPlan = ({ planned_by, asked_with, ordinary_road }: RoutineCard, { pack, practice }: Rules) =>
    ({ tool: planned_by, inputs: { pack, ...(planned_by === 'overtake' ? {} : { practice }), ...asked_with, ...ordinary_road } }) as Pick<
        FastPlan,
        'tool' | 'inputs'
    >;

/** A page of the bench as it begins for a routine. */
const benchPage = (page: string, begins: Record<string, string | number>): string => {
    const asked = new URLSearchParams(Object.entries(begins).map(([key, value]) => [key, String(value)])).toString();
    return `/bench/${page}${asked && `?${asked}`}`;
};

/** One routine as it is explained at the kerb: sketch, strip, reasons, the usual mistake of each step, and where it runs otherwise. */
export function CardPage({ card, cards }: { card: RoutineCard; cards: RoutineCard[] }) {
    const rules = useRules();
    const [conditions, setConditions] = useState<Conditions>({ speed: rules.town_limit, gradient: 0, surface: 'dry', follower: false });
    const [variant, setVariant] = useState<number | null>(null);
    const chosen = variant === null ? undefined : card.variants[variant];
    const inputs = useMemo<ApproachAsked>(
        () => ({ pack: rules.pack, practice: rules.practice, routine: card.code, ...withLimit({}, rules.town_limit, rules), ...(chosen?.inputs ?? {}) }),
        [rules, card.code, chosen],
    );
    const at = cards.findIndex((candidate) => candidate.code === card.code);
    const [before, after] = [cards[at - 1], cards[at + 1]];
    /** What a variant says of the conditions goes to the controls, where it can be changed on. */
    const choose = (next: number | null) => {
        setVariant(next);
        const said = next === null ? {} : (card.variants[next]?.inputs ?? {});
        setConditions({
            speed: typeof said.speed_mph === 'number' ? said.speed_mph : rules.town_limit,
            gradient: typeof said.gradient === 'number' ? said.gradient : 0,
            surface: said.surface === 'wet' ? 'wet' : 'dry',
            follower: said.close_follower === true,
        });
    };
    const onTheBench = card.bench.length > 0 && (
        <nav aria-label="On the bench" className="screen-only flex flex-wrap gap-x-6">
            {card.bench.map(({ words, page, with: begins }) => (
                <Link key={page} className="link min-h-12 content-center" to={benchPage(page, begins)}>
                    {words}
                </Link>
            ))}
        </nav>
    );
    return (
        <article className="one-page grid gap-5 print:gap-1.5">
            <nav aria-label="Cards" className="screen-only -mb-2 flex flex-wrap items-center gap-x-3">
                <Link className="key" to="/routines">
                    All routines
                </Link>
                {before && (
                    <Link className="key" data-tone="bare" to={`/routines/${before.code}`}>
                        ← <span className="max-sm:sr-only">{before.title}</span>
                    </Link>
                )}
                {after && (
                    <Link className="key" data-tone="bare" to={`/routines/${after.code}`}>
                        <span className="max-sm:sr-only">{after.title}</span> →
                    </Link>
                )}
                <button type="button" className="key ml-auto" onClick={() => window.print()}>
                    <span>
                        Print <span className="max-sm:sr-only">the card</span>
                    </span>
                </button>
            </nav>
            <header className="flex gap-4 sm:gap-6 print:gap-3">
                <div className="w-24 shrink-0 sm:w-34 print:w-auto not-print:[&_svg]:h-auto not-print:[&_svg]:w-full">
                    <Sketch form={card.sketch} side={card.side} keeps={rules.keeps} title={card.title} place={chosen?.inputs} size={150} />
                </div>
                <div className="grid min-w-0 flex-1 content-start gap-1 sm:gap-2">
                    <h1 className="text-3xl">{card.title}</h1>
                    <p className="text-quiet">{card.where}</p>
                    <p>
                        <span className="font-semibold">Said: </span>“{card.direction}”
                    </p>
                    <p>
                        <span className="font-semibold">Afterwards: </span>
                        {card.afterwards}
                    </p>
                </div>
            </header>
            {card.variants.length > 0 && (
                <section aria-label="Where it differs" className="grid gap-2">
                    <div className="screen-only flex gap-2 max-sm:overflow-x-auto sm:flex-wrap">
                        <button type="button" className="key shrink-0" aria-pressed={variant === null} onClick={() => choose(null)}>
                            As a rule
                        </button>
                        {card.variants.map((one, i) => (
                            <button key={one.name} type="button" className="key shrink-0" aria-pressed={variant === i} onClick={() => choose(i)}>
                                {one.name}
                            </button>
                        ))}
                    </div>
                    {chosen && (
                        <p className="border-now border-l-4 pl-3 text-lg" role="status">
                            {chosen.changes}
                        </p>
                    )}
                    <ul className="hidden print:block">
                        {card.variants.map((one) => (
                            <li key={one.name}>
                                <span className="font-semibold">{one.name}: </span>
                                {one.changes}
                            </li>
                        ))}
                    </ul>
                </section>
            )}
            {!card.has_approach && onTheBench}
            {card.has_approach && (
                <>
                    <ApproachView inputs={inputs} conditions={conditions} onConditions={setConditions} beside={onTheBench} />
                    {!card.stands && <BesideIt card={card} inputs={inputs} conditions={conditions} />}
                </>
            )}
            <div className="not-on-card grid gap-2 empty:hidden">
                {Object.keys(card.ordinary_road).length > 0 && (
                    <RoadBrief plan={ordinaryPlan(card, rules)} routine={card.code} road={card.ordinary_road} ordinary compact />
                )}
                <Judgement routine={card.code} road={withLimit({}, conditions.speed, rules)} />
            </div>
            <StepList steps={card.steps} side={card.side} />
            <footer className="text-quiet grid gap-2 text-sm">
                <p>
                    What a fault did to others decides how it counts (assumed, a scheme of your own may differ):{' '}
                    {card.severity.map((one) => `${one.words}: ${one.severity}`).join('; ')}.
                </p>
                <p>Steps, reasons and causes: usual teaching, no published source. Conditions, the law of the place and the licensed instructor come first.</p>
            </footer>
        </article>
    );
}
