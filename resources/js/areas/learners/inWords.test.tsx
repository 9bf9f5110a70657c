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
