import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { LessonText } from '@/api/types';
import { answer, server, show, written } from '@/testing/answers';
import { ToPassOn } from './ToPassOn';

const texts = answer('demo-texts');
const [first] = texts as [LessonText];
const lines = async () => within((await screen.findByRole('heading', { name: /^To pass on/ })).closest('section')!).getAllByRole('listitem');

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('what learners are still to hear', () => {
    it('is not there where there is nothing', async () => {
        const sent = server({ 'GET texts': [] });
        show(<ToPassOn />);
        await waitFor(() => expect(sent).toHaveLength(1));
        expect(screen.queryByRole('heading')).toBeNull();
    });

    it('opens as a text on this device, with its words, and counts as heard by one press that can be taken back', async () => {
        let left = texts;
        const sent = server({
            'GET texts': () => left,
            [`PATCH texts/${first.id}`]: ({ body }) => {
                left = (body as { passed_on: boolean }).passed_on ? texts.slice(1) : texts;
                return first;
            },
        });
        show(<ToPassOn />);
        const [line] = await lines();
        const link = within(line!).getByRole('link', { name: `Text ${first.learner.name.split(' ')[0]}` });
        expect(link.getAttribute('href')).toBe(`sms:${first.phone!.replaceAll(/\D/g, '')}?body=${encodeURIComponent(first.body!)}`);
        fireEvent.click(within(line!).getByRole('button', { name: `Passed on to ${first.learner.name}` }));
        await waitFor(async () => expect(await lines()).toHaveLength(texts.length - 1));
        fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
        await waitFor(async () => expect(await lines()).toHaveLength(texts.length));
        expect(written(sent).map(({ body }) => body)).toEqual([{ passed_on: true }, { passed_on: false }]);
    });

    it('says so where it cannot be noted, and leaves it there', async () => {
        server({ 'GET texts': texts, [`PATCH texts/${first.id}`]: 503 });
        show(<ToPassOn />);
        const [line] = await lines();
        fireEvent.click(within(line!).getByRole('button', { name: `Passed on to ${first.learner.name}` }));
        expect(await screen.findByText(/^Not noted:/)).toBeTruthy();
        expect(await lines()).toHaveLength(texts.length);
    });

    it('says why somebody is to be rung, and offers no text to them', async () => {
        server({ 'GET texts': [{ ...first, unsent: 'quiet' }] });
        show(<ToPassOn />);
        const [line] = await lines();
        expect(line!.textContent).toContain('too late in the evening for a text');
        expect(within(line!).queryByRole('link', { name: /^Text / })).toBeNull();
        expect(within(line!).getByRole('link', { name: 'Ring' })).toBeTruthy();
    });

    it('leaves room for the day: three, and the rest when asked for', async () => {
        server({ 'GET texts': Array.from({ length: 7 }, (_, i) => ({ ...first, id: `text-${i}` })) });
        show(<ToPassOn />);
        expect(await lines()).toHaveLength(3);
        fireEvent.click(screen.getByRole('button', { name: 'Show all 7' }));
        expect(await lines()).toHaveLength(7);
        expect(screen.queryByRole('button', { name: /^Show all/ })).toBeNull();
    });
});
