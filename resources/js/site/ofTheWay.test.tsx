import { execFileSync } from 'node:child_process';
import { cleanup, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import type { LightsAnswer, Place, SiteAnswer } from '@/api/types';
import { answer, server, show } from '@/testing/answers';
import { OfTheWay } from './OfTheWay';
import { siteAsked, wayOf } from './wayOf';
import { WayLights } from './WaySays';

/** What is said of a place by the drawing of its site, on the core's own answers. */

const compute = <Answered,>(tool: string, input: object): Answered =>
    JSON.parse(execFileSync('php', ['artisan', 'compute', tool], { input: JSON.stringify(input) }).toString()) as Answered;

const arm = (id: string, bearing_deg: number, more: object = {}) => ({ id, name: `${id} Street`, bearing_deg, ...more });
const everyWay = (more: object) => [arm('n', 0, more), arm('e', 90, more), arm('s', 180, more), arm('w', 270, more)];
const allStop = { ...answer('demo-site'), pack: 'na' as const, kind: 'junction' as const, arms: everyWay({ control: 'all-way-stop' }) };
const place: Place = { ...answer('demo-places')[0]!, site_id: 'drawn', from_arm: 's', to_arm: 'w', routine: 'all-way-stop' };

let ways: SiteAnswer;
beforeAll(() => {
    ways = compute<SiteAnswer>('site', siteAsked(allStop));
});
afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
});

const served = (more: Record<string, object | number> = {}) => server({ 'GET sites/drawn': allStop, 'POST compute/site': ways, ...more });

describe('what a drawing says of a place', () => {
    it('is whose turn it is at an all-way stop, in the core’s own words', async () => {
        const asked = wayOf(ways, place)!.turn!;
        const said = compute<{ message: string }>('priority', asked);
        const sent = served({ 'POST compute/priority': said });
        show(<OfTheWay place={place} />);
        expect((await screen.findByLabelText('Whose turn')).textContent).toBe(`If somebody is at each line at once: ${said.message}`);
        expect(sent.find(({ path }) => path === 'compute/priority')!.body).toEqual(asked);
    });

    it('is how one waits inside the lights to turn across, with the seconds after the change, and only for that way', async () => {
        const lights = { ...allStop, pack: 'gb' as const, arms: everyWay({ control: 'signals', limit_mph: 30 }) };
        const under = compute<SiteAnswer>('site', siteAsked(lights));
        const across = { ...place, from_arm: 's', to_arm: 'e', routine: 'lights-right' as const };
        const asked = wayOf(under, across)!.lights!;
        const said = compute<LightsAnswer>('lights', asked);
        const sent = served({ 'GET sites/drawn': lights, 'POST compute/site': under, 'POST compute/lights': said });
        show(<OfTheWay place={across} />);
        const text = (await screen.findByLabelText('Waiting inside the lights')).textContent;
        expect(text).toContain(`On a full green over the line, and wait inside: ${said.message} Room for 1 inside.`);
        expect(text).toContain(
            `past after ${said.budget!.last_passes_s.toFixed(1)} s, we are out after ${said.budget!.out_s.toFixed(1)} s, and those from the side may be there after ${said.budget!.they_come_s.toFixed(1)} s`,
        );
        expect(sent.find(({ path }) => path === 'compute/lights')!.body).toEqual(asked);
        expect(asked).toMatchObject({ goes: 'right', other_speed_mph: 30 });
        cleanup();
        // Straight on nobody waits inside.
        const ahead = served({ 'GET sites/drawn': lights, 'POST compute/site': under });
        show(<OfTheWay place={{ ...across, to_arm: 'n', routine: 'lights-ahead' }} />);
        await waitFor(() => expect(ahead.map(({ path }) => path)).toContain('compute/site'));
        expect(screen.queryByLabelText('Waiting inside the lights')).toBeNull();
    });

    it('is that one stays behind the line where there is no room inside, without seconds of which none hangs on anything', async () => {
        const asked = { pack: 'gb', goes: 'right', room_m: 2 } as const;
        server({ 'POST compute/lights': compute('lights', asked) });
        show(<WayLights asked={asked} />);
        const text = (await screen.findByLabelText('Waiting inside the lights')).textContent;
        expect(text).toContain('On a full green: There is no room to wait inside');
        expect(text).not.toContain('From amber');
    });

    it('is nothing where lines say who waits, and nothing is asked of a place that is described by itself', async () => {
        const lines = { ...allStop, pack: 'gb' as const, arms: [arm('n', 0), arm('s', 180), arm('w', 270, { control: 'give-way' })] };
        const sent = served({ 'GET sites/drawn': lines, 'POST compute/site': compute('site', siteAsked(lines as never)) });
        show(<OfTheWay place={{ ...place, routine: 'turn-left' }} />);
        await waitFor(() => expect(sent.map(({ path }) => path)).toContain('compute/site'));
        expect(screen.queryByLabelText('Whose turn')).toBeNull();
        cleanup();
        const none = served();
        show(<OfTheWay place={{ ...place, site_id: null }} />);
        expect(none.filter(({ path }) => path.startsWith('sites') || path.startsWith('compute'))).toEqual([]);
    });

    it('says that it is not shown where the drawing does not come, and not nothing', async () => {
        served({ 'GET sites/drawn': 500 });
        show(<OfTheWay place={place} />);
        expect(await screen.findByText(/What its drawing says is not shown/, {}, { timeout: 8_000 })).toBeTruthy();
    }, 12_000);

    it('is of the same routine where two are taught between the same roads, of either where that is gone, and of no other road', () => {
        const lights = compute<SiteAnswer>('site', { pack: 'na', kind: 'junction', arms: everyWay({ control: 'signals' }) });
        const of = (routine: Place['routine']) => wayOf(lights, { from_arm: 's', to_arm: 'e', routine })?.routine;
        expect([of('lights-right'), of('right-on-red'), of('turn-right')]).toEqual(['lights-right', 'right-on-red', 'lights-right']);
        expect(wayOf(lights, { from_arm: 's', to_arm: 'gone', routine: 'lights-right' })).toBeUndefined();
        expect(wayOf(undefined, place)).toBeUndefined();
    });
});
