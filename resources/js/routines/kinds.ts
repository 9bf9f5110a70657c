import type { RoutineCode, Side } from '@/api/types';

/** What a form asks about a place depends on the routine: these follow the fields the core's approach tool takes. */
export const hasLine = (code: RoutineCode) => code.startsWith('emerge') || code === 'cross';
export const hasWayOut = (code: RoutineCode) => code === 'roundabout' || code === 'mini-roundabout' || code === 'all-way-stop';
export const hasLights = (code: RoutineCode) => code.startsWith('lights') || code === 'rail-crossing';
export const hasTurn = (code: RoutineCode) => code.startsWith('turn') || code.startsWith('lights-') || code === 'centre-lane-left';

export const WAYS_OUT = { left: 'Left', ahead: 'Straight on', right: 'Right', back: 'Back where it came from' } as const;
export const LIGHTS = { green: 'Just turned green', 'green-long': 'Green for long', changing: 'Changing', red: 'Red' } as const;

/** Pages of the bench that reckon what a routine asks: their names and addresses. */
export function benchFor(code: RoutineCode, keeps: Side): [string, string][] {
    const across = keeps === 'left' ? 'right' : 'left';
    if (code === 'cross' || code.startsWith('emerge-')) return [['Is the gap long enough?', `/bench/gap?manoeuvre=${code}`]];
    if (code === `turn-${across}` || code === `lights-${across}` || code === 'centre-lane-left')
        return [
            ['Is the gap long enough?', '/bench/gap?manoeuvre=turn-across'],
            ['How much wheel?', '/bench/steering?kerb=8'],
        ];
    if (code.startsWith('turn-') || code === 'right-on-red') return [['How much wheel?', '/bench/steering?kerb=6']];
    if (code === 'roundabout') return [['Which lane?', '/bench/roundabout']];
    if (code === 'pull-up-right-reverse' || code === 'back-up') return [['How it runs backwards', '/bench/reversing']];
    if (code === 'bay-in') return [['Where the bay begins', '/bench/reversing?exercise=bay']];
    if (code === 'long-left' || code === 'long-right') return [['Does it get round?', '/bench/long-vehicle']];
    if (code === 'height') return [['Does it pass?', '/bench/clearance']];
    if (code === 'join')
        return [
            ['Is the slip long enough?', '/bench/join'],
            ['What the gears can do', '/bench/gears'],
        ];
    if (code === 'leave') return [['What is due where', '/bench/leave']];
    if (code === 'overtake')
        return [
            ['Is the view long enough?', '/bench/overtake'],
            ['What the gears can do', '/bench/gears'],
        ];
    if (code.startsWith('lane-change-') || code === 'merge' || code === 'long-lane-change')
        return [
            ['Which gap, faster or easier?', `/bench/lane-change?to=${code === 'lane-change-left' ? 'left' : code === 'lane-change-right' ? 'right' : across}`],
        ];
    return code === 'gear-change' ? [['What the gears can do', '/bench/gears']] : [];
}
