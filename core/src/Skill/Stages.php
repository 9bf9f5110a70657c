<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * A second way to see a learner beside the `Fit`: each step of each routine stands at one of five stages and climbs one on some of the rounds it is
 * driven; after a long pause some have fallen one. A hidden Markov chain, as knowledge tracing has it with two stages (Corbett and Anderson 1994; from
 * memory), filtered mark by mark. Where somebody came from and how readily they climb is not known: it is weighed over a few kinds of learners by what
 * the marks say. Where the fit sees what hangs together, this sees which step of which routine came on, and when. It says nothing of what nobody has
 * marked.
 */
final class Stages
{
    /** Abilities at the stages in the reference conditions, logits: seldom, now and then, mostly, nearly always, always (assumed). */
    private const ABILITIES = [-2.0, -0.6, 0.8, 2.2, 3.6];

    /** About which stage the steps of a learner begin, how many learners do so, and how far they lie apart there, stages (all assumed). */
    private const BEGIN = [0 => 0.4, 1 => 0.35, 2 => 0.25];

    private const APART = 0.9;

    /** On so many of the rounds one climbs, as many learners of each (assumed). */
    private const CLIMBS = [0.03, 0.08, 0.18, 0.35];

    /** After a long pause so many have fallen a stage; after a week hardly anybody, half of those after so many days (all assumed). */
    private const FALLS = 0.7;

    private const PAUSE_DAYS = 150.0;

    /** An instructor's own word picks no stage more sharply than this, logits: half of what is between two (assumed). */
    private const WORD = 0.7;

    /** @var array<int, float> by kind: the logarithm of how likely this learner is one of them */
    private array $likely = [];

    /** @var array<int, float> by kind */
    private array $climbs = [];

    /** @var array<int, array{float, float, float, float, float}> by kind: how likely a step begins at each stage */
    private array $begins = [];

    /** @var array<int, array<string, array{float, float, float, float, float}>> by kind and "routine.step": how likely it stands at each stage now */
    private array $stands = [];

    /** @var array<string, int> by "routine.step": when it was last marked, shown or spoken of */
    private array $known = [];

    /** @var array<string, int> by "routine.step" */
    private array $marks = [];

    /** @var array<string, array{float, float, float, float, float}> by difficulty and rank: how likely such a mark is at each stage */
    private array $seen = [];

    private function __construct()
    {
        foreach (self::BEGIN as $about => $share) {
            $begins = array_map(static fn (int $stage): float => exp(-($stage - $about) ** 2 / (2.0 * self::APART ** 2)), array_keys(self::ABILITIES));
            $all = array_sum($begins);
            foreach (self::CLIMBS as $climbs) {
                $this->likely[] = log($share);
                $this->climbs[] = $climbs;
                $this->begins[] = array_map(static fn (float $part): float => $part / $all, $begins);
                $this->stands[] = [];
            }
        }
    }

    /**
     * @param  list<Evidence>  $evidence  in the order of time
     * @param  list<Overruling>  $overrulings
     */
    public static function of(array $evidence, array $overrulings = []): self
    {
        $stages = new self;
        usort($overrulings, static fn (Overruling $one, Overruling $other): int => $one->at <=> $other->at);
        foreach ($evidence as $one) {
            while ($overrulings !== [] && $overrulings[0]->at < $one->at) {
                $stages->hear(array_shift($overrulings));
            }
            $stages->drive($one);
        }
        array_map($stages->hear(...), $overrulings);

        return $stages;
    }

    /** How often something was seen of it, or said; what was only shown is none of that. */
    public function marks(RoutineCode $routine, Step $step): int
    {
        return $this->marks["{$routine->value}.{$step->value}"] ?? 0;
    }

    /**
     * What the next mark will be on a day, after so many rounds more on it, whatever those show.
     *
     * @param  float  $harder  than the reference conditions, logits
     * @return non-empty-list<float> chances for ranks 0 to 4; all positive, together 1
     */
    public function outcomes(RoutineCode $routine, Step $step, \DateTimeImmutable $on, int $rounds = 0, float $harder = 0.0): array
    {
        $cell = "{$routine->value}.{$step->value}";
        $falls = $this->falls($cell, $on->getTimestamp());
        $most = max([-INF, ...$this->likely]);
        [$stages, $all] = [[0.0, 0.0, 0.0, 0.0, 0.0], 0.0];
        foreach ($this->climbs as $kind => $climbs) {
            $stands = self::fallen($this->stands[$kind][$cell] ?? $this->begins[$kind], $falls);
            for ($i = 0; $i < $rounds; $i++) {
                $stands = self::climbed($stands, $climbs);
            }
            $likely = exp($this->likely[$kind] - $most);
            $all += $likely;
            foreach ($stands as $stage => $part) {
                $stages[$stage] += $likely * $part;
            }
        }

        return array_map(fn (int $rank): float => array_sum(array_map(
            static fn (float $part, float $chance): float => $part / $all * $chance, $stages, $this->seen($rank, $harder),
        )), range(0, Ladder::TOP));
    }

    private function drive(Evidence $one): void
    {
        $cell = $one->cell();
        $at = $one->at->getTimestamp();
        $seen = $one->taught ? null : $this->seen($one->rank, Difficulty::of($one->conditions));
        $falls = $this->falls($cell, $at);
        foreach ($this->climbs as $kind => $climbs) {
            $stands = self::fallen($this->stands[$kind][$cell] ?? $this->begins[$kind], $falls);
            $this->stands[$kind][$cell] = self::climbed($seen === null ? $stands : $this->weighed($kind, $stands, $seen), $climbs);
        }
        $this->known[$cell] = $at;
        $this->marks[$cell] = ($this->marks[$cell] ?? 0) + (int) ! $one->taught;
    }

    private function hear(Overruling $word): void
    {
        $cell = $word->cell();
        $seen = array_map(static fn (float $ability): float => exp(-($ability - $word->ability()) ** 2 / (2.0 * self::WORD ** 2)) + 1e-9, self::ABILITIES);
        $falls = $this->falls($cell, $word->at->getTimestamp());
        foreach (array_keys($this->climbs) as $kind) {
            $this->stands[$kind][$cell] = $this->weighed($kind, self::fallen($this->stands[$kind][$cell] ?? $this->begins[$kind], $falls), $seen);
        }
        $this->known[$cell] = $word->at->getTimestamp();
        $this->marks[$cell] = ($this->marks[$cell] ?? 0) + 1;
    }

    /**
     * @param  array{float, float, float, float, float}  $stands
     * @param  array{float, float, float, float, float}  $seen  how likely what was seen is at each stage
     * @return array{float, float, float, float, float}
     */
    private function weighed(int $kind, array $stands, array $seen): array
    {
        // Written out, here and below: it is asked for every mark and every kind.
        [$a, $b, $c, $d, $e] = [$stands[0] * $seen[0], $stands[1] * $seen[1], $stands[2] * $seen[2], $stands[3] * $seen[3], $stands[4] * $seen[4]];
        $all = $a + $b + $c + $d + $e;
        $this->likely[$kind] += log($all);

        return [$a / $all, $b / $all, $c / $all, $d / $all, $e / $all];
    }

    /**
     * @param  array{float, float, float, float, float}  $stands
     * @return array{float, float, float, float, float}
     */
    private static function climbed(array $stands, float $climbs): array
    {
        [$a, $b, $c, $d, $e] = $stands;
        $stays = 1.0 - $climbs;

        return [$a * $stays, $b * $stays + $a * $climbs, $c * $stays + $b * $climbs, $d * $stays + $c * $climbs, $e + $d * $climbs];
    }

    /**
     * @param  array{float, float, float, float, float}  $stands
     * @return array{float, float, float, float, float}
     */
    private static function fallen(array $stands, float $falls): array
    {
        [$a, $b, $c, $d, $e] = $stands;
        $stays = 1.0 - $falls;

        return [$a + $b * $falls, $b * $stays + $c * $falls, $c * $stays + $d * $falls, $d * $stays + $e * $falls, $e * $stays];
    }

    private function falls(string $cell, int $now): float
    {
        $days = max(0, $now - ($this->known[$cell] ?? $now)) / 86_400.0;

        return self::FALLS * (1.0 - 0.5 ** (($days / self::PAUSE_DAYS) ** 2));
    }

    /** @return array{float, float, float, float, float} by stage */
    private function seen(int $rank, float $harder): array
    {
        return $this->seen["{$harder} {$rank}"] ??= array_map(
            static fn (float $ability): float => Ladder::probabilities($ability - $harder)[$rank], self::ABILITIES,
        );
    }
}
