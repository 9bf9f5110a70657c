import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Assessment, Lesson } from '@/api/types';
import { RulesOf } from '@/rules/rules';
import { marksQueue } from '@/queue/marks';
import { answer, server, show, tool, written } from '@/testing/answers';
import { DriveFace } from '../drive/DriveFace';
import { MockFace } from './MockFace';
import { begun, droveTo, nextOf, notDriven, parked, pressed, sentOf, takenBack, told, untold, without } from './mockTest';

const planned = answer('demo-lesson-planned');
const [kept] = answer('demo-assessments');
const { routines } = planned.rules;
const POST = `POST lessons/${planned.id}/mock-test`;
const at = (minutes: number) => new Date(Date.parse('2026-05-20T09:00:00Z') + minutes * 60_000);

beforeEach(() => localStorage.clear());
afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

describe('a mock test as it is kept', () => {
    it('begins at the first way of the plan, goes on to the next, and round again after the last', () => {
        let test = begun(planned, at(0));
        expect(test.ways.map(({ item }) => item)).toEqual([planned.items[0]!.id]);
        for (const item of [...planned.items.slice(1), planned.items[0]!]) {
            expect(nextOf(planned, test)!.id).toBe(item.id);
            test = droveTo(test, item.id, at(1));
        }
        expect(new Set(test.ways.map(({ id }) => id)).size).toBe(planned.items.length + 1);
        expect(nextOf({ items: [] }, begun({ items: [] }))).toBeUndefined();
    });

    it('puts each press on the way that was driven to last, takes the last back, and forgets the kind where the step was another', () => {
        let test = pressed(begun(planned, at(0)), 'mirrors', at(2));
        test = pressed(droveTo(test, planned.items[1]!.id, at(4)), 'look', at(5));
        expect(test.faults.map(({ step, way }) => [step, test.ways.findIndex(({ id }) => id === way)])).toEqual([
            ['mirrors', 0],
            ['look', 1],
        ]);
        expect(takenBack(test).faults).toEqual(test.faults.slice(0, 1));
        const [first, second] = test.faults;
        const said = told(told(test, second!.id, { fault: 'late', effect: 'affected' }), first!.id, { effect: 'nobody' });
        expect(untold(test)).toHaveLength(2);
        expect(untold(said)).toEqual([]);
        expect(told(said, second!.id, { step: 'speed' }).faults[1]).toMatchObject({ step: 'speed', fault: null, effect: 'affected' });
        expect(without(said, first!.id).faults).toEqual([said.faults[1]]);
    });

    it('sends the ways as they were driven, and of a way that was not driven only what was pressed', () => {
        let test = pressed(begun(planned, at(0)), 'mirrors', at(2));
        test = told(parked(droveTo(test, planned.items[1]!.id, at(4)), at(30)), test.faults[0]!.id, { effect: 'potential' });
        const sent = sentOf(planned, test, routines, { traffic: 'busy' });
        expect(sent.ways.map(({ place_id, routine, at: when }) => [place_id, routine, when])).toEqual(
            planned.items.slice(0, 2).map((item, i) => [item.place.id, item.routine, at(4 * i).toISOString()]),
        );
        expect(sent).toMatchObject({ id: test.id, taken_at: at(0).toISOString(), conditions: { traffic: 'busy' }, note: null });
        expect(sent.faults).toEqual([{ step: 'mirrors', way: test.ways[0]!.id, at: at(2).toISOString(), fault: null, effect: 'potential' }]);
        const other = sentOf(planned, notDriven(test, test.ways[0]!.id), routines, {});
        expect(other.ways).toHaveLength(1);
        expect(other.faults[0]).toMatchObject({ step: 'mirrors', way: null });
    });
});

describe('the mock test', () => {
    const face = (lesson: Lesson = planned) =>
        show(
            <RulesOf rules={lesson.rules}>
                <MockFace lesson={lesson} />
            </RulesOf>,
            'instructor',
        );
    const key = (name: string | RegExp) => screen.getByRole('button', { name });

    it('is driven with one press a fault, told at the kerb and marked; the sheet says what it came to', async () => {
        const result: Assessment = {
            ...kept!,
            kind: 'mock-test',
            result: 'fail',
            taken_at: '2026-05-20T09:00:00Z',
            faults: [
                {
                    step: 'look',
                    routine: planned.items[1]!.routine,
                    fault: 'late',
                    effect: 'affected',
                    severity: 'serious',
                    at: '2026-05-20T09:04:00Z',
                    where: 'Quay',
                },
            ],
            by_scheme: { result: 'fail', message: '1 serious fault: one is enough to fail.', counts: { driving: 0, serious: 1, dangerous: 0 } },
        };
        const sent = server({ [POST]: result });
        face();
        fireEvent.click(await screen.findByRole('button', { name: 'Begin' }));
        const driving = within(screen.getByRole('region', { name: 'Mock test, driving' }));
        expect(driving.getByText(planned.items[0]!.place.name)).toBeTruthy();
        // A slip is taken back by name.
        fireEvent.click(key('Signal'));
        fireEvent.click(key('Not signal'));
        fireEvent.click(key(new RegExp(planned.items[1]!.place.name)));
        fireEvent.click(key('Look'));
        expect(driving.getByText(/1 fault/)).toBeTruthy();
        fireEvent.click(key('Parked'));
        const fault = within(screen.getByRole('listitem', { name: /^Fault 1, Look/ }));
        expect(fault.getByLabelText<HTMLSelectElement>('Where').selectedOptions[0]!.textContent).toContain(planned.items[1]!.place.name);
        const done = key('What it comes to') as HTMLButtonElement;
        expect(done.disabled).toBe(true);
        const kinds = within(fault.getByLabelText('Kind'))
            .getAllByRole('option')
            .map(({ textContent }) => textContent);
        const likely = routines.find(({ code }) => code === planned.items[1]!.routine)!.faults.look!;
        expect(kinds.slice(1, likely.length + 1)).toEqual(likely.map((kind) => planned.rules.faults.look![kind]));
        fireEvent.change(fault.getByLabelText('Kind'), { target: { value: likely[0] } });
        fireEvent.click(fault.getByRole('button', { name: planned.rules.effects.affected! }));
        expect(done.disabled).toBe(false);
        fireEvent.click(done);
        expect(await screen.findByRole('heading', { name: 'Mock test, failed' })).toBeTruthy();
        const body = written(sent)[0]!.body as ReturnType<typeof sentOf>;
        expect(body.ways.map(({ place_id }) => place_id)).toEqual(planned.items.slice(0, 2).map(({ place }) => place.id));
        expect(body.faults).toMatchObject([{ step: 'look', way: body.ways[1]!.id, fault: likely[0], effect: 'affected' }]);
        expect(
            within(screen.getByRole('row', { name: /^Look/ }))
                .getAllByRole('cell')
                .map(({ textContent }) => textContent),
        ).toEqual(['–', '1', '–']);
        expect(screen.getByText(result.by_scheme.message)).toBeTruthy();
        expect(localStorage.length).toBe(0);
    });

    it('stays on the device over a reload, in the car and at the kerb, and where it cannot be sent, until it is sent or thrown away', async () => {
        server({ [POST]: { message: 'No.', errors: { taken_at: ['must lie behind us.'] } } });
        face();
        fireEvent.click(await screen.findByRole('button', { name: 'Begin' }));
        fireEvent.click(key('Speed'));
        cleanup();
        face();
        expect(await screen.findByRole('region', { name: 'Mock test, driving' })).toBeTruthy();
        fireEvent.click(key('Parked'));
        fireEvent.click(within(screen.getByRole('listitem', { name: /^Fault 1, Speed/ })).getByRole('button', { name: planned.rules.effects.nobody! }));
        cleanup();
        face();
        fireEvent.click(await screen.findByRole('button', { name: 'What it comes to' }));
        expect((await screen.findByRole('alert')).textContent).toContain('must lie behind us. It is kept on this device.');
        fireEvent.click(key('Drive on'));
        fireEvent.click(key('Parked'));
        expect(screen.getByRole('listitem', { name: /^Fault 1, Speed/ })).toBeTruthy();
        fireEvent.click(key('Throw it away'));
        expect(await screen.findByRole('button', { name: 'Begin' })).toBeTruthy();
        fireEvent.click(key('Undo'));
        expect(await screen.findByRole('listitem', { name: /^Fault 1, Speed/ })).toBeTruthy();
        fireEvent.click(key('Throw it away'));
        await waitFor(() => expect(localStorage.length).toBe(0));
    });

    it('is remembered where lessons are driven, until it is sent or thrown away', async () => {
        server({ 'POST compute/approach': tool('tool-approach'), 'GET places': answer('demo-places'), 'GET routines?pack=gb': answer('demo-routines') });
        await marksQueue.load('somebody who tests', () => Promise.resolve());
        const drive = async () => {
            cleanup();
            show(
                <RulesOf rules={planned.rules}>
                    <DriveFace lesson={{ ...planned, rounds: [] }} />
                </RulesOf>,
                'instructor',
            );
            return screen.findByRole('link', { name: /^Mock test/ });
        };
        expect((await drive()).textContent).toBe('Mock test');
        cleanup();
        face();
        fireEvent.click(await screen.findByRole('button', { name: 'Begin' }));
        const link = await drive();
        expect([link.textContent, link.getAttribute('href')]).toEqual(['Mock test: go on with it', `/lessons/${planned.id}/mock-test`]);
    });

    it('is driven without a plan too, and says that nothing can be said of ways', async () => {
        server({});
        face({ ...planned, items: [] });
        expect(await screen.findByText(/No ways are on the plan/)).toBeTruthy();
        fireEvent.click(key('Begin'));
        expect(screen.getByText('Anywhere')).toBeTruthy();
        fireEvent.click(key('Position'));
        fireEvent.click(key('Parked'));
        expect(screen.queryByRole('heading', { name: 'Ways driven' })).toBeNull();
    });
});
