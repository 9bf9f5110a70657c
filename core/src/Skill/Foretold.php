<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/** How well the marks of a lesson were foretold by what was known before it began, beside counting. */
final readonly class Foretold
{
    public const BINS = 10;

    /** Counting goes by so many of a cell's latest marks, filled up by so many of what the learner's are like on the whole (assumed). */
    private const LATEST = 6;

    private const FILLED_UP = 2.0;

    /**
     * @param  float  $loss  of all marks, -ln of the chance that was given to what came
     * @param  float  $expected  what it would be if everything came as often as was said
     * @param  float  $counting  the same of a count of the latest marks
     * @param  array<int, array{marks: int, foretold: float, unaided: int}>  $bins  by tenths of the chance of "unaided" that was given: how many, the sum of
     *     those chances, and how many were
     */
    public function __construct(public int $marks, public float $loss, public float $expected, public float $counting, public array $bins)
    {
    }

    /** @param  array<string, mixed>  $said  its own fields, through JSON or not */
    public static function fromArray(array $said): self
    {
        return new self(
            $said['marks'], (float) $said['loss'], (float) $said['expected'], (float) $said['counting'],
            array_map(static fn (array $bin): array => [
                'marks' => (int) $bin['marks'], 'foretold' => (float) $bin['foretold'], 'unaided' => (int) $bin['unaided'],
            ], $said['bins']),
        );
    }

    /**
     * @param  Fit  $before  of what was known
     * @param  list<Evidence>  $earlier  the same, in the order of time
     * @param  list<Evidence>  $marks  of the lesson
     * @return ?self null where nothing had been marked before, or nothing was now
     */
    public static function of(Fit $before, array $earlier, array $marks): ?self
    {
        $isMark = static fn (Evidence $one): bool => ! $one->taught;
        [$earlier, $marks] = [array_filter($earlier, $isMark), array_filter($marks, $isMark)];
        if ($earlier === [] || $marks === []) {
            return null;
        }
        $byCell = [];
        $all = array_fill(0, Ladder::TOP + 1, 1.0);
        foreach ($earlier as $one) {
            $byCell[$one->cell()][] = $one->rank;
            $all[$one->rank]++;
        }
        [$loss, $expected, $counting, $bins] = [0.0, 0.0, 0.0, []];
        foreach ($marks as $one) {
            $chances = $before->foretells($one->routine, $one->step, $one->conditions, $one->place);
            $loss -= log($chances[$one->rank]);
            $expected -= array_sum(array_map(static fn (float $p): float => $p * log($p), $chances));
            $latest = array_slice($byCell[$one->cell()] ?? [], -self::LATEST);
            $alike = count(array_keys($latest, $one->rank, true)) + self::FILLED_UP * $all[$one->rank] / array_sum($all);
            $counting -= log($alike / (count($latest) + self::FILLED_UP));
            $bin = min(self::BINS - 1, (int) ($chances[Ladder::TOP] * self::BINS));
            $bins[$bin] ??= ['marks' => 0, 'foretold' => 0.0, 'unaided' => 0];
            $bins[$bin]['marks']++;
            $bins[$bin]['foretold'] += $chances[Ladder::TOP];
            $bins[$bin]['unaided'] += (int) ($one->rank === Ladder::TOP);
        }
        ksort($bins);

        return new self(count($marks), $loss, $expected, $counting, $bins);
    }

    /** By how much the marks surprised it more than it said they would, a mark. */
    public function surprise(): float
    {
        return ($this->loss - $this->expected) / $this->marks;
    }

    /** By how much of a mark more were unaided than was foretold; below 0 where fewer were. */
    public function betterThanSaid(): float
    {
        return (array_sum(array_column($this->bins, 'unaided')) - array_sum(array_column($this->bins, 'foretold'))) / $this->marks;
    }

    /** By how much counting would have done better, a mark; below 0 where it would have done worse. */
    public function behindCounting(): float
    {
        return ($this->loss - $this->counting) / $this->marks;
    }
}
