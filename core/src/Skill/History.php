<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/** What was to be believed of one step of one routine after each lesson that marked it, from what was known by then. */
final readonly class History
{
    /** So many of the last such lessons are gone back to. */
    public const LESSONS = 12;

    private function __construct(public string $lesson, public \DateTimeImmutable $at, public Belief $belief, public int $unaided, public int $of)
    {
    }

    /**
     * @param  list<LessonTold>  $lessons  oldest first
     * @return list<self> of those that marked it
     */
    public static function of(array $lessons, RoutineCode $routine, Step $step): array
    {
        $found = [];
        foreach ($lessons as $lesson) {
            foreach ($lesson->changed as $one) {
                if ($one->routine === $routine && $one->step === $step) {
                    $found[] = new self($lesson->lesson, $lesson->ended, $lesson->then["{$routine->value}.{$step->value}"], $one->unaided, $one->marks);
                }
            }
        }

        return $found;
    }
}
