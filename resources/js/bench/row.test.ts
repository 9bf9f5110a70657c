import { describe, expect, it } from 'vitest';
import type { Rules } from '@/api/types';
import { answer } from '@/testing/answers';
import { askedRow, MOST_PARTS, readRow, rowBeginning, turnedInto, type Part } from './row';

const britain: Rules = answer('session').rules;
const inKilometres: Rules = { ...britain, speed_unit: 'kmh' };
const line = (what: string, at = 0, more: Partial<Part> = {}): Part => ({ what, at, speed: 30, ...more });

describe('a row in an address', () => {
    it('comes back as it was written, and without what cannot be read', () => {
        const row: Part[] = [line('roundabout', 0, { exit: 'left' }), line('join', 60, { slip: 320, speed: 60 }), line('turn-left', 90)];
        expect(readRow(JSON.stringify(row))).toEqual(row);
        for (const raw of ['', '{', '7', 'null', '{"what":"join"}', '[null,{"what":4,"at":1,"speed":2},{"what":"cross","at":"x","speed":30}]'])
            expect(readRow(raw)).toEqual([]);
        // A slip road has a length, an exit is a known one, and there are no more than the tool takes.
        expect(readRow('[{"what":"leave","at":5,"speed":60},{"what":"roundabout","at":5,"speed":30,"exit":"up"}]')).toEqual([
            { what: 'leave', at: 5, speed: 60, slip: 300 },
            { what: 'roundabout', at: 5, speed: 30 },
        ]);
        expect(readRow(JSON.stringify(Array(40).fill(line('hump', 50))))).toHaveLength(MOST_PARTS);
    });

    it('begins with speeds as they are signed in the unit of the rules', () => {
        expect(readRow(rowBeginning([line('cross'), line('join', 9, { speed: 60, slip: 200 })], inKilometres)).map(({ speed }) => speed)).toEqual([50, 100]);
    });
});

describe('a row as its tool is asked', () => {
    it('says of the first what nothing before it can say, and of no other', () => {
        expect(askedRow([line('join', 400, { speed: 60, slip: 250 }), line('leave', 900, { slip: 300, speed: 50 }), line('cross', 70)], britain)).toEqual([
            { tool: 'join', slip_length_m: 250, main_speed_mph: 60, entry_speed_mph: 39 },
            // The road that was joined says how fast it is.
            { tool: 'leave', distance_m: 900, slip_length_m: 300 },
            { tool: 'approach', distance_m: 70, routine: 'cross', limit_mph: 30 },
        ]);
        expect(askedRow([line('cross'), line('leave', 800, { slip: 300, speed: 80 }), line('join', 20, { slip: 200, speed: 90 })], inKilometres)).toEqual([
            { tool: 'approach', routine: 'cross', limit_kmh: 30 },
            { tool: 'leave', distance_m: 800, slip_length_m: 300, main_speed_kmh: 80 },
            { tool: 'join', distance_m: 20, slip_length_m: 200, main_speed_kmh: 90 },
        ]);
    });

    it('takes with a change of what something is only what belongs to it', () => {
        const round = line('roundabout', 40, { exit: 'right' });
        expect(turnedInto(round, 'leave', false)).toEqual({ what: 'leave', at: 40, speed: 30, slip: 300 });
        expect(turnedInto(turnedInto(round, 'leave', false), 'mini-roundabout', true)).toEqual({ what: 'mini-roundabout', at: 40, speed: 30, exit: 'ahead' });
        expect(turnedInto(round, 'mini-roundabout', true)).toEqual({ ...round, what: 'mini-roundabout' });
    });
});
