import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { armIs, begun, type Arm, type Draft, type Start } from '@/site/draft';
import { answer, server, show } from '@/testing/answers';
import { ArmForm } from './ArmForm';

afterEach(cleanup);

const OFFERS = {
    t: answer('tool-site').offers,
    lights: answer('tool-site').offers,
    'slip-on': answer('tool-site-slip').offers,
    'slip-off': answer('tool-site-slip').offers,
    stretch: answer('tool-site-stretch').offers,
    'car-park': answer('tool-site-car-park').offers,
};

/** The form of an arm, and what was said of it so far. */
function filled(start: Start & keyof typeof OFFERS, id: string, errors: Record<string, string[]> = {}) {
    let said: Arm = begun(start).arms.find((arm) => arm.id === id)!;
    function Held() {
        const [draft, setDraft] = useState<Draft>(begun(start));
        const arm = draft.arms.find((one) => one.id === id)!;
        said = arm;
        return (
            <ArmForm
                draft={draft}
                arm={arm}
                measured={[]}
                offers={OFFERS[start]}
                errors={errors}
                onChange={(part) => setDraft(armIs(draft, id, part))}
                onName={(name) => setDraft(armIs(draft, id, { name }))}
                onTurn={(bearing) => setDraft(armIs(draft, id, { bearing_deg: bearing }))}
                onRemove={() => {}}
                site={null}
            />
        );
    }
    server({});
    show(<Held />);
    return () => said;
}

const type = (label: string | RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('a road of a site in words and numbers', () => {
    it('keeps the field a hand is in: typing does not take it away', () => {
        filled('t', 's');
        const field = screen.getByLabelText('Seen to the left from the line, m');
        field.focus();
        for (const value of ['6', '60', '60.5']) fireEvent.change(field, { target: { value } });
        expect(document.activeElement).toBe(field);
        expect(screen.getByLabelText('Seen to the left from the line, m')).toBe(field);
    });

    it('says a length by typing it and nothing by emptying it again', () => {
        const said = filled('t', 's');
        type('Seen to the right from the line, m', '80');
        expect(said().sight_right_m).toBe(80);
        type('Seen to the right from the line, m', '');
        expect(said()).not.toHaveProperty('sight_right_m');
        type('Uphill to the line, %', '-6');
        expect(said().gradient).toBeCloseTo(-0.06, 9);
    });

    it('has one word or one figure for one view', () => {
        const said = filled('t', 's');
        type('View', 'closed');
        expect(said().view).toBe('closed');
        type('View opens before the line, m', '8');
        expect(said()).toMatchObject({ view_from_m: 8 });
        expect(said()).not.toHaveProperty('view');
        expect(screen.queryByLabelText('View')).toBeNull();
    });

    it('runs one way or both, and asks for the lanes of those', () => {
        const said = filled('t', 's');
        type('Traffic runs', 'in');
        expect(said()).toMatchObject({ lanes_in: 1, lanes_out: 0 });
        expect(screen.queryByLabelText('Lanes away from it')).toBeNull();
        type('Lanes towards the site', '3');
        type('Traffic runs', 'both');
        expect(said()).toMatchObject({ lanes_in: 3, lanes_out: 1 });
    });

    it('says a bend, openings and parked cars, and takes each away again', () => {
        const said = filled('t', 's');
        fireEvent.click(screen.getByText('More that can matter'));
        fireEvent.click(screen.getByRole('button', { name: 'A bend on the way' }));
        type('Radius, m', '25');
        expect(said().bend).toEqual({ radius_m: 25, from_m: 80, to_m: 50 });
        type('From us to a hedge inside it, m', '4');
        expect(said().bend).toEqual({ radius_m: 25, from_m: 80, to_m: 50, offset_m: 4 });
        type('From us to a hedge inside it, m', '');
        expect(said().bend).toEqual({ radius_m: 25, from_m: 80, to_m: 50 });
        fireEvent.click(screen.getByRole('button', { name: 'Take the bend away' }));
        expect(said()).not.toHaveProperty('bend');
        // Slopes are said in hundredths and kept as a share.
        fireEvent.click(screen.getByRole('button', { name: 'A crest on the way' }));
        expect(screen.getByLabelText<HTMLInputElement>('Slopes differ by, %').value).toBe('8');
        type('Slopes differ by, %', '12.5');
        type('To, m', '90');
        expect(said().crest).toEqual({ from_m: 120, to_m: 90, gradient_change: 0.125 });
        // Half a crest is not kept as if it were whole: the server says what is missing.
        type('Slopes differ by, %', '');
        expect(said().crest).toEqual({ from_m: 120, to_m: 90 });
        const crest = within(screen.getByRole('region', { name: 'A crest on the way' }));
        expect(crest.getAllByText('Still to be said')).toHaveLength(1);
        fireEvent.click(screen.getByRole('button', { name: 'Take the crest away' }));
        expect(said()).not.toHaveProperty('crest');
        fireEvent.click(screen.getByRole('button', { name: 'A dip on the way' }));
        type('Deep at its middle, m', '2.5');
        expect(said().dip).toEqual({ from_m: 120, to_m: 70, depth_m: 2.5 });
        fireEvent.click(screen.getByRole('button', { name: 'Take the dip away' }));
        expect(said()).not.toHaveProperty('dip');
        fireEvent.click(screen.getByRole('button', { name: 'Parked cars' }));
        fireEvent.click(screen.getByRole('button', { name: 'Parked cars, one more' }));
        const cars = within(screen.getByRole('region', { name: 'Cars parked before the line' }));
        fireEvent.change(cars.getAllByLabelText('From, m')[1]!, { target: { value: '60' } });
        expect(said().parked).toEqual([
            { side: 'left', from_m: 24, to_m: 18 },
            { side: 'left', from_m: 60, to_m: 18 },
        ]);
        fireEvent.click(cars.getByRole('button', { name: 'Take away: parked cars, 24 to 18 m' }));
        fireEvent.click(cars.getByRole('button', { name: 'Take away: parked cars, 60 to 18 m' }));
        expect(said()).not.toHaveProperty('parked');
    });

    it('shows what is wrong beside the figure of a row', () => {
        filled('t', 's', { openings: ['must have at most 20 entries.'], 'bend.radius_m': ['is missing.'] });
        fireEvent.click(screen.getByText('More that can matter'));
        expect(screen.getByText(/at most 20 entries/)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'A bend on the way' }));
        expect(screen.getByText(/is missing/)).toBeTruthy();
    });

    it('asks of a slip road on what joining needs, of one off what leaving needs, of the main road neither', () => {
        const said = filled('slip-on', 's');
        type('Length of the slip road, m', '180');
        type('Speed at its beginning, mph', '35');
        type('Angle to the main road, degrees', '6.5');
        expect(said()).toMatchObject({ slip_length_m: 180, entry_speed_mph: 35, slip_angle_deg: 6.5 });
        expect(screen.queryByLabelText('Speed at its end, mph')).toBeNull();
        cleanup();
        const off = filled('slip-off', 's');
        type('Speed at its end, mph', '20');
        type('The turn at its end', 'right');
        expect(off()).toMatchObject({ end_speed_mph: 20, next_turn: 'right' });
        expect(screen.queryByLabelText('Angle to the main road, degrees')).toBeNull();
        cleanup();
        filled('slip-on', 'w');
        expect(screen.queryByLabelText('Length of the slip road, m')).toBeNull();
        expect(screen.getByLabelText('Limit, mph')).toBeTruthy();
        // Every road of a slip is one-way already.
        expect(screen.queryByLabelText('Traffic runs')).toBeNull();
    });

    it('paints the lanes where there is more than one, from the kerb outwards, and says whose they are and when', () => {
        const said = filled('lights', 's');
        fireEvent.click(screen.getByText('More that can matter'));
        expect(screen.queryByRole('region', { name: 'Painted on the lanes' })).toBeNull();
        type('Lanes towards the site', '2');
        const near = within(screen.getByRole('group', { name: 'Next to the kerb' }));
        fireEvent.click(near.getByLabelText('Main road (west)'));
        const far = () => within(screen.getByRole('group', { name: 'Farthest from it' }));
        fireEvent.click(far().getByLabelText('Side road (north)'));
        fireEvent.click(far().getByLabelText('Main road (east)'));
        fireEvent.click(far().getByLabelText('Side road (north)'));
        expect(said().approach_lanes).toEqual([{ to: ['w'] }, { to: ['e'] }]);
        fireEvent.click(far().getByLabelText('Buses only'));
        expect(said().approach_lanes![1]).toMatchObject({ bus: true });
        fireEvent.change(far().getByLabelText('From (empty: all day)'), { target: { value: '07:00' } });
        fireEvent.change(far().getByLabelText('Until'), { target: { value: '09:30' } });
        expect(said().approach_lanes![1]).toEqual({ to: ['e'], bus_hours: [{ from: '07:00', until: '09:30' }] });
        fireEvent.click(far().getByLabelText('Buses only'));
        expect(said().approach_lanes![1]).toEqual({ to: ['e'] });
        // One lane fewer takes its paint with it.
        type('Lanes towards the site', '1');
        expect(said().approach_lanes).toEqual([{ to: ['w'] }]);
    });

    it('offers a car park what belongs to a kerb, and no more roads to take away than it has', () => {
        const said = filled('car-park', 'w');
        fireEvent.click(screen.getByLabelText('A ramp or barrier uphill'));
        expect(said().holds).toEqual(['bay', 'ramp']);
        expect(screen.queryByLabelText('Humps')).toBeNull();
        expect(screen.queryByRole('button', { name: 'Take this road away' })).toBeNull();
    });
});
