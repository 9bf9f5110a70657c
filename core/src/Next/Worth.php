<?php

declare(strict_types=1);

namespace NobleTurn\Core\Next;

use NobleTurn\Core\Routine\Routine;
use NobleTurn\Core\Skill\Belief;
use NobleTurn\Core\Skill\Fit;
use NobleTurn\Core\Skill\Ladder;
use NobleTurn\Core\Skill\Stages;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * What driving a routine so many times more is expected to bring. Each round counts as practice, as the skill model has it (so the first brings more than
 * the tenth; `Practised`), and the first also brings back what was forgotten since. How sure one is of a chance is averaged over: of what is hardly known
 * more can be hoped. What was marked often is seen by its own stages as well: which step came on, and which did not, a curve through everything hardly
 * tells. It is said as the chances of "unaided" that rise; what is chosen is chosen by the serious faults that go.
 */
final class Worth
{
    /** @var array<string, Belief> as of then, by "routine.step": asked for often, and dear */
    private array $beliefs = [];

    /** @var array<string, array<string, non-empty-list<float>>> by routine and rounds more: outcomes by step */
    private array $outcomes = [];

    /** @var array<string, float> by routine and what is harder: asked for of every way */
    private array $alone = [];

    /** @var array<string, float> by routine and what is harder: asked for of every way */
    private array $where = [];

    /** The share of what is believed of a thing nobody has seen that is let go: how well what goes least well goes, to this power (assumed). */
    public const UNSEEN = 8;

    /** With so many marks of a step its own stages say as much of it as all marks together, with more of them more (assumed). */
    public const OWN = 1.0;

    /** So far is looked for rounds that bring something only together, as those of who hardly ever does it alone (assumed: more a lesson has not). */
    private const AHEAD = 8;

    private ?Stages $stages = null;

    private ?float $least = null;

    /**
     * @param  array<string, int>  $driven  rounds so far, by "routine.step"
     * @param  list<RoutineCode>  $asked  what a test can ask
     * @param  ?\Closure(): Stages  $seen  what the marks say step by step; asked for where rounds are weighed, which takes as long as a fit
     */
    public function __construct(
        private readonly Fit $fit, private readonly array $driven, private readonly \DateTimeImmutable $on, private readonly array $asked = [],
        private readonly ?\Closure $seen = null,
    ) {
    }

    /** @return list<float> by how much the first, the second, ... round raises the chances of its steps, unaided, added up; it falls */
    public function rounds(Routine $routine, int $rounds): array
    {
        return $this->each($rounds, fn (int $round): float => array_sum($this->unaided($routine, $round)));
    }

    /** @return list<float> serious faults a round of it that the first, the second, ... round takes away; it falls */
    public function safer(Routine $routine, int $rounds): array
    {
        return $this->each($rounds, fn (int $round): float => -array_sum($this->serious($routine, $round)));
    }

    /** The step of a routine of which so many rounds take most serious faults away. */
    public function step(Routine $routine, int $rounds): Step
    {
        [$before, $after] = [$this->serious($routine, 0), $this->serious($routine, $rounds)];
        $most = [Step::Mirrors, -1.0];
        foreach ($after as $step => $faults) {
            $most = $most[1] < $before[$step] - $faults ? [Step::from($step), $before[$step] - $faults] : $most;
        }

        return $most[0];
    }

    /**
     * How often its steps would be unaided, on average.
     *
     * @param  float  $harder  by what conditions are harder than the reference, logits
     */
    public function alone(Routine $routine, float $harder = 0.0): float
    {
        return $this->alone["{$routine->code->value} {$harder}"] ??= $this->meanUnaided($routine, $harder);
    }

    private function meanUnaided(Routine $routine, float $harder): float
    {
        $chances = array_map(fn (Step $step): float => $this->belief($routine->code, $step)->unaided($harder), array_filter(Step::cases(), $routine->has(...)));

        return $chances === [] ? 0.0 : array_sum($chances) / count($chances);
    }

    /**
     * How much of what some rounds bring where it is easy they bring where it is harder: less to whoever still needs help, more to whoever has hardly
     * anything left to learn there.
     *
     * @param  float  $harder  logits
     * @return float above 0; 1 where it is no harder
     */
    public function where(Routine $routine, float $harder): float
    {
        return $this->where["{$routine->code->value} {$harder}"] ??= $this->shareWhere($routine, $harder);
    }

    private function shareWhere(Routine $routine, float $harder): float
    {
        $easy = $hard = 0.0;
        foreach (array_filter(Step::cases(), $routine->has(...)) as $step) {
            [$before, $after] = [$this->believed($routine, $step, 0), $this->believed($routine, $step, Aims::ROUNDS)];
            $easy += $after->unaided() - $before->unaided();
            $hard += $after->unaided($harder) - $before->unaided($harder);
        }

        return $easy > 0.0 ? $hard / $easy : 1.0;
    }

    /**
     * What each round brings. Rounds that bring more and more are counted at what they bring together, each as much.
     *
     * @param  \Closure(int): float  $after  so many rounds
     * @return list<float> it falls
     */
    private function each(int $rounds, \Closure $after): array
    {
        $reached = array_map($after, range(0, max(self::AHEAD, $rounds)));
        $each = [];
        for ($from = 0; $from < $rounds; $from = $to) {
            [$to, $most] = [$from + 1, -INF];
            foreach (array_slice($reached, $from + 1) as $i => $then) {
                $rate = ($then - $reached[$from]) / ($i + 1);
                [$to, $most] = $rate >= $most ? [$from + $i + 1, $rate] : [$to, $most];
            }
            array_push($each, ...array_fill(0, $to - $from, $most));
        }

        return array_slice($each, 0, $rounds);
    }

    /** @return array<string, float> by step, once so many more rounds are driven */
    private function unaided(Routine $routine, int $rounds): array
    {
        return array_map(static fn (array $outcomes): float => $outcomes[Ladder::TOP], $this->after($routine, $rounds));
    }

    /** @return array<string, float> by step, once so many more rounds are driven */
    private function serious(Routine $routine, int $rounds): array
    {
        return array_map(Serious::of(...), $this->after($routine, $rounds));
    }

    /** @return array<string, non-empty-list<float>> chances of its outcomes by step, once so many more rounds are driven */
    private function after(Routine $routine, int $rounds): array
    {
        return $this->outcomes["{$routine->code->value} {$rounds}"] ??= $this->foretold($routine, $rounds);
    }

    /** @return array<string, non-empty-list<float>> */
    private function foretold(Routine $routine, int $rounds): array
    {
        $found = [];
        foreach (array_filter(Step::cases(), $routine->has(...)) as $step) {
            $found[$step->value] = $this->withItsOwn($routine, $step, $rounds, $this->believed($routine, $step, $rounds)->outcomes());
        }

        return $found;
    }

    /** As everything together says it, once so many more rounds are driven. */
    private function believed(Routine $routine, Step $step, int $rounds): Belief
    {
        $gains = Practised::gain($this->fit->practice());
        $done = $this->driven["{$routine->code->value}.{$step->value}"] ?? 0;
        $belief = $this->belief($routine->code, $step);
        $from = $belief->mean - ($done === 0 ? $this->unseen($routine) * max(0.0, $belief->mean - $this->fit->model->start) : 0.0);
        $driven = Practised::rounds((float) $done, $from + $this->fit->faded($routine->code) - $this->fit->model->start, $gains);
        $more = $rounds === 0 ? 0.0 : $this->fit->faded($routine->code) + $gains * log((1.0 + $driven + $rounds) / (1.0 + $driven));

        return new Belief($from + $more, $belief->variance);
    }

    /**
     * @param  non-empty-list<float>  $outcomes  as everything together says them
     * @return non-empty-list<float>
     */
    private function withItsOwn(Routine $routine, Step $step, int $rounds, array $outcomes): array
    {
        $this->stages ??= $this->seen === null ? null : ($this->seen)();
        $marks = $this->stages?->marks($routine->code, $step) ?? 0;
        if ($this->stages === null || $marks === 0) {
            return $outcomes;
        }
        $own = $marks / ($marks + self::OWN);

        return array_map(
            static fn (float $one, float $other): float => (1.0 - $own) * $one + $own * $other, $outcomes,
            $this->stages->outcomes($routine->code, $step, $this->on, $rounds),
        );
    }

    /**
     * Where all that was driven goes well, what a test can ask and nobody has seen yet is what is missing, however much it is like the rest: it is begun
     * like anything new. Where something still needs help that comes first.
     *
     * @return float 0 to 1
     */
    private function unseen(Routine $routine): float
    {
        return in_array($routine->code, $this->asked, true) ? $this->least() ** self::UNSEEN : 0.0;
    }

    /** How often what goes least well of all that was driven is unaided; nothing where nothing was driven. */
    private function least(): float
    {
        if ($this->least === null) {
            $by = [];
            foreach (array_keys($this->driven) as $cell) {
                [$code, $step] = explode('.', $cell);
                $by[$code][] = $this->belief(RoutineCode::from($code), Step::from($step))->unaided();
            }
            $this->least = $by === [] ? 0.0 : min(array_map(static fn (array $each): float => array_sum($each) / count($each), $by));
        }

        return $this->least;
    }

    private function belief(RoutineCode $routine, Step $step): Belief
    {
        return $this->beliefs["{$routine->value}.{$step->value}"] ??= $this->fit->belief($routine, $step, $this->on);
    }
}
