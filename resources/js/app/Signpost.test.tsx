import { isoDay } from '@/session/session';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { AREAS } from '@/keys/areas';
import { singleKeys } from '@/keys/keys';
import { answer, server, show } from '@/testing/answers';
import { isMeant } from '@/ui/search';
import { useLocation } from 'react-router';
import { Signpost } from './Signpost';

Element.prototype.scrollIntoView = vi.fn();
globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
    singleKeys.set(true);
});

function Here() {
    const { pathname, search } = useLocation();
    return <output>{pathname + search}</output>;
}

const learners = answer('demo-learners');
const places = answer('demo-places');

const open = async () => {
    server({
        'GET learners': learners,
        [`GET today?day=${isoDay(new Date(), answer('session').school.time_zone)}`]: answer('demo-today'),
        'GET places': places,
    });
    const closed = vi.fn();
    show(
        <>
            <Here />
            <Signpost open onOpenChange={closed} />
        </>,
        'instructor',
    );
    const input = await screen.findByLabelText('A number, or some words');
    return { input, closed, at: () => screen.getByRole('status', { hidden: true }).textContent };
};

describe('the signpost', () => {
    it.each(AREAS.map((area, i) => [String(i + 1), area.to] as const))('leads by number %s to %s', async (key, to) => {
        const { input, closed, at } = await open();
        fireEvent.keyDown(input, { key });
        await waitFor(() => expect(at()).toBe(to));
        expect(closed).toHaveBeenCalledWith(false);
    });

    it('finds learners, places, routines, pages of the bench and settings by words in any order', async () => {
        const { input } = await open();
        const shown = async (typed: string, line: string) => {
            fireEvent.change(input, { target: { value: typed } });
            await waitFor(() => expect(screen.getAllByRole('option').some((one) => one.textContent === line)).toBe(true));
        };
        const name = learners[0]!.name;
        await shown(name.split(' ').reverse().join(' '), name);
        await shown(places[0]!.name.split(' ').slice(0, 2).reverse().join(' '), places[0]!.name);
        await shown('right emerge', 'Emerge right');
        await shown('bench gap', 'Gap');
        await shown('practice rules', 'Rules and practice');
        fireEvent.change(input, { target: { value: 'no such thing at all' } });
        await waitFor(() => expect(screen.getByText('Nothing has all those words.')).toBeTruthy());
    });

    it('goes to a place with the list narrowed to it, and a digit among words is a word', async () => {
        const { input, at } = await open();
        const place = places[0]!.name;
        fireEvent.change(input, { target: { value: place } });
        fireEvent.keyDown(input, { key: '1' });
        expect(at()).toBe('/');
        fireEvent.click(await screen.findByRole('option', { name: place }));
        await waitFor(() => expect(at()).toBe(`/places?find=${encodeURIComponent(place)}`));
    });

    it('says what single keys do, and switches them off', async () => {
        await open();
        const keys = within(screen.getByRole('region', { name: 'Shortcuts' }));
        expect(keys.getByText('correctly waited')).toBeTruthy();
        fireEvent.click(keys.getByLabelText('Single keys act on this device'));
        expect(singleKeys.areOn()).toBe(false);
    });
});

describe('words in any order', () => {
    it.each([
        ['Chandlers Row into Quay Street', 'quay chand', true],
        ['Chandlers Row into Quay Street', '', true],
        ['Chandlers Row into Quay Street', 'quay lane', false],
    ])('%s by “%s”: %s', (line, typed, meant) => expect(isMeant(line, typed)).toBe(meant));
});
