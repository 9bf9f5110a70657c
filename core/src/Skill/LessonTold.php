<?php

declare(strict_types=1);

namespace NobleTurn\Core\Skill;

use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Step;

/**
 * What one lesson told: what it changed in what is believed, what was to be believed when it ended, and how well its marks had been foretold. It hangs
 * on the marks of this lesson and of those before it, not on later ones, so it may be kept: it goes to an array and comes back the same.
 */
final readonly class LessonTold
{
    /**
     * @param  list<Changed>  $changed  most first, first looks last
     * @param  array<string, Belief>  $then  of each cell it marked, by all that was known when it ended: words that were said meanwhile, too
     * @param  ?Foretold  $foretold  null where nothing had been marked before
     */
    private function __construct(
        public string $lesson, public \DateTimeImmutable $ended, public array $changed, public array $then, public ?Foretold $foretold,
    ) {
    }

    /**
     * @param  list<Evidence>  $evidence  of the lesson and of those before it, in the order of time; later marks are left out
     * @param  list<Overruling>  $overrulings
     * @return ?self null where nothing was marked in it
     */
    public static function of(string $lesson, array $evidence, array $overrulings, RulePack $pack): ?self
    {
        $today = array_values(array_filter($evidence, static fn (Evidence $one): bool => $one->lesson === $lesson));
        if ($today === []) {
            return null;
        }
        $times = array_map(static fn (Evidence $one): \DateTimeImmutable => $one->at, $today);
        [$began, $ended] = [min($times), max($times)];
        $earlier = array_values(array_filter($evidence, static fn (Evidence $one): bool => $one->lesson !== $lesson && $one->at <= $began));
        $by = static fn (\DateTimeImmutable $at): array => array_values(array_filter($overrulings, static fn (Overruling $one): bool => $one->at <= $at));
        [$known, $said] = [$by($began), $by($ended)];
        $all = [...$earlier, ...$today];
        $before = Fit::of($earlier, $pack, $ended, overrulings: $known);
        $after = Fit::of($all, $pack, $ended, overrulings: $known);
        $changed = Changed::between($before, $after, $today);
        $then = count($said) === count($known) ? $after : Fit::of($all, $pack, $ended, overrulings: $said);
        $beliefs = [];
        foreach ($changed as $one) {
            $beliefs["{$one->routine->value}.{$one->step->value}"] = $then->belief($one->routine, $one->step);
        }

        return new self($lesson, $ended, $changed, $beliefs, Foretold::of($before, $earlier, $today));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $belief = static fn (?Belief $one): ?array => $one === null ? null : [$one->mean, $one->variance];

        return [
            'lesson' => $this->lesson, 'ended' => $this->ended->format('Y-m-d\TH:i:s.u\Z'),
            'changed' => array_map(static fn (Changed $one): array => [
                $one->routine->value, $one->step->value, $belief($one->before), $belief($one->after), $one->marks, $one->unaided,
            ], $this->changed),
            'then' => array_map($belief, $this->then),
            'foretold' => $this->foretold === null ? null : get_object_vars($this->foretold),
        ];
    }

    /** @param  array<string, mixed>  $said  as it was given by `toArray`, through JSON or not */
    public static function fromArray(array $said): self
    {
        $belief = static fn (?array $one): ?Belief => $one === null ? null : new Belief((float) $one[0], (float) $one[1]);

        return new self(
            $said['lesson'], new \DateTimeImmutable($said['ended']),
            array_map(static fn (array $one): Changed => new Changed(
                RoutineCode::from($one[0]), Step::from($one[1]), $belief($one[2]), $belief($one[3]) ?? new Belief(0.0, 1.0), $one[4], $one[5],
            ), array_values($said['changed'])),
            array_filter(array_map($belief, $said['then'])),
            $said['foretold'] === null ? null : Foretold::fromArray($said['foretold']),
        );
    }
}
