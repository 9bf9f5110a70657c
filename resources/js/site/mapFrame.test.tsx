import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { show } from '@/testing/answers';
import type { Lying } from './map';
import { MapFrame } from './MapFrame';
import { namesOn } from './Names';

const harbour = { id: 'h', name: 'The harbour', used: 1, latitude_deg: 49.2, longitude_deg: -8.1 };
const hill = { id: 'b', name: 'Battery Hill', used: 0, latitude_deg: 49.204, longitude_deg: -8.1 };
const lighthouse = { id: 'l', name: 'The lighthouse', used: 0, latitude_deg: 49.6, longitude_deg: -8.1 };
const town = [harbour, hill];
const everything = [...town, lighthouse];

/** A dot for each, and where names stand, drawn as plain text. */
function open(onHere?: (where: Lying) => void) {
    show(
        <MapFrame
            label="A map"
            home={town}
            all={everything}
            {...(onHere ? { onHere } : {})}
            beside={({ at }) => <p data-testid="off">{at(lighthouse)[1] < 0 ? 'off' : 'on'}</p>}
        >
            {(drawn) => {
                const names = namesOn(drawn, everything);
                return everything.map((one) => {
                    const [x, y] = drawn.at(one);
                    return <circle key={one.id} data-id={one.id} data-name={names.get(one.id) ?? ''} cx={x} cy={y} r={2} />;
                });
            }}
        </MapFrame>,
    );
    return screen.getByRole('group', { name: 'A map' });
}

const dot = (id: string) => document.querySelector(`[data-id=${id}]`)!;
const spot = (id: string): [number, number] => [Number(dot(id).getAttribute('cx')), Number(dot(id).getAttribute('cy'))];

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('a map without tiles', () => {
    it('opens on the town, north up, and shows all there is by a press, and the town again by another', () => {
        open();
        expect(spot('b')[1]).toBeLessThan(spot('h')[1]);
        expect(screen.getByTestId('off').textContent).toBe('off');
        fireEvent.click(screen.getByRole('button', { name: 'Show all' }));
        expect(screen.getByTestId('off').textContent).toBe('on');
        const close = Math.hypot(spot('h')[0] - spot('b')[0], spot('h')[1] - spot('b')[1]);
        fireEvent.click(screen.getByRole('button', { name: 'The town' }));
        expect(Math.hypot(spot('h')[0] - spot('b')[0], spot('h')[1] - spot('b')[1])).toBeGreaterThan(10 * close);
    });

    it('goes with the finger: what is under it stays under it', () => {
        const map = open();
        const [x, y] = spot('h');
        fireEvent.pointerDown(map, { clientX: x, clientY: y });
        for (let step = 1; step <= 10; step++) fireEvent.pointerMove(map, { clientX: x + 7 * step, clientY: y - 4 * step, buttons: 1 });
        expect(spot('h')[0]).toBeCloseTo(x + 70, 1);
        expect(spot('h')[1]).toBeCloseTo(y - 40, 1);
        fireEvent.pointerUp(map);
        // Let go of it stays where it is, whatever moves over it.
        fireEvent.pointerMove(map, { clientX: 0, clientY: 0, buttons: 0 });
        expect(spot('h')[0]).toBeCloseTo(x + 70, 1);
    });

    it('lets names stand while it is dragged, and thinks them over when it is let go', () => {
        const map = open();
        const before = dot('h').getAttribute('data-name');
        expect(before).not.toBe('');
        fireEvent.pointerDown(map, { clientX: 450, clientY: 160 });
        // So far to the right that there the name has room on the left only.
        const far = 900 - spot('h')[0] - 20;
        fireEvent.pointerMove(map, { clientX: 450 + far, clientY: 160, buttons: 1 });
        expect(dot('h').getAttribute('data-name')).toBe(before);
        fireEvent.pointerUp(map);
        expect(dot('h').getAttribute('data-name')).toBe('left');
    });

    it('is moved and zoomed by keys, in and out again to where it was', () => {
        const map = open();
        const [before, other] = [spot('h'), spot('b')];
        fireEvent.keyDown(map, { key: 'ArrowRight' });
        expect(spot('h')[0]).toBeCloseTo(before[0] - 180, 3);
        fireEvent.keyDown(map, { key: 'ArrowLeft' });
        fireEvent.keyDown(map, { key: 'ArrowUp' });
        expect(spot('h')[1]).toBeCloseTo(before[1] + 64, 3);
        fireEvent.keyDown(map, { key: 'ArrowDown' });
        fireEvent.keyDown(map, { key: '+' });
        expect(Math.abs(spot('h')[1] - spot('b')[1])).toBeCloseTo(1.6 * Math.abs(before[1] - other[1]), 3);
        fireEvent.keyDown(map, { key: '-' });
        expect(spot('h')[1]).toBeCloseTo(before[1], 3);
        // Any other key is the page's.
        expect(fireEvent.keyDown(map, { key: 'a' })).toBe(true);
        expect(fireEvent.keyDown(map, { key: '=' })).toBe(false);
    });

    it('puts something under its cross: the middle of what is shown', () => {
        const put = vi.fn<(where: Lying) => void>();
        open(put);
        fireEvent.click(screen.getByRole('button', { name: 'Put it at the cross' }));
        expect(put.mock.calls[0]![0].latitude_deg).toBeCloseTo(49.202, 5);
        expect(put.mock.calls[0]![0].longitude_deg).toBeCloseTo(-8.1, 5);
        cleanup();
        open();
        expect(screen.queryByRole('button', { name: 'Put it at the cross' })).toBeNull();
    });
});
