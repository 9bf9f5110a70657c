import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Sheet } from './Sheet';

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

const open = (coarse: boolean, children = <input aria-label="Where" />) => {
    vi.stubGlobal('matchMedia', (query: string) => ({ matches: coarse && query === '(pointer: coarse)' }));
    render(
        <Sheet title="A sheet" open onOpenChange={() => undefined}>
            {children}
        </Sheet>,
    );
};

describe('a sheet that opens', () => {
    it('has the focus where there is something to fill in', () => {
        open(false);
        expect(document.activeElement).toBe(screen.getByLabelText('Where'));
    });

    it('calls up no keyboard over what a finger is to press', () => {
        open(true);
        expect(document.activeElement).not.toBe(screen.getByLabelText('Where'));
        expect(screen.getByRole('dialog').contains(document.activeElement)).toBe(true);
    });

    it('leaves the focus on the way out where nothing is to be filled in', () => {
        open(false, <p>Nothing</p>);
        expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Close' }));
    });
});
