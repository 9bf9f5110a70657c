import { cleanup, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show, tool } from '@/testing/answers';
import { Preview } from './Preview';

/** What a question says it changes is what the core says it changes: no choice that looks as if it moved something and does not. */

const onOffer = answer('demo-rules');
const others = { 'GET rules': onOffer, 'POST compute/approach': tool('tool-approach') };

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

function preview(key: string) {
    const question = onOffer.questions.find((one) => one.key === key)!;
    return show(<Preview question={question} practice={{}} pack="gb" standing={question.default} />, 'instructor', '/account/rules');
}

describe('what a choice changes', () => {
    it('is said of every question that moves no plan of an approach', async () => {
        for (const question of onOffer.questions.filter((one) => !one.changes.includes('approach'))) {
            server(others);
            const { container } = preview(question.key);
            const said = question.changes.length === 0 ? 'no point of a plan moves' : 'It changes what is worked out, too: ';
            await waitFor(() => expect(container.textContent, question.key).toContain(said));
            expect(container.textContent).not.toMatch(/undefined|\[object/);
            cleanup();
        }
    });

    it('names the page, not the code of a tool', async () => {
        server(others);
        const { container } = preview('return_signal');
        await waitFor(() => expect(container.textContent).toContain('worked out, too: overtak'));
    });

    it('is drawn where it moves the plan of an approach', async () => {
        const sent = server(others);
        const { container } = preview('signal');
        await waitFor(() => expect(container.querySelector('svg')).toBeTruthy());
        expect(sent.some((one) => one.path === 'compute/approach')).toBe(true);
    });
});
