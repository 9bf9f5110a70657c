<?php

declare(strict_types=1);

namespace NobleTurn\Core\School;

use NobleTurn\Core\Skill\Belief;

/**
 * What the marks said of somebody's chance on the day of their test, held against what the examiner said. As many passes are expected as the chances
 * add up to, with the spread of as many throws of unlike coins (Poisson 1837, from memory).
 */
final readonly class HeldAgainst
{
    /** From fewer tests nothing is claimed (assumed). */
    public const TESTS = 8;

    private const BINS = 5;

    /**
     * @param  list<array{from: float, until: float, said: float, passed: Share}>  $bins  those that hold a test, the least likely first; said is the
     *                                                                                      mean of its chances
     */
    private function __construct(public int $tests, public float $expected, public float $spread, public ?Share $passed, public array $bins)
    {
    }

    /** @param  list<array{chance: float, passed: bool}>  $tests */
    public static function of(array $tests): self
    {
        $bins = [];
        $expected = $variance = 0.0;
        foreach ($tests as $test) {
            $expected += $test['chance'];
            $variance += $test['chance'] * (1.0 - $test['chance']);
            $bins[(int) min(self::BINS - 1, floor($test['chance'] * self::BINS))][] = $test;
        }
        ksort($bins);

        return new self(
            count($tests), $expected, sqrt($variance), $tests === [] ? null : self::passed($tests), array_map(static fn (int $bin, array $of): array => [
                'from' => $bin / self::BINS, 'until' => ($bin + 1) / self::BINS, 'said' => array_sum(array_column($of, 'chance')) / count($of),
                'passed' => self::passed($of),
            ], array_keys($bins), array_values($bins)),
        );
    }

    public function isEnough(): bool
    {
        return $this->tests >= self::TESTS;
    }

    public function message(): string
    {
        if (! $this->isEnough() || $this->passed === null) {
            $so = match ($this->tests) {
                0 => 'no test', 1 => 'one test', default => "{$this->tests} tests",
            };

            return "Nothing can be said from {$so}: ".self::TESTS.' at the least.';
        }
        $off = $this->passed->count - $this->expected;
        $held = match (true) {
            abs($off) <= Belief::TENTH * $this->spread => 'about as many as the marks let expect',
            $off > 0.0 => 'more than the marks let expect: it says too little',
            default => 'fewer than the marks let expect: it says too much',
        };

        return sprintf('%d of %d passed; %.1f were expected: %s.', $this->passed->count, $this->tests, $this->expected, $held);
    }

    /** @param  list<array{chance: float, passed: bool}>  $tests */
    private static function passed(array $tests): Share
    {
        return new Share(count(array_filter($tests, static fn (array $test): bool => $test['passed'])), count($tests));
    }
}
