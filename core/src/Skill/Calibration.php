<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

/**
 * How well a record foretells: over some lessons, what was said against what came. Lessons, not marks, are what is counted when it is asked whether
 * that could be chance: marks of one lesson have their day in common.
 */
final readonly class Calibration
{
    /** Of the latest lessons of a learner: who changes is judged by what is so now (assumed). */
    public const LESSONS = 8;

    /** A lesson with fewer marks says next to nothing of itself and is passed over (assumed). */
    public const WORTH_COUNTING = 10;

    /** Under so many lessons or marks nothing is said (assumed). */
    private const FEWEST_LESSONS = 3;

    private const FEWEST_MARKS = 60;

    /** So much a mark, natural logarithm, is worth a word: surprised by more than it said, or behind a count (assumed). */
    private const WORTH_A_WORD = 0.1;

    /** So many of a mark better or worse than was said is worth a word (assumed). */
    private const APART = 0.02;

    private function __construct(
        public int $marks,
        /** -ln of the chance that was given to what came, a mark; what it said that would be; and that of a count of the latest marks. */
        public float $loss,
        public float $expected,
        public float $counting,
        /** @var array<int, array{marks: int, foretold: float, unaided: int}> as of a lesson */
        public array $bins,
        /** @var non-empty-list<Foretold> */
        public array $lessons,
    ) {
    }

    /** @param  list<Foretold>  $lessons */
    public static function of(array $lessons): ?self
    {
        $marks = array_sum(array_column($lessons, 'marks'));
        if ($lessons === [] || $marks === 0) {
            return null;
        }
        $bins = [];
        foreach ($lessons as $lesson) {
            foreach ($lesson->bins as $bin => $of) {
                $before = $bins[$bin] ?? ['marks' => 0, 'foretold' => 0.0, 'unaided' => 0];
                $bins[$bin] = [
                    'marks' => $before['marks'] + $of['marks'], 'foretold' => $before['foretold'] + $of['foretold'],
                    'unaided' => $before['unaided'] + $of['unaided'],
                ];
            }
        }
        ksort($bins);
        $a = static fn (string $what): float => array_sum(array_column($lessons, $what)) / $marks;

        return new self($marks, $a('loss'), $a('expected'), $a('counting'), $bins, $lessons);
    }

    public function trust(): Trust
    {
        return match (true) {
            count($this->lessons) < self::FEWEST_LESSONS || $this->marks < self::FEWEST_MARKS => Trust::TooEarly,
            self::atLeast(array_map(static fn (Foretold $one): float => $one->behindCounting(), $this->lessons)) > self::WORTH_A_WORD => Trust::BehindCounting,
            self::atLeast(array_map(static fn (Foretold $one): float => $one->surprise(), $this->lessons)) > self::WORTH_A_WORD => Trust::Surprised,
            default => Trust::Trusted,
        };
    }

    /** As a sentence: whether to rely on it, and where everything came better or worse than was said, by how much. */
    public function message(): string
    {
        $trust = $this->trust();
        if ($trust !== Trust::Trusted) {
            return $trust->message();
        }
        $better = array_map(static fn (Foretold $one): float => $one->betterThanSaid(), $this->lessons);
        $worse = array_map(static fn (float $x): float => -$x, $better);
        $figures = sprintf(
            '%d of 100 marks were unaided, %d foretold.', round(100 * array_sum(array_column($this->bins, 'unaided')) / $this->marks),
            round(100 * array_sum(array_column($this->bins, 'foretold')) / $this->marks),
        );

        return match (true) {
            self::atLeast($better) > self::APART => "Marks came better than was said: {$figures}",
            self::atLeast($worse) > self::APART => "Marks came worse than was said: {$figures}",
            default => $trust->message(),
        };
    }

    /**
     * What the average over lessons is at least, nine times in ten: Student's t, from memory, by the number of lessons.
     *
     * @param  non-empty-list<float>  $of
     */
    private static function atLeast(array $of): float
    {
        $n = count($of);
        $mean = array_sum($of) / $n;
        $variance = array_sum(array_map(static fn (float $x): float => ($x - $mean) ** 2, $of)) / max(1, $n - 1);
        $t = [2 => 3.078, 3 => 1.886, 4 => 1.638, 5 => 1.533, 6 => 1.476, 7 => 1.440, 8 => 1.415][$n] ?? ($n < 2 ? INF : Belief::TENTH + 1.2 / $n);

        return $mean - $t * sqrt($variance / $n);
    }
}
