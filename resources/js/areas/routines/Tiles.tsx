import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { RoutineCard } from '@/api/types';
import { useRules } from '@/rules/rules';
import { Sketch } from '@/routines/Sketch';

/** Cards under one heading. */
export function Group({ id, title, children }: { id: string; title: string; children: ReactNode }) {
    return (
        <section aria-labelledby={`section-${id}`} className="grid gap-3">
            <h2 id={`section-${id}`} className="border-hair border-b-2 pb-1 text-xl">
                {title}
            </h2>
            <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3 xl:grid-cols-4">{children}</ul>
        </section>
    );
}

export function Tile({ card, children }: { card: RoutineCard; children: ReactNode }) {
    const rules = useRules();
    return (
        <li>
            <Link to={`/routines/${card.code}`} className="hover:bg-wash flex items-center gap-3 rounded-xl p-1">
                <Sketch form={card.sketch} side={card.side} keeps={rules.keeps} title={card.title} size={72} />
                <span className="min-w-0">
                    <span className="block font-semibold">{card.title}</span>
                    <span className="text-quiet block text-sm">{children}</span>
                </span>
            </Link>
        </li>
    );
}
