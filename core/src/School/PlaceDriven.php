<?php

declare(strict_types=1);

namespace NobleTurn\Core\School;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** How often a place was failed, beside the same routine at the school's other places: who drives it counts as well as what it is. */
final readonly class PlaceDriven
{
    /** With fewer rounds or learners a place is in no order (assumed). */
    public const ROUNDS = 10;

    public const LEARNERS = 3;

    private function __construct(
        public string $place,
        public RoutineCode $routine,
        /** Rounds in which a step was missed or the instructor stepped in. */
        public Share $failed,
        public int $learners,
        /** The same at the other places of this routine. */
        public Share $elsewhere,
        /** Which step most often, and in how many rounds. */
        public ?Step $step,
        public int $stepRounds,
    ) {
    }

    public function isEnough(): bool
    {
        return $this->failed->of >= self::ROUNDS && $this->learners >= self::LEARNERS;
    }

    /** Failed surely more often than the same routine elsewhere: the ranges do not meet. Whether it is the place or who drives it, this does not say. */
    public function failsMore(): bool
    {
        return $this->isEnough() && $this->elsewhere->of >= self::ROUNDS && $this->failed->low > $this->elsewhere->high;
    }

    /**
     * @param  list<array{place: string, routine: string, rounds: int, failed: int, learners: int}>  $places
     * @param  list<array{place: string, routine: string, step: string, failed: int}>  $steps
     * @return list<self> those with enough rounds first, most often failed first
     */
    public static function of(array $places, array $steps): array
    {
        $found = [];
        foreach ($places as $row) {
            $same = array_filter($places, static fn (array $other): bool => $other['routine'] === $row['routine'] && $other['place'] !== $row['place']);
            $here = array_values(
                array_filter(
                    $steps,
                    static fn (array $step): bool => $step['place'] === $row['place'] && $step['routine'] === $row['routine'] && $step['failed'] > 0,
                ),
            );
            usort($here, static fn (array $a, array $b): int => [$b['failed'], $a['step']] <=> [$a['failed'], $b['step']]);
            $found[] = new self(
                $row['place'], RoutineCode::from($row['routine']), new Share($row['failed'], $row['rounds']), $row['learners'],
                new Share((int) array_sum(array_column($same, 'failed')), (int) array_sum(array_column($same, 'rounds'))),
                $here === [] ? null : Step::from($here[0]['step']), $here[0]['failed'] ?? 0,
            );
        }
        usort(
            $found,
            static fn (self $a, self $b): int => [! $a->isEnough(), -$a->failed->share(), $a->place] <=> [! $b->isEnough(), -$b->failed->share(), $b->place],
        );

        return $found;
    }
}
