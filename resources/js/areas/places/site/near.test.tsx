import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, server, show } from '@/testing/answers';
import { Addressed } from '@/testing/Addressed';
import { Sites } from './Sites';

const sitesHere = <Addressed>{(said, onSaid) => <Sites said={said} onSaid={onSaid} />}</Addressed>;

const sites = answer('demo-sites');
const near = answer('demo-sites-near');
const learners = answer('demo-learners');
const picked = learners.find(({ pick_up_latitude_deg }) => pick_up_latitude_deg !== null)!;
const asked = `sites/near?latitude_deg=${picked.pick_up_latitude_deg}&longitude_deg=${picked.pick_up_longitude_deg}`;
const replies = { 'GET sites': sites, 'GET learners': learners, 'GET archived': answer('archived'), [`GET ${asked}`]: near };
const names = () => screen.getAllByRole('heading', { level: 3 }).map(({ textContent }) => textContent);
const name = (site: string) => sites.find(({ id }) => id === site)!.name;
const choose = async (label: string, value: string) => {
    const select = await screen.findByLabelText(label);
    fireEvent.change(select, { target: { value } });
};

afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

describe('sites near a pick-up', () => {
    it('stand by how long one drives there, and say it', async () => {
        server(replies);
        show(sitesHere);
        await choose('Near', picked.id);
        await waitFor(() => expect(names()[0]).toBe(name(near[0]!.site)));
        const shown = names();
        const placed = near.map(({ site }) => name(site));
        expect(shown.slice(0, placed.length)).toEqual(placed);
        const far = near.find(({ time_s }) => time_s > 20 * 60)!;
        const line = screen.getByRole('heading', { name: name(far.site) }).closest('li')!;
        expect(within(line).getByText(new RegExp(`about ${Math.round(far.time_s / 60)} min, ${(far.driven_m / 1000).toFixed(1)} km by road`))).toBeTruthy();
    });

    it('are only those that are near enough where that is wanted, on the map as well', async () => {
        server(replies);
        show(sitesHere, 'owner', `/places?near=${picked.id}&within=5`);
        const close = near.filter(({ time_s }) => time_s <= 300).map(({ site }) => name(site));
        expect(close.length).toBeGreaterThan(0);
        expect(close.length).toBeLessThan(near.length);
        await waitFor(() => expect(names()).toEqual(close));
        expect(within(screen.getByRole('group', { name: /^Map of the sites/ })).getAllByRole('link').length).toBeLessThanOrEqual(close.length);
        await choose('within', '');
        await waitFor(() => expect(names()).toHaveLength(sites.length));
        await choose('Near', '');
        expect(screen.queryByLabelText('within')).toBeNull();
    });

    it('has the pick-up that is looked from on the map; all of them where that is wanted', async () => {
        server(replies);
        show(sitesHere);
        const flags = () => screen.queryAllByRole('img', { name: /^Pick-up/ });
        await choose('Near', picked.id);
        await waitFor(() => expect(flags().map((flag) => flag.getAttribute('aria-label'))).toEqual([`Pick-up: ${picked.name}`]));
        fireEvent.click(screen.getByRole('button', { name: 'Pick-ups on the map' }));
        expect(flags()).toHaveLength(learners.filter(({ pick_up_latitude_deg }) => pick_up_latitude_deg !== null).length);
    });

    it('offers nothing to be near where nobody lies anywhere, and says where the distances are not known', async () => {
        const nowhere = learners.map((learner) => ({ ...learner, pick_up_latitude_deg: null, pick_up_longitude_deg: null }));
        server({ ...replies, 'GET learners': nowhere });
        show(sitesHere);
        await screen.findByRole('heading', { name: sites[0]!.name });
        expect(screen.queryByLabelText('Near')).toBeNull();
        cleanup();
        server({ ...replies, [`GET ${asked}`]: 500 });
        show(sitesHere, 'owner', `/places?near=${picked.id}`);
        expect(await screen.findByText(/How far they are is not known/)).toBeTruthy();
        expect(names()).toHaveLength(sites.length);
    });
});
