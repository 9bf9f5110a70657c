import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, tool } from '@/testing/answers';
import { CardPage } from './CardPage';
import { RoutinesPage } from './RoutinesPage';

const cards = answer('demo-routines');
const needs = answer('demo-needs');
const asked = { 'GET routines?pack=gb': cards, 'GET learners': answer('demo-learners') };

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the catalogue', () => {
    it('has every card under its section', async () => {
        server(asked);
        show(<RoutinesPage />);
        for (const card of cards) expect(await screen.findByText(card.title, { selector: 'a span' })).toBeTruthy();
        expect(screen.getAllByRole('heading', { level: 2 }).map((one) => one.textContent)).toEqual([...new Set(cards.map((card) => card.section_title))]);
    });

    it('finds a card by what goes wrong', async () => {
        server(asked);
        show(<RoutinesPage />);
        const card = cards[0]!;
        const word = card.steps.flatMap((step) => step.usual_mistake.match(/[a-z]{7,}/g) ?? [])[0]!;
        fireEvent.change(await screen.findByLabelText('Find a routine'), { target: { value: word } });
        expect(screen.getByText(card.title, { selector: 'a span' })).toBeTruthy();
        fireEvent.change(screen.getByLabelText('Find a routine'), { target: { value: 'zeppelin' } });
        expect(screen.getByText('Nothing says that')).toBeTruthy();
    });

    it('goes by what a learner’s record asks for', async () => {
        const learner = answer('demo-learners')[0]!;
        server({ ...asked, [`GET learners/${learner.id}/needs`]: needs });
        show(<RoutinesPage />, 'instructor', `/routines?for=${learner.id}`);
        const known = needs.filter((need) => cards.some((card) => card.code === need.routine));
        const titles = await waitFor(() => {
            const found = screen.getAllByRole('link').map((link) => link.textContent);
            expect(found.length).toBeGreaterThanOrEqual(known.length);
            return found;
        });
        const title = (code: string) => cards.find((card) => card.code === code)!.title;
        const order = known.slice(0, 3).map((need) => titles.findIndex((text) => text.startsWith(title(need.routine))));
        expect([...order].sort((a, b) => a - b)).toEqual(order);
    });
});

describe('a card', () => {
    it('says of each step what, why, the usual mistake and its cause, and how a fault counts', () => {
        server({ 'POST compute/approach': tool('tool-approach') });
        const card = cards.find((one) => one.code === 'emerge-right')!;
        show(<CardPage card={card} cards={cards} />);
        const text = document.body.textContent;
        for (const step of card.steps) for (const said of [step.do, step.why, step.usual_mistake]) expect(text).toContain(said);
        for (const one of card.severity) expect(text).toContain(`${one.words}: ${one.severity}`);
    });

    it('leads on to the cards before and after, and to the bench with what the routine begins with', () => {
        server({ 'POST compute/approach': tool('tool-approach') });
        const at = cards.findIndex((one) => one.code === 'emerge-left');
        show(<CardPage card={cards[at]!} cards={cards} />);
        const nav = within(screen.getByRole('navigation', { name: 'Cards' }));
        expect(nav.getByRole('link', { name: `← ${cards[at - 1]!.title}` })).toBeTruthy();
        expect(nav.getByRole('link', { name: `${cards[at + 1]!.title} →` })).toBeTruthy();
        const page = cards[at]!.bench[0]!;
        const link = screen.getByRole('link', { name: page.words });
        expect(link.getAttribute('href')).toBe(`/bench/${page.page}?${new URLSearchParams(page.with as Record<string, string>).toString()}`);
    });
});
