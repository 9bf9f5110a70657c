import { expect, it } from 'vitest';
import { sweep } from '@/testing/answers';
import { unfold } from './folded';

/** One sweep of the core, recorded both ways: core/tests/Compute/FoldedTest.php. */

it('makes each answer whole again', () => {
    expect(unfold(sweep.folded)).toEqual(sweep.plain.answers);
});

it('has rows in which lists come and go', () => {
    const steps = sweep.plain.answers.map((answer) => (answer.axis === 'none' ? '' : answer.steps.map((step) => step.step).join()));
    const gears = sweep.plain.answers.map((answer) => (answer.axis === 'distance' ? answer.gear_changes.length : 0));
    expect(new Set(gears).size).toBeGreaterThan(1);
    expect(new Set(steps).size).toBeGreaterThan(0);
});

it('shares what they have in common instead of copying it', () => {
    const [first, second] = unfold<{ practice: object }>(sweep.folded);
    expect(first!.practice).toBe(second!.practice);
});
