import { execFileSync } from 'node:child_process';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '@/api/client';
import { NotShown } from './NotShown';

afterEach(cleanup);

/** The core's own refusal of an input, as it comes over the wire. */
function refused(tool: string, input: object): Problem {
    try {
        execFileSync('php', ['artisan', 'compute', tool], { input: JSON.stringify(input), stdio: ['pipe', 'pipe', 'pipe'] });
    } catch (failed) {
        const said = JSON.parse(String((failed as { stderr: Buffer; stdout: Buffer }).stdout) || String((failed as { stderr: Buffer }).stderr)) as {
            message: string;
            errors: Record<string, string | string[]>;
        };
        return new Problem(422, said.message, Object.fromEntries(Object.entries(said.errors).map(([field, text]) => [field, [text].flat()])));
    }
    throw new Error('The core took it.');
}

describe('what stands in for a missing part', () => {
    it('says the core’s own sentence with the field it is about, and tries again on a press', () => {
        const again = vi.fn();
        render(
            <NotShown
                what="The gap here is not shown"
                error={refused('gap', { manoeuvre: 'emerge-right', other_speed_mph: -5, other_distance_m: 90 })}
                retry={again}
            />,
        );
        expect(screen.getByRole('alert').textContent).toMatch(/^The gap here is not shown: other_speed_mph .*\S/);
        fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
        expect(again).toHaveBeenCalledOnce();
    });

    it.each([
        [new Problem(0, 'x'), 'the server cannot be reached.'],
        [new Problem(503, 'x'), 'the server cannot be reached.'],
        [new Problem(403, 'Only the owner may.'), 'Only the owner may.'],
        [new Error('inside'), 'something broke on our side.'],
    ])('says why in words, never how the inside is built: %s', (error, words) => {
        render(<NotShown what="The strip is not shown" error={error} />);
        expect(screen.getByRole('alert').textContent).toBe(`The strip is not shown: ${words}`);
        expect(screen.queryByRole('button')).toBeNull();
    });
});
