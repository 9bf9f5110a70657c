<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

/** How much somebody drives from now on. */
final readonly class Schedule
{
    /** A round of a lesson takes so long with the drive that leads to it, minutes (assumed); so much of a lesson is driven. */
    private const A_ROUND = 4.0;

    private const DRIVEN = 0.85;

    /** What is driven with somebody else counts so much as with an instructor (assumed). */
    private const PRACTICE = 0.4;

    /**
     * @param  float  $lessonMinutes  of each lesson
     * @param  float  $minutesAWeek  of lessons; more than 0
     * @param  float  $practiceMinutesAWeek  between them
     */
    public function __construct(public float $lessonMinutes, public float $minutesAWeek, public float $practiceMinutesAWeek)
    {
    }

    /** From one lesson to the next. */
    public function days(): float
    {
        return 7.0 * $this->lessonMinutes / $this->minutesAWeek;
    }

    public function rounds(): float
    {
        return self::DRIVEN * $this->lessonMinutes / self::A_ROUND;
    }

    /** Between two lessons, as rounds of a lesson. */
    public function practiceRounds(): float
    {
        return self::PRACTICE * $this->practiceMinutesAWeek * $this->days() / 7.0 / self::A_ROUND;
    }

    public function withPractice(float $minutesAWeek): self
    {
        return new self($this->lessonMinutes, $this->minutesAWeek, $this->practiceMinutesAWeek + $minutesAWeek);
    }

    public function withLessons(float $minutesAWeek): self
    {
        return new self($this->lessonMinutes, $this->minutesAWeek + $minutesAWeek, $this->practiceMinutesAWeek);
    }
}
