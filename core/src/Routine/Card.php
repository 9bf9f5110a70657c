<?php

declare(strict_types=1);

namespace NobleTurn\Core\Routine;

use NobleTurn\Core\Place\WayOut;
use NobleTurn\Core\Routine\Catalogue\Catalogue;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Trade\LearnerLevel;
use NobleTurn\Core\Trade\RoutineCode;
use NobleTurn\Core\Trade\Side;
use NobleTurn\Core\Trade\Step;

/** A routine as it is explained at one kerb: in the words of a place, under a practice, for a car and a learner's level. */
final readonly class Card
{
    /**
     * @param  non-empty-list<Instruction>  $steps  spoken
     * @param  array<string, list<string>>  $says  by step: what the practice adds to it
     * @param  list<Variant>  $variants  spoken
     * @param  list<array{question: string, text: string, value: string, words: string, reason: string, says: string, step: string,
     *     changes: list<string>}>  $choices
     */
    private function __construct(
        public RoutineCode $code,
        public string $title,
        public string $where,
        public Section $section,
        public string $sectionTitle,
        public string $direction,
        public string $afterwards,
        public Sketch $sketch,
        public ?Side $side,
        public string $find,
        public array $steps,
        public array $says,
        public array $variants,
        public array $choices,
    ) {
    }

    /** So many are remembered. */
    private const KEPT = 64;

    public static function of(
        RoutineCode $code, RulePack $pack, Practice $practice, bool $hasClutch = true, ?LearnerLevel $level = null, WayOut $wayOut = WayOut::Ahead,
    ): self {
        /** @var array<string, self> $kept by all it hangs on: a card never changes, and a sweep asks for the same one sixty times */
        static $kept = [];
        $key = implode('|', [
            $pack::class, $code->value, (int) $hasClutch, $level?->value, $wayOut->value,
            ...array_keys($practice->answers), '', ...array_values($practice->answers),
        ]);
        if (isset($kept[$key])) {
            return $kept[$key];
        }
        $kept = array_slice($kept, -self::KEPT + 1);

        return $kept[$key] = self::spoken($code, $pack, $practice, $hasClutch, $level, $wayOut);
    }

    private static function spoken(RoutineCode $code, RulePack $pack, Practice $practice, bool $hasClutch, ?LearnerLevel $level, WayOut $wayOut): self
    {
        $routine = Catalogue::routine($code, $pack);
        $side = Demand::side($code, $pack, $wayOut);
        $wording = new Wording($pack, $side);
        $say = static fn (string $text): string => $wording->say(Wording::forCar($text, $hasClutch));
        $chosen = array_values(array_filter($practice->choices($code), static fn (array $choice): bool => $hasClutch || ! $choice['needs_clutch']));
        $choices = array_map(static fn (array $choice): array => [
            'question' => $choice['question'], 'text' => $say($choice['text']), 'value' => $choice['value'], 'words' => $say($choice['words']),
            'reason' => $say($choice['reason']), 'says' => $say($choice['says']), 'step' => $choice['step'], 'changes' => $choice['changes'],
        ], $chosen);
        $says = [];
        foreach ($choices as $choice) {
            if ($choice['says'] !== '') {
                $says[$choice['step']][] = $choice['says'];
            }
        }

        return new self(
            $code, $wording->say($routine->title), $wording->say($routine->where), $routine->section, $wording->say($routine->section->title()),
            self::direction($routine, $wording, $side, $wayOut), $say($routine->afterwards), $routine->sketch, $side, $say($routine->find),
            array_map(static fn (Instruction $instruction): Instruction => $instruction->spoken($wording, $hasClutch, $level), $routine->instructions),
            $says,
            array_map(
                static fn (Variant $variant): Variant => new Variant(
                    $say($variant->name), $say($variant->changes), self::sided($variant->inputs, $wording),
                ),
                $routine->variants,
            ),
            $choices,
        );
    }

    public function step(Step $step): Instruction
    {
        foreach ($this->steps as $instruction) {
            if ($instruction->step === $step) {
                return $instruction;
            }
        }
        throw new \LogicException("{$this->code->value} has no {$step->value}.");
    }

    /** The side in a direction is the way out; ahead, one goes straight over what is round, and straight on elsewhere; back, all the way round it. */
    private static function direction(Routine $routine, Wording $wording, ?Side $side, WayOut $wayOut): string
    {
        $text = $routine->direction;
        if ($wayOut === WayOut::Back) {
            $text = str_replace('turn {turn}', 'go all the way round and back', $text);
        } elseif ($side === null) {
            $text = str_replace('turn {turn}', $routine->section === Section::Roundabouts ? 'go straight over' : 'go straight on', $text);
        }

        return $wording->say($text);
    }

    /**
     * Sides in a variant's inputs are written as words too.
     *
     * @param  array<string, mixed>  $inputs
     * @return array<string, mixed>
     */
    private static function sided(array $inputs, Wording $wording): array
    {
        return array_map(static fn (mixed $value): mixed => match (true) {
            is_array($value) => self::sided($value, $wording),
            is_string($value) && str_starts_with($value, '{') => lcfirst($wording->say($value)),
            default => $value,
        }, $inputs);
    }
}
