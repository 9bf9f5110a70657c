import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { arrive, leave, singleKeys, useSignpostKey, useSingleKeys } from './keys';

afterEach(() => {
    cleanup();
    arrive();
    document.querySelectorAll('[data-takes-keys]').forEach((one) => one.remove());
});
beforeEach(() => singleKeys.set(true));

function Page({ onOpen, onMark }: { onOpen: () => void; onMark: () => void }) {
    useSignpostKey(onOpen);
    useSingleKeys({ h: onMark });
    return (
        <>
            <input aria-label="name" />
            <div role="dialog">
                <button>inside</button>
            </div>
        </>
    );
}

const open = () => {
    const heard = { open: vi.fn(), mark: vi.fn() };
    render(<Page onOpen={heard.open} onMark={heard.mark} />);
    return heard;
};
const press = (key: string, target: Element = document.body, more = {}) => fireEvent.keyDown(target, { key, ...more });

describe('single keys', () => {
    it('open the signpost, and act on the page', () => {
        const heard = open();
        press('.');
        press('h');
        expect([heard.open.mock.calls.length, heard.mark.mock.calls.length]).toEqual([1, 1]);
        // Held down, or with another key, they are something else.
        press('.', document.body, { repeat: true });
        press('h', document.body, { ctrlKey: true });
        expect([heard.open.mock.calls.length, heard.mark.mock.calls.length]).toEqual([1, 1]);
    });

    it('are letters while somebody types, and belong to a dialog that is open', () => {
        const heard = open();
        for (const target of [screen.getByLabelText('name'), screen.getByRole('button', { name: 'inside' })]) {
            press('.', target);
            press('h', target);
        }
        expect([heard.open.mock.calls.length, heard.mark.mock.calls.length]).toEqual([0, 0]);
    });

    it('lead nowhere while something has every key for itself', () => {
        const heard = open();
        document.body.appendChild(document.createElement('section')).dataset.takesKeys = '';
        press('.');
        expect(heard.open).not.toHaveBeenCalled();
    });

    it('reach no page that is being left, until the new one stands', () => {
        const heard = open();
        leave();
        press('h');
        expect(heard.mark).not.toHaveBeenCalled();
        arrive();
        press('h');
        expect(heard.mark).toHaveBeenCalledOnce();
    });

    it('can be switched off on a device, and on again', () => {
        const heard = open();
        singleKeys.set(false);
        press('.');
        press('h');
        expect([heard.open.mock.calls.length, heard.mark.mock.calls.length]).toEqual([0, 0]);
        singleKeys.set(true);
        press('h');
        expect(heard.mark).toHaveBeenCalledOnce();
    });
});
