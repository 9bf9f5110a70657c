<?php

declare(strict_types=1);

use NobleTurn\Core\Assessment\MarkedFault;
use NobleTurn\Core\Assessment\Result;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Assessment\Severity;
use NobleTurn\Core\School\FailedBy;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * @param  list<array{string, string, string}>  $faults  step, routine, severity
 * @return array{passed: bool, result: Result}
 */
function testTaken(array $faults, ?bool $passed = null): array
{
    $result = Result::of(Scheme::byCode('gb-car'), array_map(
        static fn (array $one): MarkedFault => new MarkedFault(Step::from($one[0]), RoutineCode::from($one[1]), given: Severity::from($one[2])), $faults,
    ));

    return ['passed' => $passed ?? $result->passes(), 'result' => $result];
}

it('counts what decided, and not what was written beside it', function (): void {
    $found = FailedBy::of([
        testTaken([['look', 'emerge-right', 'serious'], ['signal', 'turn-left', 'driving']]),
        testTaken([['look', 'emerge-right', 'serious'], ['look', 'emerge-right', 'serious'], ['mirrors', 'turn-right', 'driving']]),
        testTaken([['position', 'roundabout', 'dangerous']]),
        testTaken([['signal', 'turn-left', 'driving']]),
        testTaken([]),
        // The examiner said more than was written down: failed, by nobody knows what.
        testTaken([], false),
    ]);
    expect($found->passed->count)->toBe(2)->and($found->passed->of)->toBe(6)->and($found->known)->toBe(3)->and($found->isEnough())->toBeFalse()
        ->and(array_map(
            static fn (array $one): array => [$one['step']->value, $one['routine']?->value, $one['share']->count, $one['share']->of], $found->steps,
        ))
        // Twice in one test is one test.
        ->toBe([['look', 'emerge-right', 2, 3], ['position', 'roundabout', 1, 3]]);
});

it('claims nothing from five tests, and something from many', function (): void {
    $fails = static fn (int $times): FailedBy => FailedBy::of(array_fill(0, $times, testTaken([['look', 'emerge-right', 'serious']])));
    expect($fails(5)->isEnough())->toBeFalse()->and($fails(FailedBy::TESTS)->isEnough())->toBeTrue()
        ->and($fails(20)->steps[0]['share']->low)->toBeGreaterThan($fails(8)->steps[0]['share']->low)
        ->and(FailedBy::of([])->steps)->toBe([])->and(FailedBy::of([])->passed->of)->toBe(0);
});

it('is the same in whatever order tests come', function (): void {
    $tests = [
        testTaken([['look', 'emerge-right', 'serious']]), testTaken([['position', 'roundabout', 'serious']]), testTaken([]),
        testTaken([['position', 'roundabout', 'dangerous']]), testTaken(array_fill(0, 16, ['signal', 'turn-left', 'driving'])),
    ];
    $said = static fn (FailedBy $found): array => array_map(
        static fn (array $one): array => [$one['step'], $one['routine'], $one['share']->count], $found->steps,
    );
    expect($said(FailedBy::of(array_reverse($tests))))->toBe($said(FailedBy::of($tests)))
        // Sixteen small ones fail together: the step that all of them were of.
        ->and($said(FailedBy::of([$tests[4]])))->toBe([[Step::Signal, RoutineCode::TurnLeft, 1]]);
});
