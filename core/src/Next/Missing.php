<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Record\HoursBook;
use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Rules\AskedByLaw;
use NobleTurn\Core\Trade\RoutineCode;

/** One thing that is missing before a test, with how much of it there is. */
final readonly class Missing
{
    /** So often of ten a routine is to go alone in what a test can bring (assumed). */
    public const ALONE = 0.75;

    /** Rounds of a routine within so many days (assumed). */
    private const ROUNDS = 3;

    private const LATELY_DAYS = 60;

    /** Rounds in busy traffic, of whatever a test asks (assumed). */
    private const BUSY_ROUNDS = 5;

    /** Mock tests that were passed, and are not older than this (assumed). */
    private const MOCK_TESTS = 1;

    private const MOCK_DAYS = 60;

    /** @param  int  $rounds  it takes no fewer of them */
    private function __construct(
        public MissingKind $kind, public ?RoutineCode $routine, public ?string $condition, public float $have, public float $wanted, public string $unit,
        public string $message, public int $rounds = 0,
    ) {
    }

    /**
     * @param  list<Routine>  $required
     * @param  list<\DateTimeImmutable>  $passed  when mock tests were
     * @param  list<AskedByLaw>  $asked  of this learner
     * @return list<self> in the order in which it would be done
     */
    public static function of(Learner $learner, array $required, array $passed, ?HoursBook $hours, array $asked): array
    {
        $busy = array_filter(
            self::rounds($learner, $required), static fn (array $round): bool => $round['traffic'] === 'busy',
        );

        return [
            ...self::routines($learner, $required),
            ...count($busy) >= self::BUSY_ROUNDS ? [] : [new self(
                MissingKind::Condition, null, 'busy', (float) count($busy), (float) self::BUSY_ROUNDS, 'rounds',
                sprintf('In busy traffic: %s of %d rounds.', count($busy) === 0 ? 'none' : count($busy), self::BUSY_ROUNDS), self::BUSY_ROUNDS - count($busy),
            )],
            ...self::evidence($learner, $required),
            ...self::hours($hours, $asked),
            ...self::mockTests($learner, $passed),
        ];
    }

    /**
     * @param  list<Routine>  $required
     * @return list<self> what may be driven already first, and of that what goes least well
     */
    private static function routines(Learner $learner, array $required): array
    {
        $found = [];
        foreach ($required as $routine) {
            $alone = self::alone($learner, $routine);
            $tenths = (int) round(10.0 * $alone);
            if ($learner->isNew($routine) ? ! $learner->isBehind($routine) : $alone < self::ALONE) {
                $times = Telling::times(min(7, $tenths) / 10.0);
                $said = $learner->isNew($routine) ? 'never driven' : "alone {$times} where it is busy, 8 times in 10 are wanted";
                $found[] = [[(int) ! $learner->mayDrive($routine), count(Prerequisites::all($routine->code, $learner->pack)), $alone], new self(
                    MissingKind::Routine, $routine->code, null, $learner->isNew($routine) ? 0.0 : (float) min(7, $tenths), 8.0, 'times in 10',
                    "{$learner->title($routine)}: {$said}.", max(1, self::ROUNDS - self::lately($learner, $routine)),
                )];
            }
        }
        usort($found, static fn (array $one, array $other): int => $one[0] <=> $other[0]);

        return array_column($found, 1);
    }

    /**
     * @param  list<Routine>  $required
     * @return list<self>
     */
    private static function evidence(Learner $learner, array $required): array
    {
        $found = [];
        foreach ($required as $routine) {
            // What they must do to do what rests on it, and nobody marks, wants marking.
            if ($learner->isNew($routine) ? ! $learner->isBehind($routine) : self::alone($learner, $routine) < self::ALONE) {
                continue;
            }
            $rounds = self::lately($learner, $routine);
            if ($rounds < self::ROUNDS) {
                $found[] = new self(
                    MissingKind::Evidence, $routine->code, null, (float) $rounds, (float) self::ROUNDS, 'rounds',
                    sprintf('%s: %s in the last %d days, %d are wanted.', $learner->title($routine),
                        match ($rounds) {
                            0 => 'no round', 1 => '1 round', default => "{$rounds} rounds"
                        }, self::LATELY_DAYS, self::ROUNDS), self::ROUNDS - $rounds,
                );
            }
        }

        return $found;
    }

    /**
     * @param  list<AskedByLaw>  $asked
     * @return list<self>
     */
    private static function hours(?HoursBook $hours, array $asked): array
    {
        $found = [];
        foreach ($asked as $one) {
            $held = ($hours ?? new HoursBook([]))->against($one);
            if (! $held->isMet()) {
                $found[] = new self(
                    MissingKind::Hours, null, $one->light, round($held->have, 1), (float) $one->wanted, $one->lessonMinutes === null ? 'minutes' : 'lessons',
                    "{$one->title}: {$held->message()}",
                );
            }
        }

        return $found;
    }

    /**
     * @param  list<\DateTimeImmutable>  $passed
     * @return list<self>
     */
    private static function mockTests(Learner $learner, array $passed): array
    {
        $since = $learner->on->modify('-'.self::MOCK_DAYS.' days');
        $number = count(array_filter($passed, static fn (\DateTimeImmutable $on): bool => $on >= $since));

        return $number >= self::MOCK_TESTS ? [] : [new self(
            MissingKind::MockTest, null, null, (float) $number, (float) self::MOCK_TESTS, 'mock tests',
            sprintf('A mock test that is passed: none in the last %d days.', self::MOCK_DAYS),
        )];
    }

    /** How often it goes alone in the harder conditions of a test, over its steps. */
    private static function alone(Learner $learner, Routine $routine): float
    {
        return $learner->worth->alone($routine, $learner->fit->harder(Forecast::conditions()));
    }

    private static function lately(Learner $learner, Routine $routine): int
    {
        $since = $learner->on->modify('-'.self::LATELY_DAYS.' days');

        return count(array_filter(self::rounds($learner, [$routine]), static fn (array $round): bool => $round['at'] >= $since));
    }

    /**
     * @param  list<Routine>  $of
     * @return array<string, array{at: \DateTimeImmutable, traffic: ?string}> rounds that are evidence
     */
    private static function rounds(Learner $learner, array $of): array
    {
        $codes = array_map(static fn (Routine $routine): RoutineCode => $routine->code, $of);
        $rounds = [];
        foreach ($learner->evidence as $one) {
            if (! $one->taught && in_array($one->routine, $codes, true)) {
                $rounds["{$one->lesson} {$one->routine->value} {$one->at->format('Uu')}"] = ['at' => $one->at, 'traffic' => $one->conditions->traffic];
            }
        }

        return $rounds;
    }
}
