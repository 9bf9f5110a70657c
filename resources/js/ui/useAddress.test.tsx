import { act, cleanup, renderHook, screen } from '@testing-library/react';
import { MemoryRouter, useLocation, useNavigate } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { asItStands, AT_ONCE, useAddress, withSaid } from './useAddress';

const Address = () => <output>{useLocation().search}</output>;

/** The state and the way to elsewhere, with the page's address beside them. */
function opened(at: string, rest?: number) {
    const hook = renderHook(() => ({ held: useAddress(asItStands, rest), go: useNavigate() }), {
        wrapper: ({ children }) => (
            <MemoryRouter initialEntries={[at]}>
                <Address />
                {children}
            </MemoryRouter>
        ),
    });
    return {
        state: () => hook.result.current.held[0].toString(),
        say: (said: Record<string, string>) => hook.result.current.held[1]((before) => withSaid(before, said)),
        go: (to: string) => act(() => void hook.result.current.go(to)),
        address: () => screen.getByRole('status').textContent,
    };
}

beforeEach(() => void vi.useFakeTimers());

afterEach(() => {
    vi.useRealTimers();
    cleanup();
});

describe('state that stands in the address', () => {
    it('is changed at once, each change after the last, and the address follows when it rests', () => {
        const { state, say, address } = opened('/?from=s&kept=1');
        act(() => {
            say({ from: 'e', to: '' });
            say({ to: 'w' });
            say({ kept: '' });
        });
        expect(state()).toBe('from=e&to=w');
        expect(address()).toBe('?from=s&kept=1');
        act(() => void vi.advanceTimersByTime(300));
        expect(address()).toBe('?from=e&to=w');
    });

    it('is in the address as soon as it is pressed, where that is wanted', () => {
        const { state, say, address } = opened('/?from=s', AT_ONCE);
        for (const to of ['e', 'w', 'n']) {
            act(() => say({ to }));
            act(() => void vi.advanceTimersByTime(1));
            expect([state(), address()]).toEqual([`from=s&to=${to}`, `?from=s&to=${to}`]);
        }
    });

    it('is what another address says, when somebody comes by it', () => {
        const { state, say, go } = opened('/?from=s');
        act(() => say({ from: 'e' }));
        act(() => void vi.advanceTimersByTime(300));
        go('/?from=n&to=s');
        expect(state()).toBe('from=n&to=s');
    });

    it('is not thrown back by its own address, which comes while it is further on', () => {
        const { state, say, address } = opened('/?minutes=20');
        for (let minutes = 21; minutes < 40; minutes++) {
            act(() => say({ minutes: String(minutes) }));
            act(() => void vi.advanceTimersByTime(minutes % 3 === 0 ? 210 : 120));
            expect(state()).toBe(`minutes=${minutes}`);
        }
        act(() => void vi.advanceTimersByTime(300));
        expect(address()).toBe('?minutes=39');
    });
});
