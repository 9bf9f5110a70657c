import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Picture } from '@/api/types';
import { server, show, written } from '@/testing/answers';
import { asJpeg, asPath, drawnOn, fitted, LONGEST, NoPicture, type Line } from './picture';
import { Pictures, PicturesThere } from './Pictures';

const picture: Picture = {
    id: 'p',
    site_id: 'a',
    arm: 's',
    note: 'The worn line',
    width: 400,
    height: 300,
    lines: [
        [
            [0, 0.5],
            [1, 0.5],
        ],
    ],
};
const other: Picture = { ...picture, id: 'q', arm: 'e', note: null, lines: [] };
const replies = {
    'GET sites/a/pictures': [picture, other],
    'GET pictures/p': { ...picture, image: 'data:image/jpeg;base64,AAAA' },
    'GET pictures/q': { ...other, image: 'data:image/jpeg;base64,BBBB' },
    'POST sites/a/pictures': picture,
    'PUT pictures/p': picture,
    'POST pictures/p/restore': picture,
};

/** What a browser draws a file into. */
function browser(width = 3200, height = 1600) {
    vi.stubGlobal('createImageBitmap', () => Promise.resolve({ width, height, close: () => undefined }));
    vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue({ drawImage: () => undefined } as never);
    return vi.spyOn(HTMLCanvasElement.prototype, 'toDataURL').mockReturnValue('data:image/jpeg;base64,/9j/AA');
}

beforeEach(() => {
    Element.prototype.setPointerCapture = () => undefined;
});
afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
    vi.unstubAllGlobals();
});

describe('a picture before it is kept', () => {
    it('is made no larger than is needed, in its own shape, and never larger than it was', () => {
        expect(fitted(3200, 1600)).toEqual([LONGEST, LONGEST / 2]);
        expect(fitted(1200, 4000)).toEqual([480, LONGEST]);
        expect(fitted(640, 480)).toEqual([640, 480]);
        expect(fitted(100_000, 3)).toEqual([LONGEST, 1]);
    });

    it('is drawn anew as a JPEG, the right way up', async () => {
        const drawn = browser();
        expect(await asJpeg(new Blob(['x']))).toBe('/9j/AA');
        expect(drawn).toHaveBeenCalledWith('image/jpeg', expect.any(Number));
    });

    it('is said to be none where the browser cannot open it', async () => {
        vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('no')));
        await expect(asJpeg(new Blob(['x']))).rejects.toThrow(NoPicture);
    });

    it('takes points of a line that lie apart, within it, and not without end', () => {
        let line: Line = [];
        line = drawnOn(line, [0.5, 0.5]);
        expect(drawnOn(line, [0.5001, 0.5])).toBe(line);
        expect(drawnOn(line, [1.4, -2])).toEqual([
            [0.5, 0.5],
            [1, 0],
        ]);
        for (let i = 0; i < 900; i++) line = drawnOn(line, [(i % 90) / 90, 0.01 * (i % 7)]);
        expect(line).toHaveLength(200);
        expect(
            asPath(
                [
                    [0, 0.5],
                    [1, 0.5],
                ],
                400,
                300,
            ),
        ).toBe('M0.0,150.0 L400.0,150.0');
    });
});

describe('pictures of a road', () => {
    it('shows those of this road, hangs another, and shows it with the rest', async () => {
        browser();
        const sent = server(replies);
        show(<Pictures site="a" arm="s" />);
        expect(await screen.findByRole('button', { name: 'The worn line' })).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Picture 2' })).toBeNull();
        fireEvent.change(screen.getByLabelText('Add a picture'), { target: { files: [new File(['x'], 'line.png')] } });
        await waitFor(() => expect(written(sent)).toEqual([{ method: 'POST', path: 'sites/a/pictures', body: { arm: 's', image: '/9j/AA' } }]));
        await waitFor(() => expect(sent.filter(({ method, path }) => method === 'GET' && path === 'sites/a/pictures')).toHaveLength(2));
    });

    it.each([
        ['a file that is no picture', true, 'no picture this browser can open'],
        ['what the server refuses', false, 'is one too many'],
    ])('says why it does not hang %s', async (_, isBroken, words) => {
        browser();
        if (isBroken) vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('no')));
        server({ ...replies, 'POST sites/a/pictures': { message: 'no', errors: { image: ['is one too many: 20 hang at this site.'] } } });
        show(<Pictures site="a" arm="s" />);
        fireEvent.change(await screen.findByLabelText('Add a picture'), { target: { files: [new File(['x'], 'line.png')] } });
        expect((await screen.findByRole('alert')).textContent).toContain(words);
    });

    it('is drawn on by key: the pen moved, put down, taken up, and a line let go', async () => {
        const sent = server(replies);
        show(<Pictures site="a" arm="s" />);
        fireEvent.click(await screen.findByRole('button', { name: 'The worn line' }));
        const sheet = await screen.findByRole('dialog', { name: 'Picture' });
        const ground = within(sheet).getByRole('application', { name: 'Draw on the picture' });
        const keys = (...pressed: (string | [string, boolean])[]) => {
            for (const one of pressed) {
                const [key, shiftKey] = typeof one === 'string' ? [one, false] : one;
                fireEvent.keyDown(ground, { key, shiftKey });
            }
        };
        expect(sheet.querySelector('[data-pen]')).toBeNull();
        keys('ArrowRight', 'ArrowUp');
        expect(sheet.querySelector<HTMLElement>('[data-pen]')!.style).toMatchObject({ left: '54%', top: '46%' });
        // Nothing is drawn as long as the pen is up.
        expect(sheet.querySelectorAll('[data-line]')).toHaveLength(picture.lines.length);
        keys(' ', 'ArrowRight', ['ArrowDown', true]);
        expect(within(sheet).getByText('Drawing, 3 points')).toBeTruthy();
        keys('Enter');
        // One that is let go, and one that is not drawn at all.
        keys(' ', 'ArrowLeft', 'Backspace', ' ', ' ', 'ArrowDown');
        expect(sheet.querySelectorAll('[data-line]')).toHaveLength(picture.lines.length + 1);
        fireEvent.click(within(sheet).getByRole('button', { name: 'Keep' }));
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        const line = [
            [0.54, 0.46],
            [0.58, 0.46],
            [0.58, 0.47],
        ];
        expect(written(sent)[0]!.body).toMatchObject({ lines: [...picture.lines, line] });
    });

    it('draws on one, takes a line back, names it and keeps that', async () => {
        const sent = server(replies);
        show(<Pictures site="a" arm="s" />);
        fireEvent.click(await screen.findByRole('button', { name: 'The worn line' }));
        const sheet = await screen.findByRole('dialog', { name: 'Picture' });
        const drawn = () => sheet.querySelectorAll('[data-line]').length;
        const ground = sheet.querySelector('.cursor-crosshair')!;
        vi.spyOn(ground, 'getBoundingClientRect').mockReturnValue({ left: 0, top: 0, width: 400, height: 300 } as DOMRect);
        const stroke = (...points: [number, number][]) => {
            const [first, ...rest] = points;
            fireEvent.pointerDown(ground, { clientX: first![0], clientY: first![1] });
            for (const [clientX, clientY] of rest) fireEvent.pointerMove(ground, { clientX, clientY });
            fireEvent.pointerUp(ground);
        };
        stroke([40, 30], [200, 150]);
        // A touch without a move draws nothing.
        stroke([10, 10]);
        expect(drawn()).toBe(2);
        stroke([0, 0], [400, 300]);
        fireEvent.click(within(sheet).getByRole('button', { name: 'Take back a line' }));
        fireEvent.change(within(sheet).getByLabelText('What it shows'), { target: { value: 'Where the line was' } });
        fireEvent.click(within(sheet).getByRole('button', { name: 'Keep' }));
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
        expect(written(sent)[0]!.body).toEqual({
            arm: 's',
            note: 'Where the line was',
            lines: [
                ...picture.lines,
                [
                    [0.1, 0.1],
                    [0.5, 0.5],
                ],
            ],
        });
    });

    it('takes one down and hangs it up again', async () => {
        const sent = server(replies);
        show(<Pictures site="a" arm="s" />);
        fireEvent.click(await screen.findByRole('button', { name: 'The worn line' }));
        fireEvent.click(within(await screen.findByRole('dialog')).getByRole('button', { name: 'Take it down' }));
        fireEvent.click(await screen.findByRole('button', { name: /undo/i }));
        await waitFor(() => expect(written(sent).map(({ method, path }) => `${method} ${path}`)).toEqual(['DELETE pictures/p', 'POST pictures/p/restore']));
    });
});

describe('pictures at the kerb', () => {
    it('are one press away, large, with what they show; and nothing where none hangs', async () => {
        server(replies);
        show(<PicturesThere site="a" arm="s" />);
        fireEvent.click(await screen.findByRole('button', { name: 'Picture' }));
        const sheet = await screen.findByRole('dialog', { name: 'Pictures' });
        expect(within(sheet).getByText('The worn line')).toBeTruthy();
        await waitFor(() => expect(sheet.querySelector('image')?.getAttribute('href')).toBe('data:image/jpeg;base64,AAAA'));
        cleanup();
        const sent = server(replies);
        show(<PicturesThere site="a" arm="w" />);
        await waitFor(() => expect(sent).toHaveLength(1));
        expect(screen.queryByRole('button')).toBeNull();
    });
});
