import type { RoutineCode } from '@/api/types';

/** What a form asks about a place depends on the routine: these follow the fields the core's approach tool takes. */
export const hasLine = (code: RoutineCode) => code.startsWith('emerge') || code === 'cross';
export const hasWayOut = (code: RoutineCode) => code === 'roundabout' || code === 'mini-roundabout' || code === 'all-way-stop';
export const hasLights = (code: RoutineCode) => code.startsWith('lights') || code === 'rail-crossing';
export const hasTurn = (code: RoutineCode) => code.startsWith('turn') || code.startsWith('lights-') || code === 'centre-lane-left';

export const WAYS_OUT = { left: 'Left', ahead: 'Straight on', right: 'Right', back: 'Back where it came from' } as const;
export const LIGHTS = { green: 'Just turned green', 'green-long': 'Green for long', changing: 'Changing', red: 'Red' } as const;
