<?php

declare(strict_types=1);

namespace NobleTurn\Core\School;

use NobleTurn\Core\Assessment\Result;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** What tests of one centre were failed by: the steps whose faults the deciding rule counted, each with its share of the failed tests. */
final readonly class FailedBy
{
    /** From fewer failed tests nothing is claimed (assumed). */
    public const TESTS = 8;

    private function __construct(
        public Share $passed,
        /** Failed tests of which the faults are known: an examiner may have said no more than that it was failed. */
        public int $known,
        /** @var list<array{step: Step, routine: ?RoutineCode, share: Share}> most often first */
        public array $steps,
    ) {
    }

    /** @param  list<array{passed: bool, result: Result}>  $tests  as the examiner decided, and what the scheme makes of the faults written down */
    public static function of(array $tests): self
    {
        $found = [];
        $known = 0;
        foreach ($tests as $test) {
            if ($test['passed'] || $test['result']->passes()) {
                continue;
            }
            $known++;
            $of = [];
            foreach ($test['result']->deciding() as $fault) {
                $of[$fault->step->value.'|'.($fault->routine->value ?? '')] = $fault;
            }
            foreach ($of as $key => $fault) {
                $found[$key] ??= ['step' => $fault->step, 'routine' => $fault->routine, 'tests' => 0];
                $found[$key]['tests']++;
            }
        }
        ksort($found);
        uasort($found, static fn (array $one, array $other): int => $other['tests'] <=> $one['tests']);

        return new self(
            new Share(count(array_filter($tests, static fn (array $test): bool => $test['passed'])), count($tests)), $known,
            array_map(
                static fn (array $one): array => ['step' => $one['step'], 'routine' => $one['routine'], 'share' => new Share($one['tests'], $known)],
                array_values($found),
            ),
        );
    }

    public function isEnough(): bool
    {
        return $this->known >= self::TESTS;
    }
}
