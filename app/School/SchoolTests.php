<?php

namespace App\School;

use App\Models\Assessment;
use App\Models\Centre;
use Illuminate\Support\Collection;
use NobleTurn\Core\Assessment\MarkedFault;
use NobleTurn\Core\Assessment\Result;
use NobleTurn\Core\Assessment\Scheme;
use NobleTurn\Core\Assessment\Severity;
use NobleTurn\Core\School\FailedBy;
use NobleTurn\Core\School\HeldAgainst;
use NobleTurn\Core\Trade\Effect;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** The tests that learners of this school took: what was expected of them, and what they failed by at each centre. */
final class SchoolTests
{
    /** Of so few a colleague could tell whose they were: nothing is counted. */
    private const LEAST = 5;

    /** @return array<string, mixed> */
    public static function told(): array
    {
        $tests = Assessment::query()->where('kind', 'test')->get();
        $held = HeldAgainst::of(array_values($tests->whereNotNull('chance')
            ->map(static fn (Assessment $one): array => ['chance' => (float) $one->chance, 'passed' => $one->result === 'pass'])->all()));
        $isEnough = $held->isEnough();
        $at = $tests->groupBy('centre_id');

        return [
            'held' => [
                'tests' => $held->tests, 'enough' => $isEnough, 'expected' => $isEnough ? round($held->expected, 1) : null,
                'passed' => $isEnough ? $held->passed : null, 'message' => $held->message(),
                'bins' => $isEnough ? array_map(static fn (array $bin): array => ['said' => round($bin['said'], 4)] + $bin, $held->bins) : [],
            ],
            'centres' => array_values(Centre::query()->orderBy('name')->get()->map(static fn (Centre $centre): array => [
                'id' => $centre->id, 'name' => $centre->name, ...self::at($at[$centre->id] ?? new Collection),
            ])->all()),
        ];
    }

    /**
     * @param  Collection<int, Assessment>  $tests
     * @return array<string, mixed>
     */
    private static function at(Collection $tests): array
    {
        $failed = FailedBy::of(array_values($tests->map(static fn (Assessment $one): array => [
            'passed' => $one->result === 'pass', 'result' => Result::of(Scheme::byCode($one->scheme), array_map(self::fault(...), $one->faults)),
        ])->all()));

        return [
            'tests' => $tests->count(), 'passed' => $tests->count() < self::LEAST ? null : $failed->passed,
            'known' => $failed->known, 'least' => FailedBy::TESTS,
            'steps' => $failed->isEnough() ? array_map(static fn (array $one): array => [
                'step' => $one['step']->value, 'routine' => $one['routine']?->value, 'share' => $one['share'],
            ], $failed->steps) : [],
        ];
    }

    /** @param  array{step: string, routine?: ?string, fault?: ?string, effect?: ?string, severity?: ?string}  $fault */
    private static function fault(array $fault): MarkedFault
    {
        return new MarkedFault(
            Step::from($fault['step']), RoutineCode::tryFrom($fault['routine'] ?? ''), $fault['fault'] ?? null, Effect::tryFrom($fault['effect'] ?? ''),
            Severity::tryFrom($fault['severity'] ?? ''),
        );
    }
}
