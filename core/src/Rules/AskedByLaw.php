<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

/**
 * Driving that a learner has to show before the test: so many minutes at the wheel, or so many lessons with an instructor. From memory in
 * all packs: who is to rely on it asks the authority.
 */
final readonly class AskedByLaw
{
    /**
     * @param  string  $code  names it within its pack
     * @param  int  $wanted  minutes, or lessons where each has to be of some length
     * @param  ?int  $lessonMinutes  how long each lesson is; null where minutes are asked for, with whomever they were driven
     * @param  ?string  $light  counted only in this light, as marks note it; null for all
     * @param  bool  $ofMinors  asked of learners who are not of age, and of nobody else
     * @param  ?string  $beside  what it asks for besides that nobody here can count
     */
    private function __construct(
        public string $code,
        public string $title,
        public int $wanted,
        public ?int $lessonMinutes,
        public ?string $light,
        public bool $ofMinors,
        public ?string $beside,
        public Source $source,
    ) {
    }

    /** @param  positive-int  $minutes */
    public static function minutes(string $code, string $title, int $minutes, Source $source, ?string $light = null, bool $ofMinors = false): self
    {
        return new self($code, $title, $minutes, null, $light, $ofMinors, null, $source);
    }

    /**
     * @param  positive-int  $lessons
     * @param  positive-int  $minutes  of each
     */
    public static function lessons(string $code, string $title, int $lessons, int $minutes, Source $source, ?string $beside = null): self
    {
        return new self($code, $title, $lessons, $minutes, null, false, $beside, $source);
    }
}
