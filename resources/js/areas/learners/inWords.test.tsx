import { cleanup, screen } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show } from '@/testing/answers';
import { readingAge } from '@/testing/readingAge';
import { InWordsPage } from './InWordsPage';

const record = answer('demo-learner');

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('the record in plain words', () => {
    it('can be read at thirteen', async () => {
        server({ [`GET learners/${record.id}`]: record, [`GET learners/${record.id}/skill`]: answer('demo-skill') });
        show(
            <Routes>
                <Route path="/learners/:id/words" element={<InWordsPage />} />
            </Routes>,
            'instructor',
            `/learners/${record.id}/words`,
        );
        await screen.findByRole('heading', { level: 1 });
        const page = await screen.findByRole('article');
        const text = [...page.querySelectorAll('h1, h2, p, li')].map((one) => one.textContent.trim()).join('.\n');
        expect((text.match(/\p{L}+/gu) ?? []).length).toBeGreaterThan(100);
        expect(readingAge(text)).toBeLessThanOrEqual(13);
    });
});

describe('the lesson that comes next', () => {
    const proposal = answer('demo-proposal');
    const coming = { ...record.lessons[0]!, id: 'next', state: 'booked' as const, starts_at: new Date(Date.now() + 86_400_000).toISOString(), aim: null };
    const shown = (aim: string | null, lessons = [coming]) => {
        server({
            [`GET learners/${record.id}`]: { ...record, lessons: [...record.lessons, ...lessons.map((lesson) => ({ ...lesson, aim }))] },
            [`GET learners/${record.id}/skill`]: answer('demo-skill'),
            'GET lessons/next/proposal?': proposal,
            'GET lessons/next/proposal': proposal,
        });
        show(
            <Routes>
                <Route path="/learners/:id/words" element={<InWordsPage />} />
            </Routes>,
            'instructor',
            `/learners/${record.id}/words`,
        );
    };
    const items = async () => {
        const section = (await screen.findByRole('heading', { name: /^Next lesson: / })).closest('section')!;
        return [...section.querySelectorAll('li')].map((one) => one.textContent);
    };

    it('says what it could be for and why, without a figure, where nobody has written an aim', async () => {
        shown(null);
        await screen.findAllByText(/above all: /);
        const said = await items();
        expect(said).toHaveLength(proposal.aims.length);
        for (const one of said) expect(one).toMatch(/above all: /);
    });

    it('says the aim that is written, and nothing where no lesson is booked', async () => {
        shown('Quiet right turns');
        await screen.findByText('Quiet right turns');
        expect(await items()).toEqual(['Quiet right turns']);
        cleanup();
        shown(null, []);
        await screen.findByRole('heading', { level: 1 });
        expect(screen.queryByRole('heading', { name: /^Next lesson/ })).toBeNull();
    });
});

describe('the reading age', () => {
    it.each([
        ['The cat sat on the mat. It was a good cat.', 0, 8],
        ['Check your mirrors, decide, then signal left. Wait at the line until both ways are clear.', 6, 12],
        ['Approximation of multidimensional distributions necessitates considerable computational sophistication and extraordinary patience.', 25, 60],
    ])('of “%s” lies where a reader would put it', (text, least, most) => {
        expect(readingAge(text)).toBeGreaterThanOrEqual(least);
        expect(readingAge(text)).toBeLessThanOrEqual(most);
    });
});
