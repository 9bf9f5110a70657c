<?php

namespace App\School;

use App\Models\Learner;
use App\Models\School;
use App\Models\User;
use Illuminate\Validation\ValidationException;
use NobleTurn\Core\Compute\Findings;
use NobleTurn\Core\Compute\Tool\PracticeField;
use NobleTurn\Core\Compute\Values;
use NobleTurn\Core\Fault\BadInput;
use NobleTurn\Core\Rules\Practice;
use NobleTurn\Core\Rules\RulePack;
use NobleTurn\Core\Rules\RulePacks;
use NobleTurn\Core\Rules\SignalRule;

/** The pack and practice in force: the school's, over it the instructor's, over it the learner's. */
final readonly class ChosenRules
{
    /** @param  array<string, mixed>  $answers  by question of a practice */
    private function __construct(public string $pack, public array $answers)
    {
    }

    public static function of(School $school, ?User $instructor = null, ?Learner $learner = null): self
    {
        $pack = $learner->pack ?? $instructor->pack ?? $school->pack;

        return new self(
            $pack,
            [...self::unlessTaught(RulePacks::byCode($pack)), ...$school->practice, ...($instructor->practice ?? []), ...($learner->practice ?? [])],
        );
    }

    /**
     * What is answered for a school that chose nothing: a rule of thumb that nobody taught would only clash with the plan's own figure. Where
     * the law asks for so much at the least, it stands.
     *
     * @return array<string, string> by question
     */
    public static function unlessTaught(RulePack $pack): array
    {
        return $pack->numberRuleIsLeast() ? [] : ['signal' => SignalRule::BrakingLead->value];
    }

    public function pack(): RulePack
    {
        return RulePacks::byCode($this->pack);
    }

    public function practice(): Practice
    {
        return $this->practiceUnder($this->pack());
    }

    /** The same answers under another pack, whose defaults fill what was not answered. */
    public function practiceUnder(RulePack $pack): Practice
    {
        return self::read($this->answers, $pack);
    }

    /**
     * Answers as they are kept; whatever the core does not know is refused in its words.
     *
     * @return array<string, mixed>
     *
     * @throws ValidationException
     */
    public static function checked(mixed $answers): array
    {
        $findings = new Findings;
        PracticeField::shape()->read($answers, 'practice', $findings);
        try {
            $findings->throwIfAny();
        } catch (BadInput $bad) {
            throw ValidationException::withMessages($bad->errors);
        }

        return is_array($answers) ? $answers : [];
    }

    /** @param  array<string, mixed>  $answers */
    private static function read(array $answers, RulePack $pack): Practice
    {
        $shape = PracticeField::shape()->read($answers, 'practice', new Findings);

        return PracticeField::read(new Values(['practice' => $shape]), $pack);
    }
}
