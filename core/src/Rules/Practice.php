<?php

declare(strict_types=1);

namespace NobleTurn\Core\Rules;

use NobleTurn\Core\Trade\RoutineCode;

/**
 * What an instructor teaches by, on top of a rule pack: one answer to each question of `Practices`.
 * In code a *school* is a business; this is not one.
 */
final readonly class Practice
{
    public SignalRule $signal;

    public GearHabit $gears;

    public LineGear $lineGear;

    public ClutchHabit $clutch;

    public JunctionHabit $junction;

    public LookHabit $look;

    public StepCount $steps;

    public NearPlace $nearPlace;

    public MiniGear $miniGear;

    /** Whether a signal is held back until an opening before ours is passed. */
    public bool $waitsForOpening;

    /** Whether second is taken on the way to a red light. */
    public bool $readyForGreen;

    /** @param  array<string, string>  $answers  by question; what is not answered takes the pack's default */
    public function __construct(public array $answers, private RulePack $pack)
    {
        $this->signal = SignalRule::from($this->answer('signal'));
        $this->gears = GearHabit::from($this->answer('gears'));
        $this->lineGear = LineGear::from($this->answer('gear_at_line'));
        $this->clutch = ClutchHabit::from($this->answer('clutch'));
        $this->junction = JunctionHabit::from($this->answer('t_junction'));
        $this->look = LookHabit::from($this->answer('look'));
        $this->steps = StepCount::from($this->answer('steps'));
        $this->nearPlace = NearPlace::from($this->answer('near_place'));
        $this->miniGear = MiniGear::from($this->answer('mini_gear'));
        $this->waitsForOpening = $this->answer('opening') === 'after';
        $this->readyForGreen = $this->answer('red') === 'second-ready';
    }

    public function answer(string $question): string
    {
        return $this->answers[$question] ?? Practices::question($question)->default($this->pack);
    }

    /**
     * @return list<array{question: string, text: string, value: string, words: string, reason: string, says: string, step: string, changes: list<string>,
     *     needs_clutch: bool}> what was chosen and why, as far as it concerns a routine
     */
    public function choices(RoutineCode $routine): array
    {
        $chosen = [];
        foreach (Practices::under($this->pack) as $question) {
            if ($question->concerns($routine)) {
                $option = $question->option($this->answer($question->key));
                $chosen[] = [
                    'question' => $question->key, 'text' => $question->text, 'value' => $option->value, 'words' => $option->words,
                    'reason' => $option->reason, 'says' => $option->says, 'step' => $question->step->value, 'changes' => $question->changes,
                    'needs_clutch' => $question->needsClutch,
                ];
            }
        }

        return $chosen;
    }
}
